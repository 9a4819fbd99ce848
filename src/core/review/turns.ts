import type { LengthFact, LengthsOf, TriedFact } from '../facts/tried-fact'
import type { Finding } from './finding'

/** Which lengths may turn a check's answers, by the path of their field, and how. */
export interface LengthsTrait {
  readonly of: Readonly<Partial<Record<LengthsOf, RegExp>>>
  /** By how many mm an answer comes nearer to a Stop at most for each mm that what turns is off; all else reaches as far as it is off. */
  readonly reach: number
  /** Lengths of which only the half reaches: a thing grows to both its sides. */
  readonly half?: RegExp
  /** Its answers may turn and turn back between the ends of what a length may be: nine points are looked at. */
  readonly turnsBack?: true
}

/** What may turn a check's answers. */
export interface TurnedBy {
  readonly lengths?: LengthsTrait
  /** The masses of what is on the vehicle, or the vehicle's own too. */
  readonly masses?: 'aboard' | 'withVehicle'
}

const SHARES = [1, 0.75, 0.5, 0.25] as const

/** Where a fact is tried: at its ends, or also between them. mm or kg off what stands. */
export function triedAt(fact: TriedFact, { lengths }: TurnedBy): readonly number[] {
  const shares = fact.in === 'mm' && lengths?.turnsBack ? SHARES : SHARES.slice(0, 1)
  const toward = (most: number) => (most === 0 ? [] : shares.map((share) => most * share))
  return [...toward(fact.less).map((by) => -by), ...toward(fact.more)]
}

export const isStop = ({ severity }: Finding) => severity === 'stop'

/** How near to a Stop an answer is, mm, negative past it, as far as a kind of length matters; nothing where its check does not say. */
export function roomMm({ nearStop, margin }: Finding, of?: LengthsOf): number | undefined {
  const near = nearStop?.mm
  if (typeof near === 'number') return near
  if (near) return of === undefined ? Math.min(...Object.values(near)) : near[of]
  return margin?.dimension === 'length' ? margin.value : undefined
}

/** How near to a Stop an answer is, in whatever its check measures that: only which way it goes matters. */
export const roomOf = (finding: Finding): number | undefined => finding.nearStop?.share ?? roomMm(finding)

/** By how much an answer comes nearer to a Stop at most when a length is off as far as it may be. mm. */
export const swingMm = (fact: LengthFact, { reach, half }: LengthsTrait): number =>
  Math.max(fact.less, fact.more) *
  (fact.entry.of === 'obstacle' ? reach : 1) *
  (half?.test(fact.entry.field) ? 0.5 : 1)

/** A Stop is shown with the house's margin on guesses, and a guess may be less than was said: both ways at once. */
const WITH_MARGIN = 2

/** How much of all that may turn an answer a fact is: 1 and more may turn it. */
export function partOfRoom(finding: Finding, fact: TriedFact, { lengths }: TurnedBy): number {
  const room = fact.in === 'kg' ? finding.nearStop?.share : roomMm(finding, fact.entry.of)
  if (room === undefined) return Infinity
  const swing =
    fact.in === 'kg'
      ? (Math.max(fact.less, fact.more) / fact.value) * (isStop(finding) ? WITH_MARGIN : 1)
      : lengths
        ? swingMm(fact, lengths)
        : 0
  return Math.abs(room) <= swing ? Math.max(1, swing / Math.abs(room)) : swing / Math.abs(room)
}

/** Whether masses that are off by such a part at most may turn an answer at all. */
export const massesMayTurn = (finding: Finding, part: number): boolean =>
  Math.abs(finding.nearStop?.share ?? 0) <= part * (isStop(finding) ? WITH_MARGIN : 1)

/** Whether a fact may turn an answer at all. */
export const mayTurn = (finding: Finding, fact: TriedFact, by: TurnedBy): boolean =>
  partOfRoom(finding, fact, by) >= 1

/** How much of all that may turn an answer facts are together: lengths add up, and masses together are off as far as the most of them. */
export function partTogether(finding: Finding, facts: readonly TriedFact[], by: TurnedBy): number {
  let lengths = 0
  let masses = 0
  for (const fact of facts) {
    const part = partOfRoom(finding, fact, by)
    if (fact.in === 'mm') lengths += part
    else if (part > masses) masses = part
  }
  return lengths + masses
}
