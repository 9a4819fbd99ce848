import { type FindingStates, isOpen, type Review, type Where, WHERE_WORD, WHERES } from '@/core/api/assess'

/** Every finding that asks something of a person, in the order of the review. */
export const openFindings = (review: Review) => review.findings.filter(isOpen)

/** Questions whose answers are read in one place. */
interface AskGroup {
  readonly title: string
  readonly rows: readonly FindingStates[]
}

/** More lines than this at a first look are a wall. */
const MOST_LINES = 3

/** Questions by where their answer is read: the largest first, and what is left over in one last line. */
export function askGroups(rows: readonly FindingStates[]): AskGroup[] {
  const places: readonly (Where | undefined)[] = [...WHERES, undefined]
  const groups = places
    .map((where) => ({
      title: where === undefined ? 'Otherwise' : WHERE_WORD[where],
      rows: rows.filter(({ finding }) => finding.ask?.where === where),
    }))
    .filter((group) => group.rows.length > 0)
    .toSorted((a, b) => b.rows.length - a.rows.length)
  if (groups.length <= MOST_LINES) return groups
  const rest = groups.slice(MOST_LINES - 1)
  const titles = rest.map(({ title }, i) =>
    i === 0 ? title : title.charAt(0).toLowerCase() + title.slice(1),
  )
  return [
    ...groups.slice(0, MOST_LINES - 1),
    { title: titles.join(', '), rows: rest.flatMap((group) => group.rows) },
  ]
}
