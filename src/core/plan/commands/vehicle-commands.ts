import { idSchema } from '../../units/scalars'
import { gearSchema } from '../schema/gear'
import { gearMassSchema } from '../schema/gear-mass'
import { vehicleSchema } from '../schema/vehicle'
import { updateWhere, edit, editInPlace, upsert, andThen } from './edit'

/** Edits of the vehicle and of the gear that the plan knows. */
export const ofVehicle = {
  setVehicle: edit({ vehicle: vehicleSchema }, (plan, { vehicle }) => ({ ...plan, vehicle })),
  setGear: edit({ gear: gearSchema }, (plan, { gear }) => ({ ...plan, gear: upsert(plan.gear, gear) })),
  setGearMass: editInPlace({ gearId: idSchema, mass: gearMassSchema }, (plan, { gearId, mass }) =>
    andThen(
      updateWhere(
        plan.gear,
        ({ id }) => id === gearId,
        (gear) => ({ ...gear, mass }),
        `The plan has no gear "${gearId}".`,
      ),
      (gear) => ({ ...plan, gear }),
    ),
  ),
}
