import {
  type Figures,
  type Load,
  type Mass,
  onBars,
  type Placement,
  type Profile,
  type Rated,
  ratings,
  type Terms,
} from '@/core/api/plan'

/** Short ways to write the demo's invented stock. */

export function sheet(prefix: string, figures: Figures, terms: Terms = { counts: 'load' }): Rated {
  return { by: 'own', ratings: ratings(prefix, figures, { kind: 'sheet', page: '2' }, terms) }
}

export const ratedTogether = (what: string): Rated => ({
  by: 'with',
  what,
  source: { kind: 'sheet', page: '2' },
})

export const maker = (kg: number): Mass => ({ kg, basis: 'maker' })
export const weighedMass = (kg: number): Mass => ({ kg, basis: 'weighed' })
export const guess = (kg: number, by = 'customer'): Mass => ({ kg, basis: 'guess', by })

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

export function contents(id: string, name: string, mass: Mass, when: Load['when'] = 'always'): Load {
  return { id, name, when, what: { kind: 'mass', mass } }
}

export function sleeping(count: number, each: Mass): Load {
  return { id: 'sleepers', name: 'Sleepers', when: 'parked', what: { kind: 'people', count, each } }
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
