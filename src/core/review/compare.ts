import type { Plan } from '../plan/schema/plan'
import { type State } from '../units/scalars'
import { leftIn, type Left } from '../survey/load-path/left'
import { OUTCOME_RANK, OUTCOMES, type Outcome, type Verdict } from './finding'
import type { Review, Assessment } from './review'

/** What a plan comes to, to be held beside another. kg, mm, and money as the prices are entered. */
export interface Account {
  readonly plan: Plan
  readonly review: Review
  readonly verdicts: Readonly<Record<State, Verdict>>
  /** What may still be added over all racks in each state, and the link that binds; nothing where no figure says. */
  readonly left: Readonly<Record<State, Left | undefined>>
  readonly topMm: number
  readonly rackKg: number
  readonly onRacksKg: Readonly<Record<State, number>>
  readonly price: number
  /** How many parts and pieces of gear have a price, and how many have none. */
  readonly priced: number
  readonly unpriced: number
  readonly counts: Readonly<Record<Outcome, number>>
}

const per = <T>(of: (state: State) => T): Record<State, T> => ({
  road: of('road'),
  trail: of('trail'),
  parked: of('parked'),
})

/** What one plan comes to. */
export function accountOf(assessment: Assessment): Account {
  const { plan } = assessment
  const { survey: surveyed, review: reviewed } = assessment
  const parts = plan.racks.flatMap((rack) => rack.parts)
  const placed = plan.placements.flatMap(({ gearId }) => plan.gear.find(({ id }) => id === gearId) ?? [])
  const adapters = plan.placements.flatMap(({ fitting }) => fitting?.adapter ?? [])
  const priced = [...parts, ...placed, ...adapters].map(({ price }) => price)
  const counts = Object.fromEntries(OUTCOMES.map((outcome) => [outcome, 0])) as Record<Outcome, number>
  for (const { severity } of reviewed.findings) counts[severity] += 1
  return {
    plan,
    review: reviewed,
    verdicts: reviewed.states,
    left: per((state) => leftIn(surveyed, state)),
    topMm: surveyed.drivingTop.topMm,
    rackKg: parts.reduce((sum, part) => sum + part.count * part.eachKg, 0),
    onRacksKg: per((state) =>
      surveyed.racks.reduce((sum, { index }) => sum + surveyed.onRackKg(index, state), 0),
    ),
    price: priced.reduce<number>((sum, price) => sum + (price ?? 0), 0),
    priced: priced.filter((price) => price !== undefined).length,
    unpriced: priced.filter((price) => price === undefined).length,
    counts,
  }
}

/** A bar as far as two plans may differ in it. mm. */
interface BarSketch {
  readonly lengthMm: number
  readonly profile: string
  readonly xMm: number
}

/** What one plan has that another has not: bars of another length or profile, parts, gear. */
interface Differences {
  readonly bars: readonly {
    readonly name: string
    readonly a: BarSketch | undefined
    readonly b: BarSketch | undefined
  }[]
  readonly onlyA: readonly string[]
  readonly onlyB: readonly string[]
  /** Rules that find something in one and nothing, or something else, in the other. */
  readonly rules: readonly { readonly rule: string; readonly a: Outcome; readonly b: Outcome }[]
}

function worstByRule({ findings }: Review): Map<string, Outcome> {
  const worst = new Map<string, Outcome>()
  for (const { rule, severity } of findings) {
    const before = worst.get(rule)
    if (before === undefined || OUTCOME_RANK[severity] < OUTCOME_RANK[before]) worst.set(rule, severity)
  }
  return worst
}

function counted(names: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>()
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1)
  return counts
}

function surplus(a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>): string[] {
  return [...a].flatMap(([name, count]) => {
    const more = count - (b.get(name) ?? 0)
    return more > 0 ? [more > 1 ? `${more} × ${name}` : name] : []
  })
}

const inventory = (plan: Plan) =>
  counted([
    ...plan.racks.flatMap(({ parts }) => parts.map(({ name }) => name)),
    ...plan.placements.flatMap(({ gearId }) => plan.gear.find(({ id }) => id === gearId)?.name ?? []),
  ])

/** What differs between two plans: in things, in bars, and in what the checks say. */
export function differencesOf(a: Account, b: Account): Differences {
  const barsOf = ({ plan }: Account) =>
    plan.racks.flatMap((rack) => (rack.kind === 'ladder' ? [] : rack.bars.map((bar) => ({ rack, bar }))))
  const [barsA, barsB] = [barsOf(a), barsOf(b)]
  const sketch = (bar: (typeof barsA)[number]['bar'] | undefined): BarSketch | undefined =>
    bar && { lengthMm: bar.lengthMm, profile: bar.profile.kind, xMm: bar.xMm }
  const bars = Array.from({ length: Math.max(barsA.length, barsB.length) }, (_, i) => ({
    name: (barsA[i] ?? barsB[i])?.bar.name ?? '',
    a: sketch(barsA[i]?.bar),
    b: sketch(barsB[i]?.bar),
  })).filter((each) => JSON.stringify(each.a) !== JSON.stringify(each.b))
  const [inA, inB] = [inventory(a.plan), inventory(b.plan)]
  const [worstA, worstB] = [worstByRule(a.review), worstByRule(b.review)]
  return {
    bars,
    onlyA: surplus(inA, inB),
    onlyB: surplus(inB, inA),
    rules: [...new Set([...worstA.keys(), ...worstB.keys()])].flatMap((rule) => {
      const [of, other] = [worstA.get(rule) ?? 'nothing', worstB.get(rule) ?? 'nothing']
      return of === other ? [] : [{ rule, a: of, b: other }]
    }),
  }
}
