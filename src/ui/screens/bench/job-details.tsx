'use client'
import type { Job, Plan } from '@/core'
import { TextField } from '@/ui/kit/choice'
import { Modal } from '@/ui/kit/modal'
import { usePlan } from '@/ui/state/plan-store'

/** What the job is called, whose it is and when it is due. */
export function JobDetails({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const { job } = plan
  const refusal = usePlan((store) => store.refusal)
  const set = (field: keyof Job, value: string) => {
    const kept = Object.fromEntries(
      Object.entries({ ...job, [field]: value }).filter(([, text]) => text !== ''),
    )
    usePlan.getState().run({ do: 'setJob', job: { ...kept, name: field === 'name' ? value : job.name } })
  }
  const setCar = (field: 'plate' | 'number', value: string) => {
    const { [field]: _, ...rest } = plan.car
    const text = value.trim()
    usePlan.getState().run({ do: 'setCar', car: text === '' ? rest : { ...rest, [field]: text } })
  }
  return (
    <Modal title="Job details" onClose={onClose}>
      <div className="grid gap-3">
        {refusal !== undefined && (
          <p role="alert" className="field-problem">
            {refusal}
          </p>
        )}
        <TextField
          label="Name"
          value={job.name}
          onValue={(value) => {
            set('name', value)
          }}
        />
        <TextField
          label="Job number"
          value={job.number ?? ''}
          max={40}
          onValue={(value) => {
            set('number', value)
          }}
        />
        <TextField
          label="Customer"
          value={job.customer ?? ''}
          onValue={(value) => {
            set('customer', value)
          }}
        />
        <TextField
          label="Plate"
          value={plan.car.plate ?? ''}
          max={40}
          onValue={(value) => {
            setCar('plate', value)
          }}
        />
        <TextField
          label="The shop’s number for the car"
          value={plan.car.number ?? ''}
          max={40}
          onValue={(value) => {
            setCar('number', value)
          }}
        />
        <TextField
          label="Due"
          type="date"
          value={job.due ?? ''}
          onValue={(value) => {
            set('due', value)
          }}
        />
        <TextField
          label="Note"
          value={job.note ?? ''}
          max={4000}
          onValue={(value) => {
            set('note', value)
          }}
        />
      </div>
    </Modal>
  )
}
