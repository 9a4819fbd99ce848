'use client'
import { Modal } from '@/ui/kit/modal'
import { KEY_LINES } from '@/ui/actions'
import { Kbd } from '@/ui/kit/kbd'
import type { Plan, State, Survey } from '@/core'
import type { DialogName, OnBench } from '@/ui/actions'
import { CellSum } from './cell-sum'
import { Clearances } from './clearances'
import { DeleteJob } from './delete-job'
import { HistoryDialog } from './history-dialog'
import { HouseRulesDialog } from './house-rules'
import { JobDetails } from './job-details'
import { Measuring } from './measuring'
import Palette from './palette'
import { RacksDialog } from './racks-dialog'
import { UseOfVehicle } from './use-of-vehicle'

/** Every key of the bench. */
function KeysList({ onClose }: { onClose: () => void }) {
  return (
    <Modal title="Keys" onClose={onClose}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
        {KEY_LINES.map(([keys, words]) => (
          <div key={keys} className="contents">
            <dt>
              <Kbd>{keys}</Kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  )
}

/** The dialogs of the bench, fetched when the first one opens. */
export default function BenchDialogs({
  plan,
  survey,
  dialog,
  cell,
  on,
  onClose,
}: {
  plan: Plan
  survey: Survey
  dialog: DialogName | undefined
  cell: { readonly layerId: string; readonly state: State } | undefined
  on: OnBench
  onClose: () => void
}) {
  return (
    <>
      {cell && <CellSum survey={survey} />}
      {dialog === 'palette' && <Palette on={on} onClose={onClose} />}
      {dialog === 'keys' && <KeysList onClose={onClose} />}
      {dialog === 'clearances' && <Clearances plan={plan} onClose={onClose} />}
      {dialog === 'measure' && <Measuring plan={plan} survey={survey} onClose={onClose} />}
      {dialog === 'rules' && <HouseRulesDialog plan={plan} onClose={onClose} />}
      {dialog === 'use' && <UseOfVehicle plan={plan} onClose={onClose} />}
      {dialog === 'job' && <JobDetails plan={plan} onClose={onClose} />}
      {dialog === 'racks' && <RacksDialog plan={plan} onClose={onClose} />}
      {dialog === 'history' && <HistoryDialog plan={plan} onClose={onClose} />}
      {dialog === 'delete' && <DeleteJob plan={plan} onClose={onClose} />}
    </>
  )
}
