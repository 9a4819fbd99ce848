'use client'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { TickBox } from '@/ui/kit/field'
import {
  ASIDE_LOOKS,
  bayRulesOf,
  formatNumber,
  type HouseRules,
  LOCAL_RULES,
  USUAL_GUESS_SPREAD,
  USUAL_STRAPS,
} from '@/core/api/plan'
import { Choice } from '@/ui/kit/choice'
import { QuantityField } from '@/ui/figures/quantity-field'
import { FittingRulesFields } from './fitting-rules-fields'
import { refused } from '@/ui/state/plan-store'

const FACTORS: readonly (readonly [string, number])[] = [
  ['1/2 of the road figure', 1 / 2],
  ['2/3 of the road figure', 2 / 3],
  ['3/4 of the road figure', 3 / 4],
]

function factorOptions(rules: HouseRules): readonly (readonly [string, string])[] {
  const { trailMissing } = rules
  const choices = FACTORS.map(([words, factor]) => [String(factor), words] as const)
  const own = trailMissing.school === 'derate' ? trailMissing.factor : undefined
  const extra =
    own === undefined || FACTORS.some(([, factor]) => factor === own)
      ? []
      : [[String(own), `${formatNumber(own, 3)} of the road figure`] as const]
  return [['strict', 'Strict: find the trail figure'], ...choices, ...extra]
}

const GUESS = [
  ['takeIt', 'Take it as it is'],
  ['5', 'Add 5 % and ask'],
  ['10', 'Add 10 % and ask'],
  ['20', 'Add 20 % and ask'],
  ['weighIt', 'Weigh it before it counts'],
] as const

const GAPS = [
  ['ceiling', 'Gap to a ceiling'],
  ['between', 'Gap between things'],
  ['hatch', 'Gap to a hatch as it opens'],
  ['sunroof', 'Gap to a sunroof as it moves'],
] as const

const TOLERANCES = [
  ['parallel', 'Tolerance on bar positions'],
  ['legs', 'Tolerance between legs'],
] as const

const GUESS_SPREADS = [5, 10, 15, 20, 25, 30, 50]
const FRICTIONS = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6]

/** The usual values to choose from, and the one that a file may have brought. */
const among = (usual: readonly number[], now: number, unit: string) =>
  [...new Set([...usual, now])]
    .toSorted((a, b) => a - b)
    .map((each) => [String(each), `${each}${unit}`] as const)

/** The schools that jobs are judged by. */
export function HouseRulesFields({
  rules,
  onRules,
}: {
  rules: HouseRules
  /** Whether they were taken. */
  onRules: (rules: HouseRules) => boolean
}) {
  const straps = rules.straps ?? USUAL_STRAPS
  const set = (patch: Partial<HouseRules>) => onRules({ ...rules, ...patch })
  const guess = rules.guess.school === 'margin' ? String(rules.guess.percent) : rules.guess.school
  const guessOptions = GUESS.some(([value]) => value === guess)
    ? GUESS
    : [...GUESS, [guess, `Add ${guess} %`] as const]
  const school = <K extends 'parkedMissing' | 'roofCounts' | 'uneven' | 'spread' | 'tentOpens'>(
    key: K,
    label: string,
    options: readonly (readonly [HouseRules[K], string])[],
  ) => (
    <Choice label={label} value={rules[key]} options={options} onChange={(value) => set({ [key]: value })} />
  )
  return (
    <div className="grid gap-3">
      {school('parkedMissing', 'No parked figure, and the parked load is above the driving one', [
        ['strict', 'Strict: find the parked figure'],
        ['ruleOfThree', 'Rule of three: 3 × the road figure, marked as assumed'],
      ])}
      <Choice
        label="No trail figure"
        value={rules.trailMissing.school === 'strict' ? 'strict' : String(rules.trailMissing.factor)}
        options={factorOptions(rules)}
        onChange={(choice) =>
          set({
            trailMissing:
              choice === 'strict' ? { school: 'strict' } : { school: 'derate', factor: Number(choice) },
          })
        }
      />
      {school('roofCounts', 'Roof figure, when the manual does not say whether the rack counts', [
        ['everything', 'It counts the rack'],
        ['load', 'It does not count the rack'],
      ])}
      <Choice
        label="A guessed weight"
        value={guess}
        options={guessOptions}
        onChange={(choice) =>
          set({
            guess:
              choice === 'takeIt' || choice === 'weighIt'
                ? { school: choice }
                : { school: 'margin', percent: Number(choice) },
          })
        }
      />
      <Choice
        label="Uncertainty of a guess (95 %)"
        value={String(rules.guessSpreadPercent ?? USUAL_GUESS_SPREAD)}
        options={among(GUESS_SPREADS, rules.guessSpreadPercent ?? USUAL_GUESS_SPREAD, ' %')}
        onChange={(percent) => set({ guessSpreadPercent: Number(percent) })}
      />
      <QuantityField
        label="Tension in each strap"
        dimension="force"
        value={straps.pullN}
        onValue={(pullN) => refused(set({ straps: { ...straps, pullN } }))}
      />
      <QuantityField
        label="Angle of the strap to the deck"
        dimension="angle"
        value={straps.angleDeg}
        onValue={(angleDeg) => refused(set({ straps: { ...straps, angleDeg } }))}
      />
      <Choice
        label="Friction under a strapped load"
        value={String(straps.friction)}
        options={among(FRICTIONS, straps.friction, '')}
        onChange={(friction) => set({ straps: { ...straps, friction: Number(friction) } })}
      />
      {school('uneven', "A foot over its even share of the set's figure", [
        ['evenShare', 'Mind it'],
        ['totalOnly', 'Look at the total only'],
      ])}
      <FittingRulesFields bay={bayRulesOf(rules)} onChange={(bay) => set({ bay })} />
      {GAPS.map(([gap, label]) => (
        <QuantityField
          key={gap}
          label={label}
          dimension="length"
          value={rules.gapsMm[gap]}
          onValue={(value) => refused(set({ gapsMm: { ...rules.gapsMm, [gap]: value } }))}
        />
      ))}
      {TOLERANCES.map(([tolerance, label]) => (
        <QuantityField
          key={tolerance}
          label={label}
          dimension="length"
          value={rules.tolerancesMm[tolerance]}
          onValue={(value) => refused(set({ tolerancesMm: { ...rules.tolerancesMm, [tolerance]: value } }))}
        />
      ))}
      {school('spread', 'Spread, when the range is free', [
        ['wide', 'Wide, for stability'],
        ['nominal', 'Nominal, the middle of the range that the gear allows'],
        ['clear', 'Clear, hatch and sunroof first'],
      ])}
      {school('tentOpens', 'Tents open to', [
        ['side', 'the side'],
        ['rear', 'the rear'],
      ])}
      <Choice
        label="Local rules for overhang (from memory: check yours)"
        value={rules.localRules ?? ''}
        options={[['', 'None chosen'], ...LOCAL_RULES.map(({ id, place }) => [id, place] as const)]}
        onChange={(id) => {
          const { localRules: _, ...rest } = rules
          onRules(id === '' ? rest : { ...rest, localRules: id })
        }}
      />
      <fieldset className="col-span-full">
        <legend className={CONTROL_CLASS.label}>To be checked in every job</legend>
        <div className="flex flex-wrap gap-3">
          {ASIDE_LOOKS.map((variant) => (
            <TickBox
              key={variant}
              checked={rules.mustLook?.includes(variant) ?? false}
              onTick={(on) => {
                const others = (rules.mustLook ?? []).filter((each) => each !== variant)
                set({ mustLook: on ? [...others, variant] : others })
              }}
            >
              {variant}
            </TickBox>
          ))}
        </div>
      </fieldset>
    </div>
  )
}
