import { houseFittingSchema } from './fitting'
import { houseCautionsSchema } from './house-cautions'
import { CURRENCY_MOST } from '../../units/money'
import * as z from '../../units/schema'

const gap = z.number().check(z.gte(0), z.lte(2000))

/** How the shop works in the bay. Percent of the figure for each pass; km, days and months to the next check. */
const bayRulesSchema = z.strictObject({
  tightening: z.enum(['tables', 'feel']),
  security: z.enum(['lockAndFlat', 'threadlocker', 'both']),
  passesPercent: z.array(z.number().check(z.gte(1), z.lte(100))).check(z.minLength(1), z.maxLength(5)),
  firstCheckKm: z.number().check(z.gte(1), z.lte(10_000)),
  firstCheckDays: z.int().check(z.gte(1), z.lte(365)),
  thenMonths: z.int().check(z.gte(1), z.lte(60)),
  /** What a rubber strip shrinks by in use, and the lengths it is bought in. */
  stripShrinkPercent: z.number().check(z.gte(0), z.lte(10)),
  stripStockMm: z.array(z.number().check(z.gte(100), z.lte(30_000))).check(z.minLength(1), z.maxLength(6)),
  /** The cases of a test drive, each driven by itself. */
  driveCases: z.optional(
    z
      .array(z.string().check(z.trim(), z.minLength(1), z.maxLength(80)))
      .check(z.minLength(1), z.maxLength(12)),
  ),
  /** How far a reading may lie from a single figure, percent; above it the joint is over. */
  singleFigurePercent: z.optional(z.number().check(z.gte(1), z.lte(25))),
  fitting: z.optional(houseFittingSchema),
})
export type BayRules = z.infer<typeof bayRulesSchema>

/** Cases of a test drive where the house names none. Common practice, no source. */
export const USUAL_DRIVES: readonly string[] = [
  'Windows shut',
  'Windows open',
  'Rough road',
  'Passing a lorry, or a side wind',
]

/** How far a reading may lie from a single figure where the house has not said, percent. Common practice, no source. */
export const USUAL_SINGLE_FIGURE = 10

/**
 * Common practice, no source: three passes, a look after the first trip or about 160 km (100 miles), then every
 * quarter. Strip shrinkage and stock length are the team's.
 */
export const USUAL_BAY: BayRules = {
  tightening: 'tables',
  security: 'lockAndFlat',
  passesPercent: [50, 75, 100],
  firstCheckKm: 160,
  firstCheckDays: 14,
  thenMonths: 3,
  stripShrinkPercent: 1,
  stripStockMm: [2000],
}

/** What goes unlooked at where nobody gave its figures, and stops nothing by that. */
export const ASIDE_LOOKS = ['payload', 'axles', 'tipping', 'bending', 'wind'] as const
export type AsideLook = (typeof ASIDE_LOOKS)[number]

/**
 * The schools: where good installers differ, a shop sets its rule once and a job may override it.
 * Common practice, no source; the defaults are the team's.
 */
export const houseRulesSchema = z.strictObject({
  parkedMissing: z.enum(['strict', 'ruleOfThree']),
  trailMissing: z.discriminatedUnion('school', [
    z.strictObject({ school: z.literal('strict') }),
    z.strictObject({ school: z.literal('derate'), factor: z.number().check(z.gte(0.001), z.lte(1)) }),
  ]),
  roofCounts: z.enum(['everything', 'load']),
  guess: z.discriminatedUnion('school', [
    z.strictObject({ school: z.literal('takeIt') }),
    z.strictObject({ school: z.literal('margin'), percent: z.number().check(z.gte(0), z.lte(100)) }),
    z.strictObject({ school: z.literal('weighIt') }),
  ]),
  spread: z.enum(['wide', 'nominal', 'clear']),
  uneven: z.enum(['evenShare', 'totalOnly']),
  tentOpens: z.enum(['side', 'rear']),
  gapsMm: z.strictObject({ between: gap, hatch: gap, sunroof: gap, ceiling: gap }),
  tolerancesMm: z.strictObject({ parallel: gap, legs: gap }),
  /** How the shop ties down: pull in each strap, friction under the load, angle of the strap to the deck. */
  straps: z.optional(
    z.strictObject({
      pullN: z.number().check(z.gte(0.1), z.lte(20_000)),
      friction: z.number().check(z.gte(0.001), z.lte(1.5)),
      angleDeg: z.number().check(z.gte(5), z.lte(90)),
    }),
  ),
  bay: z.optional(bayRulesSchema),
  /** How far a guessed mass may be off where nobody said: 19 times out of 20 within it. */
  guessSpreadPercent: z.optional(z.number().check(z.gte(0), z.lte(100))),
  /** What is to be found out in every job, though nothing on the load path depends on it. */
  mustLook: z.optional(z.array(z.enum(ASIDE_LOOKS)).check(z.maxLength(ASIDE_LOOKS.length))),
  /** Whose rules for what a load runs past the vehicle are asked; none chosen is Find out where it matters. */
  localRules: z.optional(z.string().check(z.maxLength(60))),
  cautions: z.optional(houseCautionsSchema),
  /** What prices are in, as it is printed behind them. */
  currency: z.optional(z.string().check(z.minLength(1), z.maxLength(CURRENCY_MOST))),
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

/** How this house works in the bay, or as is usual where it has not said. */
export const bayRulesOf = (rules: HouseRules): BayRules => rules.bay ?? USUAL_BAY
