import { WHERE_WORD, WHERES, type Where } from '@/core/review/ask'
import { identityOf, isOpen, STATE_WORD, type Finding } from '@/core/review/finding'
import type { Review } from '@/core/review/review'

/** Every finding that asks something of a person, in the order of the review. */
export const openFindings = (review: Review) => review.findings.filter(isOpen)

/** One finding with the states in which it stands: those that are about something else stand alone. */
export interface FindingStates {
  readonly finding: Finding
  readonly all: readonly Finding[]
  readonly states: readonly string[]
}

/** Folds only the states of one and the same finding into one row. */
export function together(findings: readonly Finding[]): FindingStates[] {
  const rows = new Map<string, { finding: Finding; all: Finding[]; states: string[] }>()
  for (const finding of findings) {
    const key = `${finding.severity} ${identityOf(finding)} ${finding.aside ? 'aside' : ''}`
    const state = finding.state === 'all' ? 'All states' : STATE_WORD[finding.state]
    const known = rows.get(key)
    if (known) {
      known.states.push(state)
      known.all.push(finding)
    } else rows.set(key, { finding, all: [finding], states: [state] })
  }
  return [...rows.values()]
}

/** Questions whose answers are read in one place. */
export interface AskGroup {
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
