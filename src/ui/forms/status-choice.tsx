import type { Status } from '@/core/api/plan'
import { Choice } from '@/ui/kit/choice'

const STATUSES: readonly (readonly [Status, string])[] = [
  ['toFit', 'to fit'],
  ['alreadyOn', 'already on'],
  ['comesOff', 'comes off'],
]

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
      label={name === undefined ? 'In this job' : `${name}: in this job`}
      value={status ?? 'toFit'}
      options={STATUSES}
      onChange={onChange}
    />
  )
}
