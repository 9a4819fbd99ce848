'use client'
import { Modal } from '@/ui/kit/modal'
import { KEY_LINES } from './actions'
import { Kbd } from '@/ui/kit/kbd'
import type { Plan } from '@/core/api/plan'
import { SettingsDialog } from '@/ui/app/settings-dialog'
import { assessmentOf } from '@/ui/state/assessment'
import { type DialogName, dialogStore } from '@/ui/state/dialog-store'
import { useUnits } from '@/ui/state/settings-store'
import { Clearances } from './clearances'
import { DeleteJob } from './delete-job'
import { HistoryDialog } from './history-dialog'
import { HouseRulesDialog } from './house-rules'
import { JobDetails } from './job-details'
import { Measuring } from './measuring'
import Palette from './palette'
import { UseOfVehicle } from './use-of-vehicle'

/** Every key of Load. */
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

/** The dialogs of a job, fetched when the first one opens. */
export default function JobDialogs({
  plan,
  dialog,
  onLoad,
}: {
  plan: Plan
  dialog: DialogName
  onLoad: boolean
}) {
  const { close, show } = dialogStore.getState()
  const { survey } = assessmentOf(plan)
  const units = useUnits()
  const onClose = () => close(dialog)
  switch (dialog) {
    case 'palette':
      return <Palette on={{ survey, units, show }} onLoad={onLoad} onClose={onClose} />
    case 'keys':
      return <KeysList onClose={onClose} />
    case 'clearances':
      return <Clearances plan={plan} onClose={onClose} />
    case 'measure':
      return <Measuring plan={plan} survey={survey} onClose={onClose} />
    case 'rules':
      return <HouseRulesDialog plan={plan} onClose={onClose} />
    case 'use':
      return <UseOfVehicle plan={plan} onClose={onClose} />
    case 'job':
      return <JobDetails plan={plan} onClose={onClose} />
    case 'history':
      return <HistoryDialog plan={plan} onClose={onClose} />
    case 'delete':
      return <DeleteJob plan={plan} onClose={onClose} />
    case 'settings':
      return <SettingsDialog onClose={onClose} />
  }
}
