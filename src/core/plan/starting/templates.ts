import type { State } from '../../units/scalars'
import type { Rating, Rated } from '../schema/rating'
import type { Bar, Part, Profile } from '../schema/rack'
import type { Gear } from '../schema/gear'
import type { Placement } from '../schema/placement'

/** Figures in kg, by state. */
export type Figures = Partial<Record<State, number>>
export type Terms = Pick<Partial<Rating>, 'per' | 'counts' | 'gearKind' | 'upToKmH'>

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

/** A part of a rack, or a set of alike ones; masses of one piece in kg, off the sheet its figures are from. */
export function part(
  id: string,
  role: Part['role'],
  name: string,
  count: number,
  eachKg: number,
  rated: Rated,
  price?: number,
): Part {
  return {
    id,
    role,
    name,
    count,
    eachKg,
    rated,
    ...(price === undefined ? {} : { price }),
    known: { eachKg: { by: 'sheet' } },
  }
}

/** A bar across the vehicle, its feet as far out as `feetMm` on either side. mm. */
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

type GearDraft = Pick<Gear, 'id' | 'kind' | 'name' | 'shape' | 'mass' | 'fit'> &
  Partial<Gear> & { size: readonly [number, number, number] }

/** A piece of gear from its size (length, width, height in mm) and what differs from the plainest thing. */
export function gear({ size: [lengthMm, widthMm, heightMm], ...draft }: GearDraft): Gear {
  return { lengthMm, widthMm, heightMm, turns: [0, 90, 180, 270], onEdge: false, when: 'always', ...draft }
}

/** A thing on some bars, x and y of its middle in mm; it lies as it is, always, with nothing in it, unless told otherwise. */
export const onBars = (
  id: string,
  gearId: string,
  barIds: readonly string[],
  xMm: number,
  yMm: number,
  rest: Partial<Placement> = {},
): Placement => ({
  id,
  gearId,
  host: { on: 'bars', barIds: [...barIds] },
  xMm,
  yMm,
  turn: 0,
  onEdge: false,
  when: 'always',
  loads: [],
  ...rest,
})
