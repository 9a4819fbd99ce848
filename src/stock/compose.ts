import type { Gear } from '@/core/plan/gear'
import type { Load, Placement } from '@/core/plan/placement'
import type { Bar, Part, Profile } from '@/core/plan/rack'
import type { Mass, Rated, Rating } from '@/core/plan/rating'
import type { State } from '@/core/plan/scalars'

/** Short ways to write the demo's invented stock. */

type Figures = Partial<Record<State, number>>
type Terms = Pick<Partial<Rating>, 'per' | 'counts' | 'gearKind' | 'upToKmH'>

/** Ratings by state, all from one invented sheet. */
export function ratings(
  prefix: string,
  figures: Figures,
  source: Rating['source'],
  terms: Terms = {},
): Rating[] {
  return (['road', 'trail', 'parked'] as const).flatMap((state) => {
    const kg = figures[state]
    return kg === undefined
      ? []
      : [{ id: `${prefix}-${state}`, state, kg, per: 'set' as const, source, ...terms }]
  })
}

export function sheet(prefix: string, figures: Figures, terms: Terms = { counts: 'load' }): Rated {
  return { by: 'own', ratings: ratings(prefix, figures, { kind: 'sheet', page: '2' }, terms) }
}

export const together = (what: string): Rated => ({ by: 'with', what, source: { kind: 'sheet', page: '2' } })

export const maker = (kg: number): Mass => ({ kg, basis: 'maker' })
export const weighed = (kg: number): Mass => ({ kg, basis: 'weighed' })
export const guess = (kg: number, by = 'customer'): Mass => ({ kg, basis: 'guess', by })

export function part(
  id: string,
  role: Part['role'],
  name: string,
  count: number,
  eachKg: number,
  rated: Rated,
  price?: number,
): Part {
  return { id, role, name, count, eachKg, rated, ...(price === undefined ? {} : { price }) }
}

export function bar(
  id: string,
  name: string,
  xMm: number,
  lengthMm: number,
  feetMm: number,
  riseMm: number,
  profile: Profile,
): Bar {
  return {
    id,
    name,
    xMm,
    lengthMm,
    usableMm: Math.min(lengthMm - 60, 2 * feetMm - 80),
    capMm: 5,
    riseMm,
    profile,
    feetYMm: [-feetMm, feetMm],
  }
}

export const AERO: Profile = {
  kind: 'aero',
  widthMm: 82,
  heightMm: 28,
  channel: { slotMm: 20, headRoomMm: 8 },
}
export const SQUARE: Profile = {
  kind: 'square',
  widthMm: 32,
  heightMm: 22,
  wallMm: 1.5,
  material: { name: 'Steel', eGPa: 210, yieldMPa: 235 },
}
export const HEAVY: Profile = {
  kind: 'flat',
  widthMm: 60,
  heightMm: 35,
  wallMm: 2,
  material: { name: 'Aluminium', eGPa: 69, yieldMPa: 160 },
  channel: { slotMm: 11, headRoomMm: 7 },
}

type GearDraft = Pick<Gear, 'id' | 'kind' | 'name' | 'shape' | 'mass' | 'fit'> &
  Partial<Gear> & { size: readonly [number, number, number] }

/** A piece of gear from its size (length, width, height in mm) and what differs from the plainest thing. */
export function gear({ size: [lengthMm, widthMm, heightMm], ...draft }: GearDraft): Gear {
  return { lengthMm, widthMm, heightMm, turns: [0, 90, 180, 270], onEdge: false, when: 'always', ...draft }
}

export function contents(id: string, name: string, mass: Mass, when: Load['when'] = 'always'): Load {
  return { id, name, when, what: { kind: 'mass', mass } }
}

export function sleepers(count: number, each: Mass): Load {
  return { id: 'sleepers', name: 'Sleepers', when: 'parked', what: { kind: 'people', count, each } }
}

export function onBars(
  id: string,
  gearId: string,
  barIds: string[],
  xMm: number,
  yMm: number,
  rest: Partial<Placement> = {},
): Placement {
  return {
    id,
    gearId,
    host: { on: 'bars', barIds },
    xMm,
    yMm,
    turn: 0,
    onEdge: false,
    when: 'always',
    loads: [],
    ...rest,
  }
}

export function onDeck(
  id: string,
  gearId: string,
  rackId: string,
  xMm: number,
  yMm: number,
  rest: Partial<Placement> = {},
): Placement {
  return { ...onBars(id, gearId, ['x'], xMm, yMm, rest), host: { on: 'deck', rackId } }
}

export function inPlace(
  id: string,
  gearId: string,
  placementId: string,
  placeId: string,
  rest: Partial<Placement> = {},
): Placement {
  return { ...onBars(id, gearId, ['x'], 0, 0, rest), host: { on: 'place', placementId, placeId } }
}
