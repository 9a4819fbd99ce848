import { bar, gear, part, ratings, type Figures } from './starting/templates'
import type { Basis } from '../kinds/basis'
import { startingSizes } from '../survey/frame/body/starting-sizes'
import { newPlan } from './starting/new-plan'
import type { Gear } from './schema/gear'
import type { Load, Placement } from './schema/placement'
import type { Plan } from './schema/plan'
import type { Rack } from './schema/rack'
import type { Rated, Rating } from './schema/rating'
import type { Attachment, Vehicle } from './schema/vehicle'
import { apply } from './commands/apply'
import type { Command } from './commands/command'

/** Plans as plain as can be, for tests: one thing varied at a time. */

export const LB = 0.45359237

export function own(id: string, figures: Figures, terms: Partial<Rating> = {}): Rated {
  return { by: 'own', ratings: ratings(id, figures, { kind: 'sheet' }, terms) }
}

export const NONE: Rated = { by: 'own', ratings: [] }
const WITH_ROOF: Rated = { by: 'with', what: 'the roof', source: { kind: 'manual' } }

export const RAILS: Attachment = {
  kind: 'raisedRail',
  id: 'rails',
  name: 'Rails',
  rated: WITH_ROOF,
  gaugeMm: 1000,
  ranges: [{ fromMm: 100, toMm: 2300 }],
  riseMm: 40,
}

export function vehicleWith(roof: Rating[], attachments: Attachment[] = [RAILS]): Vehicle {
  const sizes = startingSizes('estate')
  return {
    ...sizes,
    id: 'vehicle',
    name: 'Test estate',
    roof: { ...sizes.roof, ratings: roof },
    attachments,
    obstacles: [],
  }
}

export const SECTION = { kind: 'aero', widthMm: 80, heightMm: 30 } as const

/** The check list's bar: a hollow rectangle of aluminium, 60 × 25 × 2 mm. */
export const TUBE = {
  kind: 'flat',
  widthMm: 60,
  heightMm: 25,
  wallMm: 2,
  material: { name: 'Aluminium', eGPa: 69, yieldMPa: 160 },
} as const

/** Two bars at 500 and 1400 mm on feet 1000 mm apart: weightless parts unless told otherwise. */
export function barsRack(given: {
  bars?: Rated
  feet?: Rated
  kit?: Rated
  eachKg?: number
  xs?: number[]
  id?: string
}): Rack {
  const id = given.id ?? 'rack'
  const xs = given.xs ?? [500, 1400]
  const kg = given.eachKg ?? 0
  return {
    id,
    kind: 'bars',
    name: 'Test rack',
    attachmentId: 'rails',
    bars: xs.map((x, i) => bar(`${id}-bar-${i + 1}`, `Bar ${i + 1}`, x, 1300, 500, 60, SECTION)),
    parts: [
      part(`${id}-bars`, 'bars', 'Bars', xs.length, kg, given.bars ?? NONE),
      part(`${id}-feet`, 'feet', 'Feet', xs.length * 2, kg, given.feet ?? NONE),
      ...(given.kit ? [part(`${id}-kit`, 'fitKit', 'Fit kit', 1, kg, given.kit)] : []),
    ],
  }
}

export function thing(id: string, kg: number, rest: Partial<Gear> = {}, basis: Basis = 'maker'): Gear {
  return {
    ...gear({
      id,
      kind: 'other',
      name: id,
      shape: 'box',
      size: [1200, 600, 300],
      mass: { kg, basis },
      fit: { mount: { kind: 'strap' } },
    }),
    ...rest,
  }
}

export function carrier(id: string, kg: number, figures: Figures, rest: Partial<Gear> = {}): Gear {
  return thing(id, kg, {
    kind: 'box',
    carries: {
      rated: own(id, figures, { counts: 'load' }),
      places: [{ id: 'inside', name: 'Inside', kind: 'inside', xMm: 0, yMm: 0, zMm: 0 }],
    },
    ...rest,
  })
}

export function weight(id: string, kg: number, rest: Partial<Load> = {}, basis: Basis = 'maker'): Load {
  return { id, name: id, when: 'always', what: { kind: 'mass', mass: { kg, basis } }, ...rest }
}

/** A thing in the middle of the test rack's bars, or where it is told to be. */
export function at(gearId: string, rest: Partial<Placement> = {}): Placement {
  return {
    id: gearId,
    gearId,
    host: { on: 'bars', barIds: ['rack-bar-1', 'rack-bar-2'] },
    xMm: 950,
    yMm: 0,
    turn: 0,
    onEdge: false,
    when: 'always',
    loads: [],
    straps: { count: 9, eachKg: 1000 },
    ...rest,
  }
}

export function planOf(
  vehicle: Vehicle,
  racks: Rack[],
  things: readonly (readonly [Gear, Partial<Placement>?])[] = [],
): Plan {
  const plan = newPlan({ id: 'plan', job: { name: 'Test' }, vehicle, racks })
  return {
    ...plan,
    use: { ...plan.use, occupants: [] },
    gear: things.map(([gear]) => gear),
    placements: things.map(([gear, placement]) => at(gear.id, placement)),
  }
}

export const roofOf = (figures: Figures, terms: Partial<Rating> = { counts: 'everything' }) =>
  ratings('roof', figures, { kind: 'manual' }, terms)

/** A plan after edits, each of which must be taken. */
export const edited = (plan: Plan, ...commands: readonly Command[]): Plan =>
  commands.reduce((current, command) => {
    const done = apply(current, command)
    if (!done.ok) throw new Error(done.reason)
    return done.plan
  }, plan)
