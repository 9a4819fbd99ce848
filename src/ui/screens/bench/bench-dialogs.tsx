'use client'
import type { Plan, State, Survey } from '@/core'
import type { DialogName, OnBench } from '@/ui/actions'
import { CellSum } from './cell-sum'
import { Clearances } from './clearances'
import { DeleteJob } from './delete-job'
import { HouseRulesDialog } from './house-rules'
import { JobDetails } from './job-details'
import { KeysList } from './keys-list'
import { Measuring } from './measuring'
import Palette from './palette'
import { RacksDialog } from './racks-dialog'
import { UseOfVehicle } from './use-of-vehicle'

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
      {dialog === 'delete' && <DeleteJob plan={plan} onClose={onClose} />}
    </>
  )
}
