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
  /** How the shop ties down: pull in each strap, friction under the load, angle of the strap to the deck. */
  straps: z
    .strictObject({
      pullN: z.number().positive().max(20_000),
      friction: z.number().positive().max(1.5),
      angleDeg: z.number().min(5).max(90),
    })
    .optional(),
  /** How far a guessed mass may be off where nobody said: 19 times out of 20 within it. */
  guessSpreadPercent: z.number().min(0).max(100).optional(),
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

/** Common practice, no source: a firm pull by hand on a cam buckle, a hull on bare bars, a strap nearly upright. */
export const USUAL_STRAPS = { pullN: 400, friction: 0.3, angleDeg: 80 } as const

/** How far off a guess may be when nobody said, percent. Common practice, no source. */
export const USUAL_GUESS_SPREAD = 25

/** The factor on a guessed mass under the house rule (dimensionless, 1 or more). */
export function guessFactor(rules: HouseRules): number {
  return rules.guess.school === 'margin' ? 1 + rules.guess.percent / 100 : 1
}
