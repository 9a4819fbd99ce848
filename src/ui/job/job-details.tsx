'use client'
import { Problem } from '@/ui/kit/field-note'
import { CAR_FIELD, type Group, JOB_FIELD } from '@/core/api/fields'
import type { Plan } from '@/core/api/plan'
import { TextField } from '@/ui/kit/choice'
import { DayField } from '@/ui/figures/day-field'
import { Modal } from '@/ui/kit/modal'
import { usePlan, planStore } from '@/ui/state/plan-store'
import { CamePictures } from './came-pictures'

const CAME = JOB_FIELD.fields['came'] as Group

/** The texts of a group, each taken when it is left. */
function Texts({
  of,
  value,
  onText,
}: {
  of: Group
  value: Readonly<Record<string, unknown>>
  onText: (key: string, text: string) => void
}) {
  return Object.entries(of.fields).map(([key, field]) => {
    if (field.is !== 'text' && field.is !== 'day') return null
    const now = value[key]
    if (field.is === 'day')
      return (
        <DayField
          key={key}
          label={field.label}
          value={typeof now === 'string' ? now : ''}
          onDay={(day) => onText(key, day)}
        />
      )
    return (
      <TextField
        key={key}
        label={field.label}
        max={field.long ? 2000 : key === 'number' || key === 'plate' ? 40 : 120}
        value={typeof now === 'string' ? now : ''}
        onValue={(text) => onText(key, text)}
      />
    )
  })
}

/** Name of the job, whose it is and when it is due. */
export function JobDetails({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const { job } = plan
  const refusal = usePlan((store) => store.refusal)
  const run = (next: Record<string, unknown>) => {
    const saved = Object.entries(next).filter(([, value]) => value !== undefined && value !== '')
    planStore.getState().run({ do: 'setJob', job: { name: '', ...Object.fromEntries(saved) } })
  }
  const cameNow = (field: string, value: string) => {
    const left = Object.entries({ ...job.came, [field]: value }).filter(([, text]) => text !== '')
    run({ ...job, came: left.length > 0 ? Object.fromEntries(left) : undefined })
  }
  const setCar = (field: string, value: string) => {
    const { id, ...about } = plan.car
    const rest = { id, ...Object.fromEntries(Object.entries(about).filter(([key]) => key !== field)) }
    const text = value.trim()
    planStore.getState().run({ do: 'setCar', car: text === '' ? rest : { ...rest, [field]: text } })
  }
  return (
    <Modal title="Job details" onClose={onClose}>
      <div className="grid gap-3">
        {refusal !== undefined && <Problem>{refusal}</Problem>}
        <Texts of={JOB_FIELD} value={job} onText={(key, text) => run({ ...job, [key]: text })} />
        <Texts of={CAR_FIELD} value={plan.car} onText={setCar} />
        <h3 className="font-semibold">When it came in</h3>
        <Texts of={CAME} value={job.came ?? {}} onText={cameNow} />
        <CamePictures plan={plan} />
      </div>
    </Modal>
  )
}
