import './no-eval'
import * as z from 'zod'

const gap = z.number().min(0).max(2000)

/**
 * The schools: where good installers differ, a shop sets its rule once and a job may override it.
 * Common practice, no source; the defaults are the team's.
 */
export const houseRulesSchema = z.strictObject({
  parkedMissing: z.enum(['strict', 'ruleOfThree']),
  trailMissing: z.discriminatedUnion('school', [
    z.strictObject({ school: z.literal('strict') }),
    z.strictObject({ school: z.literal('derate'), factor: z.number().positive().max(1) }),
  ]),
  roofCounts: z.enum(['everything', 'load']),
  guess: z.discriminatedUnion('school', [
    z.strictObject({ school: z.literal('takeIt') }),
    z.strictObject({ school: z.literal('margin'), percent: z.number().min(0).max(100) }),
    z.strictObject({ school: z.literal('weighIt') }),
  ]),
  spread: z.enum(['wide', 'nominal', 'clear']),
  uneven: z.enum(['evenShare', 'totalOnly']),
  tentOpens: z.enum(['side', 'rear']),
  gapsMm: z.strictObject({ between: gap, hatch: gap, sunroof: gap, ceiling: gap }),
  tolerancesMm: z.strictObject({ parallel: gap, legs: gap }),
  /** Whose rules for what a load runs past the vehicle are asked; none chosen is Find out where it matters. */
  localRules: z.string().max(60).optional(),
})
export type HouseRules = z.infer<typeof houseRulesSchema>

export const DEFAULT_HOUSE_RULES: HouseRules = {
  parkedMissing: 'strict',
  trailMissing: { school: 'derate', factor: 2 / 3 },
  roofCounts: 'everything',
  guess: { school: 'margin', percent: 10 },
  spread: 'wide',
  uneven: 'evenShare',
  tentOpens: 'side',
  gapsMm: { between: 20, hatch: 25, sunroof: 15, ceiling: 50 },
  tolerancesMm: { parallel: 3, legs: 2 },
}

/** The factor on a guessed mass under the house rule (dimensionless, 1 or more). */
export function guessFactor(rules: HouseRules): number {
  return rules.guess.school === 'margin' ? 1 + rules.guess.percent / 100 : 1
}
