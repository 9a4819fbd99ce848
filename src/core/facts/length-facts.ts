import { provenanceOf, type ProvenanceByField } from '../plan/schema/provenance'
import type { Plan } from '../plan/schema/plan'
import { barsOf, type Bar } from '../plan/schema/rack'
import { standsOnEach } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { lengthBracket, movesTogether } from './bracket'
import { withBars, withOne } from './plan-off'
import type { LengthFact, LengthsOf } from './tried-fact'

type Keeper = { readonly id: string; readonly name: string; readonly known?: ProvenanceByField | undefined }
type Raw = Readonly<Record<string, unknown>>

/** What is decided and not measured: where a bar or a deck is put, and where a thing's weight is. */
const DECIDED: Readonly<Partial<Record<LengthsOf, RegExp>>> = {
  bar: /^xMm$/,
  rack: /^(deck\.)?[xy]Mm$/,
  gear: /^centreOfGravity\./,
}

/** Fields that a sheet shows as one and the plan keeps as several: where each of them stands. */
const SHOWN_AS: readonly (readonly [shown: RegExp, list: string, key: string])[] = [
  [/^(points|doorPositions)\.at$/, '$1', 'xMm'],
  [/^(points|doorPositions)\.gauge$/, '$1', 'yMm'],
]

const valueAt = (value: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>(
    (so, key) => (typeof so === 'object' && so !== null ? (so as Raw)[key] : undefined),
    value,
  )

/** The paths at which a marked field stands in the plan. */
function pathsOf(thing: unknown, field: string): readonly (readonly string[])[] {
  for (const [shown, list, key] of SHOWN_AS)
    if (shown.test(field)) {
      const at = field.replace(shown, list)
      const all = valueAt(thing, [at])
      return Array.isArray(all) ? all.map((_, i) => [at, String(i), key]) : []
    }
  return [field.split('.')]
}

function setAt(value: unknown, [key, ...rest]: readonly string[], change: (was: number) => number): unknown {
  if (key === undefined) return typeof value === 'number' ? change(value) : value
  if (Array.isArray(value))
    return (value as unknown[]).map((each, i) => (String(i) === key ? setAt(each, rest, change) : each))
  if (typeof value !== 'object' || value === null) return value
  const raw = value as Raw
  return { ...raw, [key]: setAt(raw[key], rest, change) }
}

/** The plan with one thing of it changed. */
function onThing(plan: Plan, { of, id }: LengthFact['entry'], change: (thing: unknown) => unknown): Plan {
  const only = <T extends { readonly id: string }>(list: readonly T[]): T[] =>
    withOne(list, id, (each) => change(each) as T)
  switch (of) {
    case 'vehicle':
      return { ...plan, vehicle: change(plan.vehicle) as Plan['vehicle'] }
    case 'attachment':
      return { ...plan, vehicle: { ...plan.vehicle, attachments: only(plan.vehicle.attachments) } }
    case 'obstacle':
      return { ...plan, vehicle: { ...plan.vehicle, obstacles: only(plan.vehicle.obstacles) } }
    case 'rack':
      return { ...plan, racks: only(plan.racks) }
    case 'bar':
      return withBars(plan, (bar) => (bar.id === id ? (change(bar) as Bar) : bar))
    case 'gear':
      return { ...plan, gear: only(plan.gear) }
  }
}

/** How much less a length may be: what is there is never off to nothing. mm */
const least = (value: number, mm: number): number => (value > 0 ? Math.min(mm, Math.max(0, value - 1)) : mm)

/** What a field's name says of it, or that of what it stands in: `trackMm.front`. */
const IN_MM = /Mm(\.|$)/

const NONE: readonly LengthFact[] = []
/** An edit leaves most things of a plan as they were. */
const cached = new WeakMap<Keeper, readonly LengthFact[]>()

/** The lengths of a thing of which somebody or a form has said how they are known; the others are taken as they were typed. */
function factsOf(of: LengthsOf, thing: Keeper): readonly LengthFact[] {
  if (!thing.known) return NONE
  const before = cached.get(thing)
  if (before) return before
  const facts = findingText(of, thing, thing.known)
  cached.set(thing, facts)
  return facts
}

function findingText(of: LengthsOf, thing: Keeper, saying: ProvenanceByField): readonly LengthFact[] {
  return Object.entries(saying).flatMap(([shown, { by: how }]) =>
    pathsOf(thing, shown).flatMap((path): LengthFact[] => {
      const field = path.join('.')
      const value = valueAt(thing, path)
      if (typeof value !== 'number' || !IN_MM.test(field) || DECIDED[of]?.test(field)) return []
      const mm = lengthBracket(how, value)
      if (mm === 0) return []
      const entry = { of, id: thing.id, field }
      return [
        {
          in: 'mm',
          entry,
          name: thing.name,
          how,
          value,
          less: least(value, mm),
          more: mm,
          off: (plan, byMm) => {
            const off = onThing(plan, entry, (each) => setAt(each, path, (was) => was + byMm))
            return of === 'attachment' && POINT.test(field) ? barsAlong(off, thing.id, value, byMm) : off
          },
        },
      ]
    }),
  )
}

const POINT = /^(points|doorPositions)\.\d+\.xMm$/

/** As near to a point a bar is held by it. mm. */
const ON_POINT_MM = 3

/** The bars that stand on a point stand on it wherever it is. mm. */
const barsAlong = (plan: Plan, attachmentId: string, xMm: number, byMm: number): Plan =>
  withBars(plan, (bar, rack) =>
    (bar.attachmentId ?? rack.attachmentId) === attachmentId && Math.abs(bar.xMm - xMm) <= ON_POINT_MM
      ? { ...bar, xMm: bar.xMm + byMm }
      : bar,
  )

/** From one outer foot of a bar to the other. mm. */
function feetFact(bar: Keeper & { readonly feetYMm: readonly number[] }): LengthFact[] {
  const how = provenanceOf(bar, 'feetYMm.apart')
  const [first, last] = [bar.feetYMm[0], bar.feetYMm.at(-1)]
  if (how === undefined || first === undefined || last === undefined || first === last) return []
  const apart = last - first
  const mm = lengthBracket(how, apart)
  if (mm === 0) return []
  const entry = { of: 'bar', id: bar.id, field: 'feetYMm.apart' } as const
  const moved = (feet: readonly number[], byMm: number) =>
    feet.map((y, i) => (i === 0 ? y - byMm / 2 : i === feet.length - 1 ? y + byMm / 2 : y))
  return [
    {
      in: 'mm',
      entry,
      name: bar.name,
      how,
      value: apart,
      less: least(apart, mm),
      more: mm,
      off: (plan, byMm) =>
        onThing(plan, entry, (each) => {
          const thing = each as { readonly feetYMm: readonly number[] }
          return { ...thing, feetYMm: moved(thing.feetYMm, byMm) }
        }),
    },
  ]
}

/** How far the roof's skin may be below the vehicle's height, mm; nought where it is measured, or no rack stands by it. */
export function skinOffMm({ plan: { vehicle }, racks }: Survey): number {
  const byIt = standsOnEach(racks).some(([, attachment]) => !('topZMm' in attachment))
  return vehicle.roof.skinZMm === undefined && byIt ? lengthBracket('start', 0) : 0
}

/**
 * The roof's skin where nobody measured it. It is taken at the vehicle's overall height: rails and aerials may be what
 * makes that height, so that it may be lower and never higher. Nothing where no rack stands by it.
 */
function skinFact(survey: Survey): LengthFact[] {
  const { vehicle } = survey.plan
  const lessMm = skinOffMm(survey)
  if (lessMm === 0) return []
  const entry = { of: 'vehicle', id: vehicle.id, field: 'roof.skinZMm' } as const
  return [
    {
      in: 'mm',
      entry,
      name: vehicle.name,
      how: 'start',
      value: vehicle.heightMm,
      less: lessMm,
      more: 0,
      off: (plan, byMm) => ({
        ...plan,
        vehicle: {
          ...plan.vehicle,
          roof: {
            ...plan.vehicle.roof,
            skinZMm: (plan.vehicle.roof.skinZMm ?? plan.vehicle.heightMm) + byMm,
          },
        },
      }),
    },
  ]
}

/**
 * How high a rack's own mass is, where nobody said: taken where its parts are, which its towers and legs are only roughly.
 * Nothing where no side slope is planned, for nothing else asks it.
 */
function rackHeightFacts({ plan, racks, masses }: Survey): LengthFact[] {
  if (plan.use.trailRollDeg === 0) return []
  return racks.flatMap(({ rack, index }): LengthFact[] => {
    if (rack.centreZMm !== undefined || rack.parts.every(({ centreZMm }) => centreZMm !== undefined))
      return []
    let kg = 0
    let kgMm = 0
    for (const mass of masses)
      if (mass.of === 'part' && mass.racks.some(([at]) => at === index)) {
        kg += mass.kg
        kgMm += mass.kg * mass.at.z
      }
    if (kg === 0) return []
    const value = kgMm / kg
    const mm = lengthBracket('start', value)
    const entry = { of: 'rack', id: rack.id, field: 'centreZMm' } as const
    return [
      {
        in: 'mm',
        entry,
        name: rack.name,
        how: 'start',
        value,
        less: mm,
        more: mm,
        off: (off, byMm) => onThing(off, entry, (each) => ({ ...(each as object), centreZMm: value + byMm })),
      },
    ]
  })
}

/**
 * What one form filled in, or one person guessed, for every bar of a rack alike is one value: it is off on all of them by
 * as much.
 */
function asOneValue(facts: readonly LengthFact[]): readonly LengthFact[] {
  const alike = new Map<string, LengthFact>()
  for (const fact of facts) {
    const { entry, how, value } = fact
    const key = movesTogether(how) ? `${entry.field} ${how} ${value}` : `${entry.id} ${entry.field}`
    const first = alike.get(key)
    alike.set(key, first ? { ...first, off: (plan, byMm) => fact.off(first.off(plan, byMm), byMm) } : fact)
  }
  return [...alike.values()]
}

/** Every length of a plan that may be off, of the things that are on it. mm. */
export function lengthFacts(survey: Survey): readonly LengthFact[] {
  const { plan } = survey
  const { vehicle } = plan
  const placed = new Set(survey.things.map(({ gear }) => gear.id))
  return [
    ...skinFact(survey),
    ...rackHeightFacts(survey),
    ...factsOf('vehicle', vehicle),
    ...vehicle.attachments.flatMap((each) => factsOf('attachment', each)),
    ...vehicle.obstacles.flatMap((each) => factsOf('obstacle', each)),
    ...plan.racks.flatMap((rack) => [
      ...factsOf('rack', rack),
      ...asOneValue(barsOf(rack).flatMap((bar) => [...factsOf('bar', bar), ...feetFact(bar)])),
    ]),
    ...plan.gear.filter(({ id }) => placed.has(id)).flatMap((each) => factsOf('gear', each)),
  ]
}
