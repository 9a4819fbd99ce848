import { statesOf } from '../loads/presence'
import { type GearShape, GEAR_SHAPES } from '../../kinds/gear-shape'
import type { Profile } from '../../plan/schema/rack'
import type { Vehicle } from '../../plan/schema/vehicle'
import { packed, type Arrangement, type ThingAt } from '../frame/arrangement'

/** Density of air at sea level and 15 °C, kg/m³. Published: ISO 2533, standard atmosphere, from memory. */
const AIR_KG_PER_M3 = 1.225

/** Energy in what drives a vehicle: kWh per litre (lower heating value), or per kWh. Handbook figures, rounded, from memory. */
const ENERGY_KWH: Readonly<Record<NonNullable<Vehicle['drive']>['energy'], number>> = {
  petrol: 8.9,
  diesel: 9.9,
  battery: 1,
}

/** Dynamic pressure ½·ρ·v² at a speed in km/h, Pa. Handbook. */
export function dynamicPressure(kmH: number): number {
  return (AIR_KG_PER_M3 * (kmH / 3.6) ** 2) / 2
}

/** Energy that a drag costs on the road over 100 km, kWh: N × 100 km. */
export function kWhPer100Km(dragN: number): number {
  return (dragN * 1e5) / 3.6e6
}

interface ShapeClass {
  readonly name: string
  readonly cd: number
  /** Lift as a bracket on the area seen from above: rough. */
  readonly lift: readonly [number, number]
}

/**
 * Drag by shape. Handbook: Hoerner, Fluid-Dynamic Drag, from memory: cube face-on 1.05, flat plate 1.17 to 1.28,
 * blunt cylinder end-on about 0.9; rounded and slender bodies are middling picks out of a wide range. Lift has no
 * such source: the bracket is rough.
 */
const FLOWS: Readonly<Record<(typeof GEAR_SHAPES)[GearShape]['flow'], ShapeClass>> = {
  blunt: { name: 'block, face-on', cd: 1.05, lift: [0, 0.2] },
  plate: { name: 'flat plate, face-on', cd: 1.17, lift: [0, 0.2] },
  rounded: { name: 'rounded block', cd: 0.5, lift: [0, 0.2] },
  slender: { name: 'slender hull, end-on', cd: 0.25, lift: [0, 0.15] },
  thin: { name: 'thin plate lying flat', cd: 1.17, lift: [0, 0.4] },
  rod: { name: 'bundle of rods, end-on', cd: 0.9, lift: [0, 0.2] },
}

/** Bars across the wind. Handbook: Hoerner, from memory: long round cylinder 1.2, square one face-on 2.05; shaped ones a middling pick. */
const BAR_CD: Readonly<Record<Profile['kind'], number>> = {
  round: 1.2,
  square: 2.05,
  flat: 2.05,
  aero: 0.35,
  factory: 0.7,
}

/** One thing in the wind. Areas in m², forces in N. */
export interface InWind {
  readonly id: string
  readonly name: string
  readonly thing: ThingAt | undefined
  readonly shape: string
  readonly cd: number | undefined
  readonly areaM2: number
  readonly cdAM2: number
  readonly dragN: number
  readonly liftN: { readonly from: number; readonly to: number }
}

export interface Wind {
  readonly kmH: number
  readonly pressurePa: number
  readonly items: readonly InWind[]
  readonly cdAM2: number
  readonly dragN: number
  readonly liftN: { readonly from: number; readonly to: number }
  readonly kWhPer100Km: number
  /** What that is in the tank or battery; nothing where nobody said what drives the vehicle. */
  readonly fuelPer100Km: { readonly unit: 'L' | 'kWh'; readonly amount: number } | undefined
}

const areas = ({ x0, x1, y0, y1, z0, z1 }: ThingAt['box']) => ({
  frontM2: ((y1 - y0) * (z1 - z0)) / 1e6,
  topM2: ((x1 - x0) * (y1 - y0)) / 1e6,
})

/** What the wind does to everything in the open at the plan's road speed; what one thing shelters of another is not taken off. */
export function windOf(vehicle: Vehicle, kmH: number, arrangement: Arrangement): Wind {
  const q = dynamicPressure(kmH)
  const bars = arrangement.bars.map(({ bar }): InWind => {
    const areaM2 = (bar.lengthMm * bar.profile.heightMm) / 1e6
    const cd = BAR_CD[bar.profile.kind]
    return {
      id: bar.id,
      name: bar.name,
      thing: undefined,
      shape: 'bar across the wind',
      cd,
      areaM2,
      cdAM2: cd * areaM2,
      dragN: q * cd * areaM2,
      liftN: { from: 0, to: 0 },
    }
  })
  const things = arrangement.things
    .filter((thing) => !packed(thing) && rides(thing))
    .map((thing): InWind => {
      const { gear } = thing
      const { name, cd, lift } = FLOWS[GEAR_SHAPES[gear.shape].flow]
      const { frontM2, topM2 } = areas(thing.box)
      const cdAM2 = gear.dragAreaM2 ?? cd * frontM2
      return {
        id: thing.placement.id,
        name: gear.name,
        thing,
        shape: gear.dragAreaM2 === undefined ? name : 'drag area by its maker',
        cd: gear.dragAreaM2 === undefined ? cd : undefined,
        areaM2: frontM2,
        cdAM2,
        dragN: q * cdAM2,
        liftN: { from: q * lift[0] * topM2, to: q * lift[1] * topM2 },
      }
    })
  const items = [...bars, ...things]
  const sum = (of: (item: InWind) => number) => items.reduce((total, item) => total + of(item), 0)
  const dragN = sum((item) => item.dragN)
  const energy = kWhPer100Km(dragN)
  return {
    kmH,
    pressurePa: q,
    items,
    cdAM2: sum((item) => item.cdAM2),
    dragN,
    liftN: { from: sum((item) => item.liftN.from), to: sum((item) => item.liftN.to) },
    kWhPer100Km: energy,
    fuelPer100Km: fuelFor(energy, vehicle.drive),
  }
}

/** What so much energy is in the tank or battery, kWh; nothing while nobody said how much of that reaches the road. */
function fuelFor(energyKwh: number, drive: Vehicle['drive']): Wind['fuelPer100Km'] {
  if (drive?.efficiencyPercent === undefined) return undefined
  return {
    unit: drive.energy === 'battery' ? 'kWh' : 'L',
    amount: energyKwh / (drive.efficiencyPercent / 100) / ENERGY_KWH[drive.energy],
  }
}

/** Whether a thing is on the vehicle while it drives on the road, and all that it stands in too. */
function rides(thing: ThingAt): boolean {
  const own = statesOf(thing.placement.when).includes('road') && statesOf(thing.gear.when).includes('road')
  return own && (!thing.parent || rides(thing.parent))
}
