import { BODIES } from '../../kinds/body'
import { kerbOf, type Vehicle } from '../../plan/schema/vehicle'
import { roofZ } from '../frame/arrangement'
import type { MassPoint } from '../loads/mass-point'

/** Track / (2 × height of the centre of gravity). Published definition: NHTSA, from memory. Any one unit of length. */
export function staticStabilityFactor(trackMm: number, heightMm: number): number {
  return trackMm / (2 * heightMm)
}

/** The side slope at which a standing vehicle would tip: atan(T/2h), degrees. */
export function sideSlopeDeg(factor: number): number {
  return (Math.atan(factor) * 180) / Math.PI
}

/** NHTSA's bands of the static stability factor, after rounding to two places, best first. Published: NHTSA 2001, from memory. */
export const BANDS = [
  { from: 1.45, name: '1.45 or more' },
  { from: 1.25, name: '1.25 to 1.44' },
  { from: 1.13, name: '1.13 to 1.24' },
  { from: 1.04, name: '1.04 to 1.12' },
  { from: -Infinity, name: '1.03 or less' },
] as const

/** The band a factor falls in: 0 is the best, 4 the lowest. */
export function bandOf(factor: number): number {
  const rounded = Math.round(factor * 100) / 100
  return BANDS.findIndex(({ from }) => rounded >= from)
}

const USUAL_TRACK_SHARE = 0.85

/** A vehicle's own mass and centre of gravity: known, or estimated, and then how far off it may be. */
export interface OwnBalance {
  readonly kerbKg: number
  readonly heightMm: number
  readonly trackMm: number
  /** Where it sits between the axles, from the front one; nothing where nobody knows. */
  readonly behindFrontAxleMm: number | undefined
  readonly estimated: readonly ('kerb mass' | 'height of the centre of gravity' | 'track')[]
}

/** Where the front axle stands, mm in the vehicle frame. */
function frontAxleX(vehicle: Vehicle): number {
  return vehicle.frontOverhangMm - vehicle.noseToScreenMm
}

/** The vehicle's own mass, track and centre of gravity, from its figures or by estimate. kg, mm. */
function ownBalance(vehicle: Vehicle): OwnBalance {
  const { centreOfGravity: own, trackMm } = vehicle
  const kerbKg = kerbOf(vehicle)
  const track = trackMm ? (trackMm.front + trackMm.rear) / 2 : vehicle.widthMm * USUAL_TRACK_SHARE
  const heightMm =
    own === undefined
      ? roofZ(vehicle) * BODIES[vehicle.body].balanceShare
      : own.known === 'stability'
        ? track / (2 * own.staticStabilityFactor)
        : own.heightMm
  return {
    kerbKg: kerbKg ?? BODIES[vehicle.body].kerbKg,
    heightMm,
    trackMm: track,
    behindFrontAxleMm:
      own === undefined || own.known === 'height'
        ? undefined
        : own.known === 'position'
          ? own.xMm - frontAxleX(vehicle)
          : (1 - own.frontShare) * vehicle.wheelbaseMm,
    estimated: [
      ...(kerbKg === undefined ? (['kerb mass'] as const) : []),
      ...(own === undefined ? (['height of the centre of gravity'] as const) : []),
      ...(trackMm === undefined ? (['track'] as const) : []),
    ],
  }
}

/** How the vehicle stands with some of it on: mass kg, height of the centre of gravity mm, factor, tipping slope in degrees. */
export interface TipOverCase {
  readonly kg: number
  readonly heightMm: number
  readonly factor: number
  readonly slopeDeg: number
}

function stand(
  own: OwnBalance,
  above: readonly { readonly kg: number; readonly zMm: number }[],
): TipOverCase {
  const kg = above.reduce((sum, each) => sum + each.kg, own.kerbKg)
  const heightMm = above.reduce((sum, each) => sum + each.kg * each.zMm, own.kerbKg * own.heightMm) / kg
  const factor = staticStabilityFactor(own.trackMm, heightMm)
  return { kg, heightMm, factor, slopeDeg: sideSlopeDeg(factor) }
}

/** How it stands bare, with its racks, and loaded; and between which factors it would be loaded if an estimate is off. */
export interface TipOver {
  readonly own: OwnBalance
  readonly bare: TipOverCase
  readonly racked: TipOverCase
  readonly loaded: TipOverCase
  readonly state: 'road' | 'trail'
  readonly loadedBetween: { readonly least: TipOverCase; readonly most: TipOverCase }
}

/** How far an estimate of mass or height may be off, either way. Rough; no source. */
const OFF = 0.1

/** Standing before and after in the driving state that is the worse. People and luggage inside are left out: they lower it. */
export function tipOverOf(vehicle: Vehicle, masses: readonly MassPoint[]): TipOver {
  const own = ownBalance(vehicle)
  const points = (state: 'road' | 'trail', only: 'part' | 'all') =>
    masses
      .filter(
        (mass) =>
          mass.of !== 'occupant' &&
          mass.states.includes(state) &&
          (only === 'all' || mass.of === 'part' || mass.of === 'holder'),
      )
      .map((mass) => ({ kg: mass.kg * mass.factor, zMm: mass.at.z }))
  const loadedIn = (state: 'road' | 'trail', as: OwnBalance = own) => stand(as, points(state, 'all'))
  const state = loadedIn('trail').factor < loadedIn('road').factor ? 'trail' : 'road'
  const scaled = (mass: number, height: number): OwnBalance => ({
    ...own,
    kerbKg: own.kerbKg * (own.estimated.includes('kerb mass') ? mass : 1),
    heightMm: own.heightMm * (own.estimated.includes('height of the centre of gravity') ? height : 1),
  })
  return {
    own,
    state,
    bare: stand(own, []),
    racked: stand(own, points(state, 'part')),
    loaded: loadedIn(state),
    loadedBetween: {
      least: loadedIn(state, scaled(1 - OFF, 1 + OFF)),
      most: loadedIn(state, scaled(1 + OFF, 1 - OFF)),
    },
  }
}

/** How much of a mass the rear axle bears, by the lever rule over the wheelbase; people and luggage inside as if midway. */
export const rearShareOf = (vehicle: Vehicle, mass: MassPoint): number =>
  mass.of === 'occupant' ? 0.5 : (mass.at.x - frontAxleX(vehicle)) / vehicle.wheelbaseMm

/** How much of its own mass the rear axle bears; nothing where nobody knows how that sits. */
export function ownRearShare(vehicle: Vehicle): number | undefined {
  const own = ownBalance(vehicle)
  return own.behindFrontAxleMm === undefined ? undefined : own.behindFrontAxleMm / vehicle.wheelbaseMm
}
