import type { Plan } from '../../plan/schema/plan'
import type { State } from '../../units/scalars'
import { survey } from '../../survey/survey'
import type { Check } from '../check'
import { worse, type Finding, type Severity } from '../finding'
import { phraseText } from '../../units/phrase'
import { review } from '../review'

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

/** What a plan's figures come to, leaving aside whose hands lift it up: test loads are heavier than anyone lifts. */
export function figuresSay(plan: Plan): Record<State, Severity> & { readonly all: Severity } {
  const found = review(survey(plan)).findings.filter(({ rule }) => rule !== 'lifting')
  const of = (state: State) =>
    found
      .filter((each) => each.state === 'all' || each.state === state)
      .reduce<Severity>((worst, each) => worse(worst, each.severity), 'clear')
  const [road, trail, parked] = [of('road'), of('trail'), of('parked')]
  return { road, trail, parked, all: worse(road, worse(trail, parked)) }
}
