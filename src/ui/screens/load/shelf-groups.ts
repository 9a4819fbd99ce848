import { type Compatible, weightRoom, type Survey } from '@/core/api/assess'
import { type Gear, kindsOf, GEAR_KINDS } from '@/core/api/plan'

/** The shelf in the order in which it is of use: what fits, what fits with something done first, and what cannot. */
export const SHELF_GROUPS = ['now', 'first', 'cannot', 'untried'] as const
export type ShelfGroup = (typeof SHELF_GROUPS)[number]

export const SHELF_GROUP_WORD: Readonly<Record<ShelfGroup, string>> = {
  now: 'Fits now',
  first: 'Fits with something first',
  cannot: 'Cannot go on this rack',
  untried: 'Not tried on yet',
}

/** So much may be wrong in a sum of kilograms by how computers add. */
const SUM_KG = 1e-6

/** Where a thing stands: one too heavy, or of which no figure says whether it is, does not fit as it is. */
function groupOf(survey: Survey, gear: Gear, rackId: string, answer: Compatible | undefined): ShelfGroup {
  if (!answer) return 'untried'
  if (answer.kind === 'cannot') return 'cannot'
  const room = weightRoom(survey, gear, rackId)
  return answer.kind === 'fits' && room !== undefined && room.leftKg >= -SUM_KG ? 'now' : 'first'
}

/** What is on the shelf by group; within one by kind, then by name. */
export function shelfGroups(
  survey: Survey,
  gear: readonly Gear[],
  rackId: string | undefined,
  answers: ReadonlyMap<string, Compatible>,
): Readonly<Record<ShelfGroup, readonly Gear[]>> {
  const groups: Record<ShelfGroup, Gear[]> = { now: [], first: [], cannot: [], untried: [] }
  const order = kindsOf(GEAR_KINDS)
  const sorted = gear.toSorted(
    (a, b) => order.indexOf(a.kind) - order.indexOf(b.kind) || a.name.localeCompare(b.name),
  )
  for (const each of sorted)
    groups[rackId === undefined ? 'untried' : groupOf(survey, each, rackId, answers.get(each.id))].push(each)
  return groups
}
