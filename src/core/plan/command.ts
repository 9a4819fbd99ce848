import { whenSchema } from '../kinds/when'
import * as z from 'zod'
import { houseRulesSchema } from './house'
import { asideSchema } from './aside'
import { carSchema } from './car'
import { gearSchema, turnSchema } from './gear'
import { measurementSchema } from './measurement'
import {
  clearanceSchema,
  fittingSchema,
  hostSchema,
  jobSchema,
  linesSchema,
  loadSchema,
  placementSchema,
  strapsSchema,
  useSchema,
} from './placement'
import { barSchema, partSchema, rackSchema } from './rack'
import { massSchema, ratedSchema, ratingSchema } from './rating'
import { idSchema, positionMm, statusSchema, typedSchema } from '../units/scalars'
import { vehicleSchema } from './vehicle'

/** Whose ratings an edit is about. */
export const ratingOwnerSchema = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('roof') }),
  z.strictObject({ of: z.literal('attachment'), id: idSchema }),
  z.strictObject({ of: z.literal('part'), id: idSchema }),
  z.strictObject({ of: z.literal('gear'), id: idSchema }),
])
export type RatingOwner = z.infer<typeof ratingOwnerSchema>

/** One starting value: whose field it is. */
export const startSchema = z.strictObject({
  of: z.enum(['vehicle', 'rack', 'part', 'bar', 'gear']),
  id: idSchema,
  field: z.string().min(1).max(60),
})
export type Start = z.infer<typeof startSchema>

const typed = { typed: typedSchema.optional() }
const placementId = { placementId: idSchema }

/** Every single edit of a plan. Dragging, typing, remedies, undo and import all speak in these. */
export const singleCommandSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('setJob'), job: jobSchema }),
  z.strictObject({ do: z.literal('setNote'), note: z.string().max(4000) }),
  z.strictObject({ do: z.literal('move'), ...placementId, xMm: positionMm, yMm: positionMm, ...typed }),
  z.strictObject({ do: z.literal('turn'), ...placementId, turn: turnSchema }),
  z.strictObject({ do: z.literal('setOnEdge'), ...placementId, onEdge: z.boolean() }),
  z.strictObject({ do: z.literal('setWhen'), ...placementId, when: whenSchema }),
  z.strictObject({ do: z.literal('mount'), gear: gearSchema, placement: placementSchema }),
  z.strictObject({
    do: z.literal('rehost'),
    ...placementId,
    host: hostSchema,
    xMm: positionMm,
    yMm: positionMm,
  }),
  z.strictObject({ do: z.literal('takeOff'), ...placementId }),
  z.strictObject({ do: z.literal('setLoad'), ...placementId, load: loadSchema }),
  z.strictObject({ do: z.literal('removeLoad'), ...placementId, loadId: idSchema }),
  z.strictObject({ do: z.literal('setFitting'), ...placementId, fitting: fittingSchema }),
  z.strictObject({ do: z.literal('setLines'), ...placementId, lines: linesSchema }),
  z.strictObject({ do: z.literal('setStraps'), ...placementId, straps: strapsSchema }),
  z.strictObject({ do: z.literal('setMeasurement'), measurement: measurementSchema }),
  z.strictObject({ do: z.literal('removeMeasurement'), measurementId: idSchema }),
  z.strictObject({ do: z.literal('setGear'), gear: gearSchema }),
  z.strictObject({ do: z.literal('setGearMass'), gearId: idSchema, mass: massSchema }),
  z.strictObject({ do: z.literal('setVehicle'), vehicle: vehicleSchema }),
  z.strictObject({ do: z.literal('addRack'), rack: rackSchema }),
  z.strictObject({ do: z.literal('setRack'), rack: rackSchema }),
  z.strictObject({ do: z.literal('removeRack'), rackId: idSchema }),
  z.strictObject({ do: z.literal('moveBar'), barId: idSchema, xMm: positionMm, ...typed }),
  z.strictObject({ do: z.literal('setBar'), bar: barSchema }),
  z.strictObject({ do: z.literal('swapPart'), partId: idSchema, part: partSchema }),
  z.strictObject({ do: z.literal('setRated'), owner: ratingOwnerSchema, rated: ratedSchema }),
  z.strictObject({ do: z.literal('setRating'), owner: ratingOwnerSchema, rating: ratingSchema }),
  z.strictObject({ do: z.literal('removeRating'), owner: ratingOwnerSchema, ratingId: idSchema }),
  z.strictObject({ do: z.literal('setClearance'), clearance: clearanceSchema }),
  z.strictObject({ do: z.literal('removeClearance'), clearanceId: idSchema }),
  z.strictObject({ do: z.literal('setUse'), use: useSchema }),
  z.strictObject({ do: z.literal('setRules'), rules: houseRulesSchema }),
  z.strictObject({ do: z.literal('setCar'), car: carSchema }),
  z.strictObject({
    do: z.literal('setStatus'),
    of: z.enum(['rack', 'placement']),
    id: idSchema,
    status: statusSchema,
  }),
  z.strictObject({ do: z.literal('setAside'), aside: asideSchema }),
  z.strictObject({ do: z.literal('askAgain'), findingId: z.string().min(1).max(400) }),
  /** Starting values that somebody has looked at and found right. */
  z.strictObject({ do: z.literal('confirm'), starts: z.array(startSchema).min(1).max(2000) }),
])
export type SingleCommand = z.infer<typeof singleCommandSchema>

/** Several edits taken and undone as one. */
export const commandSchema = z.union([
  singleCommandSchema,
  z.strictObject({ do: z.literal('together'), commands: z.array(singleCommandSchema).min(1).max(200) }),
])
export type Command = z.infer<typeof commandSchema>
