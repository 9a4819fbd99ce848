import { STATUS_FIELD } from '@/core/api/fields'
import type { Status } from '@/core/api/plan'
import { Choice } from '@/ui/kit/choice'

const STATUSES = STATUS_FIELD.choices as readonly (readonly [Status, string])[]

/** Whether a rack or a thing is to be fitted, was already on at arrival, or comes off; what comes off counts in no state. */
export function StatusChoice({
  status,
  name,
  onChange,
}: {
  status: Status | undefined
  name?: string
  onChange: (status: Status) => void
}) {
  return (
    <Choice
      className="w-36"
      label={name === undefined ? STATUS_FIELD.label : `${name}: ${STATUS_FIELD.label.toLowerCase()}`}
      value={status ?? 'toFit'}
      options={STATUSES}
      onChange={onChange}
    />
  )
}
