import type { Plan } from '../../plan/plan'
import type { State } from '../../plan/scalars'
import { survey } from '../../survey/survey'
import type { Check } from '../check'
import type { Finding } from '../finding'
import { phraseText } from '../phrase'

/** A check's findings on a plan, and how they read. */
export function run(check: Check, plan: Plan): Finding[] {
  return [...check.run(survey(plan))]
}

export function severities(
  check: Check,
  plan: Plan,
  layerId?: string,
): Partial<Record<State | 'all', string>> {
  const found = run(check, plan).filter((each) => layerId === undefined || each.subject.layerId === layerId)
  return Object.fromEntries(found.map((each) => [each.state, each.severity]))
}

export function sentences(check: Check, plan: Plan): string[] {
  return run(check, plan).map((each) => phraseText(each.sentence))
}
