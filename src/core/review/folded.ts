import { identityOf, STATE_WORD, type Finding } from './finding'

/** One finding with the states in which it stands: those that are about something else stand alone. */
export interface FindingStates {
  readonly finding: Finding
  readonly all: readonly Finding[]
  readonly states: readonly string[]
}

/** Folds only the states of one and the same finding into one row, for screens and sheets alike. */
export function foldedTogether(findings: readonly Finding[]): FindingStates[] {
  const rows = new Map<string, { finding: Finding; all: Finding[]; states: string[] }>()
  for (const finding of findings) {
    const key = `${finding.severity} ${identityOf(finding)} ${finding.aside ? 'aside' : ''}`
    const state = finding.state === 'all' ? 'All states' : STATE_WORD[finding.state]
    const cached = rows.get(key)
    if (cached) {
      cached.states.push(state)
      cached.all.push(finding)
    } else rows.set(key, { finding, all: [finding], states: [state] })
  }
  return [...rows.values()]
}
