import {
  ASIDE_LOOKS,
  bayRulesOf,
  DEFAULT_HOUSE_RULES,
  USUAL_DRIVES,
  USUAL_GUESS_SPREAD,
  USUAL_SINGLE_FIGURE,
  USUAL_STRAPS,
  type AsideLook,
  type BayRules,
  type HouseRules,
} from '../plan/schema/house'
import { LOCAL_RULES } from '../plan/schema/local-rules'
import {
  angle,
  choice,
  group,
  length,
  number,
  quantityOf,
  several,
  text,
  type FieldsOf,
  type Group,
  type Variants,
} from './field'
import { HOUSE_CAUTIONS_FIELD } from './caution-fields'
import { HOUSE_FITTING_FIELD } from './fitting-fields'

const LOOK_WORD: Readonly<Record<AsideLook, string>> = {
  payload: 'payload',
  axles: 'axles',
  tipping: 'tipping',
  bending: 'bending of bars',
  wind: 'wind',
}

const STRICT = group('', {})

const NO_TRAIL_FIGURE: Variants = {
  is: 'variants',
  label: 'No trail figure',
  by: 'school',
  choices: [
    ['strict', 'Strict: find the trail figure'],
    ['derate', 'Take a share of the road figure, marked as assumed'],
  ],
  groupOf: (school) =>
    school === 'derate'
      ? group('', {
          factor: choice('Share of the road figure', [
            [1 / 2, '1/2'],
            [2 / 3, '2/3'],
            [3 / 4, '3/4'],
          ]),
        })
      : STRICT,
  start: (school) => (school === 'derate' ? DEFAULT_HOUSE_RULES.trailMissing : { school }),
}

const GUESSED_WEIGHT: Variants = {
  is: 'variants',
  label: 'A guessed weight',
  by: 'school',
  choices: [
    ['takeIt', 'Take it as it is'],
    ['margin', 'Add a margin and ask'],
    ['weighIt', 'Weigh it before it counts'],
  ],
  groupOf: (school) =>
    school === 'margin' ? group('', { percent: number('Margin on a guess, %') }) : STRICT,
  start: (school) => (school === 'margin' ? DEFAULT_HOUSE_RULES.guess : { school }),
}

const BAY: Group = group('', {
  tightening: choice('A joint without a stated torque', [
    ['tables', 'Tables by size and grade, as advice'],
    ['feel', 'By feel, short lever, loose rather than crushed'],
  ]),
  security: choice('Thread security where the sheet is silent', [
    ['lockAndFlat', 'Lock washer over a flat one'],
    ['threadlocker', 'Medium threadlocker'],
    ['both', 'Both'],
  ]),
  passesPercent: several(
    number('Torque passes, % of the figure', 'The last pass always reaches the full figure'),
  ),
  singleFigurePercent: number(
    'Tolerance on a single torque figure, %',
    'Above it: Stop. The range of a sheet has no further tolerance',
  ),
  driveCases: several(
    text(
      'Cases of a test drive',
      'With semicolons between; a case that is not driven is printed as not driven',
    ),
  ),
  firstCheckKm: number('First re-check after, km'),
  firstCheckDays: number('or after, days'),
  thenMonths: number('then every, months'),
  stripShrinkPercent: number('Extra length of rubber strips, %'),
  stripStockMm: several(length('Strip is sold in lengths of')),
  fitting: HOUSE_FITTING_FIELD,
} satisfies FieldsOf<BayRules>)

/** The schools that jobs are judged by, and how the shop works. */
export const HOUSE_RULES_FIELD = group(
  'House rules',
  {
    parkedMissing: choice('No parked figure, and the parked load is above the driving one', [
      ['strict', 'Strict: find the parked figure'],
      ['ruleOfThree', 'Rule of three: 3 × the road figure, marked as assumed'],
    ]),
    trailMissing: NO_TRAIL_FIGURE,
    roofCounts: choice('Roof figure, when the manual does not say whether the rack counts', [
      ['everything', 'It counts the rack'],
      ['load', 'It does not count the rack'],
    ]),
    guess: GUESSED_WEIGHT,
    guessSpreadPercent: number('Uncertainty of a guess (95 %), %'),
    uneven: choice("A foot over its even share of the set's figure", [
      ['evenShare', 'Mind it'],
      ['totalOnly', 'Look at the total only'],
    ]),
    spread: choice('Spread, when the range is free', [
      ['wide', 'Wide, for stability'],
      ['nominal', 'Nominal, the middle of the range that the gear allows'],
      ['clear', 'Clear, hatch and sunroof first'],
    ]),
    tentOpens: choice('Tents open to', [
      ['side', 'the side'],
      ['rear', 'the rear'],
    ]),
    gapsMm: group('', {
      ceiling: length('Gap to a ceiling'),
      between: length('Gap between things'),
      hatch: length('Gap to a hatch as it opens'),
      sunroof: length('Gap to a sunroof as it moves'),
    } satisfies FieldsOf<HouseRules['gapsMm']>),
    tolerancesMm: group('', {
      parallel: length('Tolerance on bar positions'),
      legs: length('Tolerance between legs'),
    } satisfies FieldsOf<HouseRules['tolerancesMm']>),
    straps: group('', {
      pullN: quantityOf('force', 'Tension in each strap'),
      angleDeg: angle('Angle of the strap to the deck'),
      friction: number('Friction under a strapped load'),
    } satisfies FieldsOf<NonNullable<HouseRules['straps']>>),
    bay: BAY,
    mustLook: several(
      choice(
        'To be checked in every job',
        ASIDE_LOOKS.map((look) => [look, LOOK_WORD[look]] as const),
      ),
    ),
    localRules: choice(
      'Local rules for overhang (from memory: check yours)',
      LOCAL_RULES.map(({ id, place }) => [id, place] as const),
    ),
    cautions: HOUSE_CAUTIONS_FIELD,
    currency: text('Currency of prices', 'A code or a sign: EUR'),
  } satisfies FieldsOf<HouseRules>,
  {
    parts: [
      { keys: ['parkedMissing', 'trailMissing', 'roofCounts', 'guess', 'guessSpreadPercent', 'uneven'] },
      {
        title: 'Gaps, spread and tolerances',
        open: true,
        keys: ['gapsMm', 'tolerancesMm', 'spread', 'tentOpens'],
      },
      { title: 'Tightening, test drives and strips', open: true, keys: ['bay'] },
      { title: 'Straps', open: true, keys: ['straps'] },
      { title: 'Cautions', keys: ['cautions'] },
      {
        title: 'Always checked, local rules, currency',
        open: true,
        keys: ['mustLook', 'localRules', 'currency'],
      },
    ],
  },
)

/** The rules as a sheet shows them: what the house has not said stands there as it is usual. */
export const withUsualRules = (rules: HouseRules): HouseRules => ({
  ...rules,
  guessSpreadPercent: rules.guessSpreadPercent ?? USUAL_GUESS_SPREAD,
  straps: rules.straps ?? USUAL_STRAPS,
  bay: {
    ...bayRulesOf(rules),
    driveCases: bayRulesOf(rules).driveCases ?? [...USUAL_DRIVES],
    singleFigurePercent: bayRulesOf(rules).singleFigurePercent ?? USUAL_SINGLE_FIGURE,
  },
})
