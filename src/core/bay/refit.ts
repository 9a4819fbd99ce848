import type { LogEvent } from '../log/event'
import { securedBy } from '../plan/schema/fastening'
import { barsOf, type Rack } from '../plan/schema/rack'
import { formatNumber } from '../units/format'

/** Where a rack stood and what it was pulled to, in one line: written down when it comes off, read when it goes on again. mm, N·m. */
export function refitValues(rack: Rack): string {
  const mm = (value: number) => `${formatNumber(Math.round(value))} mm`
  const bars = barsOf(rack).map(
    (bar) =>
      `${bar.name} ${mm(bar.xMm)} behind the windscreen, feet ${mm((bar.feetYMm.at(-1) ?? 0) - (bar.feetYMm[0] ?? 0))} apart`,
  )
  const torques = rack.parts.flatMap((part) =>
    (part.fasteners ?? []).flatMap(({ name, thread, torqueNm, torqueFrom }) =>
      torqueNm && torqueFrom?.kind !== 'otherRack'
        ? [
            `${name ?? `${thread} of ${part.name}`} ${torqueNm.from === torqueNm.to ? torqueNm.to : `${torqueNm.from} to ${torqueNm.to}`} N·m`,
          ]
        : [],
    ),
  )
  const renewed = rack.parts.flatMap((part) =>
    (part.fasteners ?? []).flatMap((fastener) => {
      const { name, thread, signs, singleUse } = fastener
      const isLocked = securedBy(fastener) === 'threadlocker'
      return isLocked || singleUse === true || signs?.some(({ kind }) => kind === 'washerClosed')
        ? [
            `${name ?? `${thread} of ${part.name}`}: taken apart, clean it and fit it anew, with fresh ${isLocked ? 'threadlocker' : 'parts'}`,
          ]
        : []
    }),
  )
  return [...bars, ...torques, ...renewed].join('; ').slice(0, 1000)
}

/** How each rack stood when it last came off, by the rack, as its log wrote it down: what it is put back by. */
export function refitNotes(counting: readonly LogEvent[]): ReadonlyMap<string, string> {
  const notes = new Map<string, string>()
  for (const event of counting)
    if (event.kind === 'removed' && event.note !== undefined) notes.set(event.rackId, event.note)
  return notes
}
