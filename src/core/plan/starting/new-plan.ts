import { DEFAULT_HOUSE_RULES, type HouseRules } from '../schema/house'
import type { Car } from '../schema/car'
import type { Clearance, Job, Use } from '../schema/placement'
import { FORMAT_VERSION } from '../schema/lifts'
import { FORMAT, type Plan } from '../schema/plan'
import type { Rack } from '../schema/rack'
import type { Vehicle } from '../schema/vehicle'

/** How a vehicle is used unless a job says otherwise; the driver weighs 75 kg by common practice, no source. */
const USUAL_USE: Use = {
  roadKmH: 110,
  trailKmH: 30,
  trailPitchDeg: 15,
  trailRollDeg: 15,
  snowKgPerM2: 0,
  occupants: [{ id: 'driver', name: 'Driver', mass: { kg: 75, basis: 'maker', by: 'usual figure' } }],
}

/** A plan with a vehicle and its racks, and nothing on them yet. */
export function newPlan(start: {
  id: string
  job: Job
  vehicle: Vehicle
  car?: Car
  racks: Rack[]
  clearances?: Clearance[]
  rules?: HouseRules
}): Plan {
  return {
    format: FORMAT,
    version: FORMAT_VERSION,
    id: start.id,
    job: start.job,
    car: start.car ?? { id: start.vehicle.id },
    vehicle: start.vehicle,
    racks: start.racks,
    gear: [],
    placements: [],
    use: USUAL_USE,
    clearances: start.clearances ?? [],
    measurements: [],
    rules: start.rules ?? DEFAULT_HOUSE_RULES,
  }
}
