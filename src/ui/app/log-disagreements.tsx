'use client'
import { type Disagreement, EVENT_WORD, type LogEvent } from '@/core/api/fit'
import { eventText } from '@/core/api/files'
import { logStore } from '@/ui/state/log-store'
import { Choice } from '@/ui/kit/choice'
import { whenWords } from '@/ui/kit/day-words'

export type Holds = 'here' | 'there'

/** Writes what was chosen once more, as the last word on it. */
export async function addLastWords(
  conflicts: readonly Disagreement[],
  chosen: ReadonlyMap<string, Holds>,
): Promise<void> {
  for (const each of conflicts) {
    const holds = chosen.get(each.subject)
    if (holds === undefined) continue
    const {
      id: _,
      at: _at,
      by: _by,
      turn: _turn,
      device: _device,
      replaces: _replaces,
      ...rest
    } = each[holds]
    const { vehicleId, jobId, ...event } = rest
    await logStore.getState().add({ vehicleId, ...(jobId === undefined ? {} : { jobId }) }, [event])
  }
}

const entryText = (event: LogEvent): string =>
  `${eventText(event)} (${event.by ?? 'nobody named'}, ${whenWords(event.at)})`

/** Where two devices said otherwise of one thing: which holds is asked, one by one. */
export function LogDisagreements({
  conflicts,
  chosen,
  onChoose,
}: {
  conflicts: readonly Disagreement[]
  chosen: ReadonlyMap<string, Holds>
  onChoose: (subject: string, holds: Holds) => void
}) {
  if (conflicts.length === 0) return null
  return (
    <section aria-label="Conflicting log entries" className="my-2 grid gap-2">
      <h3 className="text-body">Conflicting log entries: choose one of each</h3>
      {conflicts.map(({ subject, here, there }) => (
        <Choice<Holds>
          key={subject}
          label={`${EVENT_WORD[here.kind]}: ${eventText(here)} here, ${eventText(there)} there`}
          value={chosen.get(subject) ?? ''}
          unstated="Choose one"
          options={[
            ['here', `Here: ${entryText(here)}`],
            ['there', `There: ${entryText(there)}`],
          ]}
          onChange={(holds) => onChoose(subject, holds)}
        />
      ))}
    </section>
  )
}
