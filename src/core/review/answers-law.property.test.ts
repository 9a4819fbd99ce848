import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawing } from '@/core/draw.testing'
import { atLeast, runs } from '@/core/runs.testing'
import { lengthBracket, massBracket, movesTogether } from '../facts/bracket'
import { BASES } from '../kinds/basis'
import { PROVENANCES, type Provenance } from '../kinds/provenance'
import { kindsOf } from '../kinds/kind'
import { madePlans } from '../plan/made-plans.testing'
import type { Plan } from '../plan/schema/plan'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import type { Check } from './check'
import { CHECKS } from './checks'
import type { Finding } from './finding'
import { underDoubt } from './under-doubt'

/**
 * The law of doubt on answers: every check that lengths or masses may turn is asked of the plan as it stands; then with
 * one told or measured fact at either end, with all guesses and starting values together, and with every fact at the end
 * that was worse. Facts are changed in the plan itself and tried whatever a check says of what may turn it.
 * Not in it, by name: clamps on a bar whose section is in doubt, answers that ask something already, and what is decided and not measured (where bars stand).
 */
const ALL = 2000
const TURNED = CHECKS.filter(({ turnedBy }) => turnedBy.lengths ?? turnedBy.masses)

type Path = readonly (string | number)[]
interface Fact {
  readonly how: Provenance
  readonly bracket: number
  readonly paths: readonly Path[]
  readonly mass: boolean
}

const at = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>((node, key) => (node as Record<string | number, unknown> | undefined)?.[key], value)

function moved(plan: Plan, path: Path, by: number): Plan {
  const change = (value: unknown, [key, ...rest]: Path): unknown => {
    if (key === undefined) return (value as number) + by
    if (Array.isArray(value))
      return value.map((each, i) => (i === key ? change(each, rest) : (each as unknown)))
    return { ...(value as object), [key]: change((value as Record<string, unknown>)[key], rest) }
  }
  return change(plan, path) as Plan
}

/** The lengths that the law marks, by what holds them: each with the path of its field. */
const LENGTHS: readonly (readonly [of: (plan: Plan) => readonly Path[], fields: readonly string[]])[] = [
  [() => [['vehicle']], ['heightMm', 'lengthMm', 'noseToScreenMm', 'trackMm.front']],
  [(plan) => plan.vehicle.obstacles.map((_, i) => ['vehicle', 'obstacles', i]), ['heightMm', 'tiltRiseMm']],
  [
    (plan) =>
      plan.racks.flatMap((rack, i) =>
        'bars' in rack ? rack.bars.map((_, j) => ['racks', i, 'bars', j]) : [],
      ),
    ['usableMm', 'riseMm', 'lengthMm', 'capMm', 'profile.heightMm', 'profile.widthMm'],
  ],
  [
    (plan) => plan.gear.map((_, i) => ['gear', i]),
    ['lengthMm', 'widthMm', 'heightMm', 'fit.overhangMm', 'fit.baseMm', 'fit.spreadMm.fromMm'],
  ],
]

const DOUBTFUL = kindsOf(PROVENANCES).filter((how) => lengthBracket(how, 1000) > 0)
const MASSES = kindsOf(BASES).filter((basis) => basis !== 'unknown')

/** The plan in which a few lengths and every weight of gear draw how they are known; all else is as the maker says. */
function drawn(plan: Plan, pick: (count: number) => number): Plan {
  const sure = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(sure)
    if (typeof value !== 'object' || value === null) return value
    const { known: _, others: _others, ...rest } = value as Record<string, unknown>
    const raw = Object.fromEntries(Object.entries(rest).map(([key, each]) => [key, sure(each)] as const))
    return 'kg' in raw && 'basis' in raw ? { ...raw, basis: 'maker' } : raw
  }
  const skinZMm = plan.vehicle.roof.skinZMm ?? plan.vehicle.heightMm
  let node = sure({ ...plan, vehicle: { ...plan.vehicle, roof: { ...plan.vehicle.roof, skinZMm } } }) as Plan
  node = {
    ...node,
    vehicle: { ...node.vehicle, known: { kerbKg: { by: 'label' } } },
    racks: node.racks.map((rack) => ({
      ...rack,
      parts: rack.parts.map((part) => ({ ...part, known: { eachKg: { by: 'sheet' as const } } })),
    })),
    gear: node.gear.map((gear) => ({
      ...gear,
      mass: { ...gear.mass, basis: MASSES[pick(MASSES.length)] ?? 'maker' },
    })),
  }
  for (const [of, fields] of LENGTHS)
    for (const path of of(node))
      for (const field of fields) {
        if (typeof at(node, [...path, ...field.split('.')]) !== 'number' || pick(4) > 0) continue
        const by = DOUBTFUL[pick(DOUBTFUL.length)] ?? 'told'
        const mark = (value: unknown, [key, ...rest]: Path): unknown => {
          if (key === undefined) {
            const thing = value as { readonly known?: object }
            return { ...thing, known: { ...thing.known, [field]: { by } } }
          }
          if (Array.isArray(value))
            return value.map((each, i) => (i === key ? mark(each, rest) : (each as unknown)))
          return { ...(value as object), [key]: mark((value as Record<string, unknown>)[key], rest) }
        }
        node = mark(node, path) as Plan
      }
  return node
}

/** Every fact of the plan that is not certain, found by its marks. */
function factsOf(plan: Plan): readonly Fact[] {
  const placed = new Set(plan.placements.map(({ gearId }) => gearId))
  const lengths = LENGTHS.flatMap(([of]) =>
    of(plan).flatMap((path): Fact[] => {
      const thing = at(plan, path) as {
        readonly id: string
        readonly known?: Record<string, { by: Provenance }>
      }
      if (path[0] === 'gear' && !placed.has(thing.id)) return []
      return Object.entries(thing.known ?? {}).flatMap(([field, { by: how }]) => {
        const to = [...path, ...field.split('.')]
        const value = at(plan, to)
        const bracket = typeof value === 'number' ? lengthBracket(how, value) : 0
        return bracket > 0 ? [{ how, bracket, paths: [to], mass: false }] : []
      })
    }),
  )
  const masses = plan.gear.flatMap((gear, i): Fact[] => {
    const { kg, basis } = gear.mass
    const how = kindsOf(PROVENANCES).find((each) => PROVENANCES[each].basis === basis) ?? 'sheet'
    const bracket = kg * massBracket(basis, plan.rules)
    return placed.has(gear.id) && bracket > 0
      ? [{ how, bracket, paths: [['gear', i, 'mass', 'kg']], mass: true }]
      : []
  })
  // What was filled in or guessed for all bars of a rack alike is one value.
  const one = new Map<string, Fact>()
  for (const fact of lengths) {
    const path = fact.paths[0] ?? []
    const alike = path[0] === 'racks' && movesTogether(fact.how)
    const key = alike ? [path[1], ...path.slice(4), fact.how, at(plan, path)].join(' ') : path.join(' ')
    const before = one.get(key)
    one.set(key, before ? { ...before, paths: [...before.paths, path] } : fact)
  }
  return [...one.values(), ...masses]
}

const plainly = (plan: Plan): Plan => ({
  ...plan,
  rules: { ...plan.rules, guess: { school: 'margin', percent: 0 } },
})

type Way = 'over' | 'hangs' | 'together' | 'within'
const WAYS: readonly Way[] = ['over', 'hangs', 'together', 'within']
/** Of so many plans: few of them have facts that turn an answer all at once and none by itself. */
const LEAST: Readonly<Record<Way, number>> = { over: 200, hangs: 200, together: 3, within: 200 }

const wayOf = (finding: Finding | undefined): Way =>
  finding?.severity === 'stop'
    ? 'over'
    : finding?.severity === 'findOut'
      ? 'hangs'
      : finding?.together
        ? 'together'
        : 'within'

type Answers = ReadonlyMap<string, Finding>
/** What each check answers of the plan with facts so much off, a part of each's bracket from -1 to 1. */
type Trials = (off: readonly number[]) => (check: Check) => Answers

function trialsOf(plan: Plan, facts: readonly Fact[]): Trials {
  const known = new Map<string, (check: Check) => Answers>()
  return (off) => {
    const key = off.join(' ')
    const before = known.get(key)
    if (before) return before
    const trial = survey(
      facts.reduce(
        (all, { paths, bracket }, i) =>
          paths.reduce((node, path) => {
            const part = (off[i] ?? 0) * bracket
            // What is there is never off to nothing.
            const value = Number(at(node, path))
            const by = part < 0 && value > 0 && path.at(-1) !== 'kg' ? Math.max(part, 1 - value) : part
            return by === 0 ? node : moved(node, path, by)
          }, all),
        plan,
      ),
    )
    const answers = new Map<Check, Answers>()
    const of = (check: Check): Answers => {
      const found =
        answers.get(check) ?? new Map(check.run(trial).map((finding) => [finding.id, finding] as const))
      answers.set(check, found)
      return found
    }
    known.set(key, of)
    return of
  }
}

const POINTS = [-1, -0.75, -0.5, -0.25, 0.25, 0.5, 0.75, 1]
/** Of so many facts every corner is looked at. */
const CORNERS = 6

/** How near to a Stop an answer is, in whatever its check measures that; nothing where it says nothing. */
function roomOf(finding: Finding | undefined): number {
  if (!finding) return Infinity
  if (finding.severity === 'stop') return -1e9
  const { nearStop, margin } = finding
  const near = nearStop?.share ?? nearStop?.mm
  return typeof near === 'number' ? near : near ? Math.min(...Object.values(near)) : (margin?.value ?? 1e9)
}

/** Every way to be off that the law tries for some of the facts all at once. */
function together(
  check: Check,
  id: string,
  count: number,
  which: readonly number[],
  trials: Trials,
): readonly (readonly number[])[] {
  const off = (of: (i: number) => number) =>
    Array.from({ length: count }, (_, i) => (which.includes(i) ? of(i) : 0))
  if (which.length <= CORNERS)
    return Array.from({ length: 2 ** which.length }, (_, corner) =>
      off((i) => ((corner >> which.indexOf(i)) % 2 === 0 ? -1 : 1)),
    )
  const room = (i: number, end: number) =>
    roomOf(trials(Array.from({ length: count }, (_, j) => (j === i ? end : 0)))(check).get(id))
  const now = room(-1, 0)
  const worse = (i: number) => (room(i, -1) < room(i, 1) ? -1 : 1)
  const idle = (i: number) => Math.min(room(i, -1), room(i, 1)) >= now
  return [
    off(worse),
    // What no end makes worse by itself may do so with the others: what rests on the higher of two comes down with both.
    ...[-1, 1].map((end) => off((i) => (idle(i) ? end : worse(i)))),
    ...which.flatMap((one) => [-1, 1].map((end) => off((i) => (i === one ? end : 0)))),
  ]
}

/** What becomes of each answer of a check by whole surveys of changed plans alone. */
function reference(check: Check, facts: readonly Fact[], trials: Trials): ReadonlyMap<string, Way> {
  const count = facts.length
  const base = trials(facts.map(() => 0))(check)
  const left = (path: Path) => check.id === 'mount-match' && path.includes('profile')
  const own = facts.flatMap(({ mass, paths }, i) =>
    (mass && !check.turnedBy.masses) || paths.some(left) ? [] : [i],
  )
  const loose = own.filter((i) => movesTogether(facts[i]!.how))
  const ways = new Map<string, Way>()
  for (const [id, { severity, ask, nearStop }] of base) {
    if (ask || !['stop', 'mind', 'clear'].includes(severity)) continue
    const turns = (off: readonly number[]) => {
      const there = trials(off)(check)
      // What speaks for all that has no answer of its own turns with any of them.
      if (
        nearStop?.rest &&
        [...there.values()].some((each) => each.severity === 'stop' && !base.has(each.id))
      )
        return true
      return (there.get(id)?.severity === 'stop') !== (severity === 'stop')
    }
    const single = (i: number) =>
      (check.turnedBy.lengths?.turnsBack ? POINTS : [-1, 1]).some((end) =>
        turns(facts.map((_, j) => (j === i ? end : 0))),
      )
    const all = (which: readonly number[]) =>
      which.length > 0 && together(check, id, count, which, trials).some(turns)
    ways.set(
      id,
      severity === 'stop'
        ? 'over'
        : own.some((i) => !loose.includes(i) && single(i)) || all(loose)
          ? 'hangs'
          : all(own)
            ? 'together'
            : 'within',
    )
  }
  return ways
}

describe('every answer under doubt', () => {
  it('is judged as whole surveys of changed plans come out', () => {
    const met: Record<Way, number> = { over: 0, hangs: 0, together: 0, within: 0 }
    fc.assert(
      fc.property(madePlans, fc.integer({ min: 1, max: 2 ** 30 }), (made, seed) => {
        const pick = drawing(seed)
        const plan = drawn(made, pick)
        const surveyed = survey(plan)
        const { judge } = underDoubt(surveyed)
        const facts = factsOf(plan)
        const trials = trialsOf(plainly(plan), facts)
        for (const check of TURNED) {
          const expected = reference(check, facts, trials)
          const assessment = new Map(judge(check, check.run(surveyed)).map((each) => [each.id, each]))
          for (const [id, way] of expected) {
            const is = assessment.get(id)
            met[way] += 1
            expect(wayOf(is), `${id}: ${is ? phraseText(is.sentence) : 'no answer'}`).toBe(way)
          }
        }
      }),
      { numRuns: runs(ALL), endOnFailure: true },
    )
    console.log(`Answers under doubt: ${WAYS.map((way) => `${met[way]} ${way}`).join(', ')}.`)
    for (const way of WAYS) expect(met[way], way).toBeGreaterThanOrEqual(atLeast(LEAST[way], ALL))
  })
})
