import { survey as surveyOf, type Survey } from '../survey/survey'
import type { TriedFact } from './tried-fact'

/** A fact at an end of what it may be: so many mm or kg off what stands. */
export interface Moved {
  readonly fact: TriedFact
  readonly by: number
}

const plain = new WeakMap<Survey, Survey>()

/** The survey with every mass as it is said, without the house's margin on guesses. */
export function plainOf(survey: Survey): Survey {
  if (survey.masses.every(({ factor }) => factor === 1)) return survey
  const before = plain.get(survey)
  if (before) return before
  const { plan } = survey
  const rules = { ...plan.rules, guess: { school: 'margin', percent: 0 } } as const
  const made = surveyOf({ ...plan, rules }, survey)
  plain.set(survey, made)
  return made
}

const keyOf = (moved: readonly Moved[]): string =>
  moved.map(({ fact: { entry }, by }) => `${entry.of} ${entry.id} ${entry.field} ${by}`).join('|')

const tried = new WeakMap<Survey, Map<string, Survey>>()

/** What would follow from a plan whose facts were so much off: surveyed once, whoever asks. */
export function trialOf(base: Survey, moved: readonly Moved[]): Survey {
  let cached = tried.get(base)
  if (!cached) {
    cached = new Map()
    tried.set(base, cached)
  }
  const key = keyOf(moved)
  const before = cached.get(key)
  if (before) return before
  const trial = surveyOf(
    moved.reduce((plan, { fact, by }) => fact.off(plan, by), base.plan),
    base,
  )
  cached.set(key, trial)
  return trial
}
