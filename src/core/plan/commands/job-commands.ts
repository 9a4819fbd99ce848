import * as z from '../../units/schema'
import { idSchema } from '../../units/scalars'
import { asideSchema } from '../schema/aside'
import { carSchema } from '../schema/car'
import { houseRulesSchema } from '../schema/house'
import { measurementSchema } from '../schema/measurement'
import { clearanceSchema, jobSchema, useSchema } from '../schema/placement'
import { confirmed, startSchema } from '../../provenance/starts'
import { edit, editInPlace, upsert, andThen, removeById } from './edit'

/** Edits of the job itself: whose it is, how it is used, what was measured, asked and set aside. */
export const ofJob = {
  setJob: editInPlace({ job: jobSchema }, (plan, { job }) => ({ ...plan, job })),
  setUse: edit({ use: useSchema }, (plan, { use }) => ({ ...plan, use })),
  setRules: editInPlace({ rules: houseRulesSchema }, (plan, { rules }) => ({ ...plan, rules })),
  setCar: editInPlace({ car: carSchema }, (plan, { car }) => ({ ...plan, car })),
  setMeasurement: edit({ measurement: measurementSchema }, (plan, { measurement }) => ({
    ...plan,
    measurements: upsert(plan.measurements, measurement),
  })),
  removeMeasurement: edit({ measurementId: idSchema }, (plan, { measurementId }) =>
    andThen(
      removeById(plan.measurements, measurementId, `There is no measurement "${measurementId}".`),
      (measurements) => ({ ...plan, measurements }),
    ),
  ),
  setClearance: edit({ clearance: clearanceSchema }, (plan, { clearance }) => ({
    ...plan,
    clearances: upsert(plan.clearances, clearance),
  })),
  removeClearance: edit({ clearanceId: idSchema }, (plan, { clearanceId }) =>
    andThen(
      removeById(plan.clearances, clearanceId, `There is no clearance "${clearanceId}".`),
      (clearances) => ({
        ...plan,
        clearances,
      }),
    ),
  ),
  setAside: edit({ aside: asideSchema }, (plan, { aside }) => {
    const others = (plan.setAside ?? []).filter(({ findingId }) => findingId !== aside.findingId)
    return { ...plan, setAside: [...others, aside] }
  }),
  askAgain: edit({ findingId: z.string().check(z.minLength(1), z.maxLength(400)) }, (plan, said) => {
    const { setAside, ...rest } = plan
    const left = (setAside ?? []).filter(({ findingId }) => findingId !== said.findingId)
    return left.length > 0 ? { ...rest, setAside: left } : rest
  }),
  /** Starting values that somebody has looked at and found right. */
  confirm: editInPlace(
    { starts: z.array(startSchema).check(z.minLength(1), z.maxLength(2000)) },
    (plan, { starts }) => confirmed(plan, starts),
  ),
}
