import { mountSchema, rangeSchema } from '../../kinds/mount'
import { whenSchema } from '../../kinds/when'
import * as z from '../../units/schema'
import { sideSchema, turnSchema } from './gear'
import { gearMassSchema } from './gear-mass'
import { stepMinutesSchema } from './fitting'
import { massSchema, ratedSchema } from './rating'
import {
  idSchema,
  massKg,
  money,
  nameSchema,
  positionMm,
  sizeMm,
  spanMm,
  statusSchema,
  typedSchema,
} from '../../units/scalars'

/** Density at about 15 °C in kg per litre. Handbook figures, rounded, from memory. */
export const FLUID_KG_PER_L = { petrol: 0.74, diesel: 0.84, water: 1 } as const

/** Something in or on a thing: luggage in a box, fuel in a can, people in a tent. */
export const loadSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  when: whenSchema,
  /** Where it lies, from the thing's own middle as at turn 0; left out, at the thing's centre of gravity. */
  atMm: z.optional(z.strictObject({ xMm: positionMm, yMm: positionMm })),
  what: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('mass'), mass: gearMassSchema }),
    z.strictObject({
      kind: z.literal('fluid'),
      fluid: z.enum(['petrol', 'diesel', 'water']),
      litres: z.number().check(z.gte(0), z.lte(5000)),
      typed: z.optional(typedSchema),
    }),
    z.strictObject({
      kind: z.literal('people'),
      count: z.int().check(z.gte(0), z.lte(12)),
      each: massSchema,
    }),
  ]),
})
export type Load = z.infer<typeof loadSchema>

/** What a thing stands on or hangs from. */
export const hostSchema = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('bars'), barIds: z.array(idSchema).check(z.minLength(1), z.maxLength(12)) }),
  z.strictObject({ on: z.literal('deck'), rackId: idSchema }),
  z.strictObject({ on: z.literal('panel'), rackId: idSchema, side: z.enum(['left', 'right']), zMm: sizeMm }),
  z.strictObject({ on: z.literal('ladder'), rackId: idSchema }),
  z.strictObject({ on: z.literal('place'), placementId: idSchema, placeId: idSchema }),
])
export type Host = z.infer<typeof hostSchema>

/** What an adapter offers to the gear on it. */
const adapterGivesSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('section'), widthMm: spanMm, heightMm: spanMm, roomMm: sizeMm }),
  z.strictObject({ kind: z.literal('channel'), slotMm: spanMm, headRoomMm: spanMm }),
])

/**
 * Turns what a bar, channel or slat offers into something else: the set of them under one thing, with a mass,
 * a height and figures of its own. `mount` is how it is held, `gives` what it offers.
 */
export const adapterSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kg: massKg,
  heightMm: sizeMm,
  mount: mountSchema,
  gives: adapterGivesSchema,
  rated: ratedSchema,
  spreadMm: z.optional(rangeSchema),
  price: z.optional(money),
})
export type Adapter = z.infer<typeof adapterSchema>

/** What was chosen to hold a thing where its own box of fittings does not do: each only where it is needed. */
export const fittingSchema = z.strictObject({
  adapter: z.optional(adapterSchema),
  boltMm: z.optional(spanMm),
  nutSlotMm: z.optional(spanMm),
  hole: z.optional(z.int().check(z.gte(0), z.lte(11))),
})
export type Fitting = z.infer<typeof fittingSchema>

/** Lines from the ends of a long load down to the vehicle. */
export const linesSchema = z.strictObject({ bow: z.boolean(), stern: z.boolean() })

/** The straps planned over or round a thing, and the working load limit on their label where one was read. */
export const strapsSchema = z.strictObject({
  count: z.int().check(z.gte(0), z.lte(40)),
  eachKg: z.optional(massKg),
})
export type Straps = z.infer<typeof strapsSchema>

/**
 * A piece of gear where it sits. x and y are the middle of its plan box: in the vehicle frame on bars, deck,
 * panel and ladder; from the place's own middle when it sits in another thing's place.
 */
export const placementSchema = z.strictObject({
  id: idSchema,
  gearId: idSchema,
  host: hostSchema,
  xMm: positionMm,
  yMm: positionMm,
  turn: turnSchema,
  onEdge: z.boolean(),
  when: whenSchema,
  loads: z.array(loadSchema).check(z.maxLength(40)),
  fitting: z.optional(fittingSchema),
  lines: z.optional(linesSchema),
  straps: z.optional(strapsSchema),
  /** To which side it opens here, where it may open to several. */
  opensToward: z.optional(sideSchema),
  status: z.optional(statusSchema),
  typed: z.optional(typedSchema),
})
export type Placement = z.infer<typeof placementSchema>

/** A person or luggage inside the vehicle: counts against its payload, never against the roof. */
const occupantSchema = z.strictObject({ id: idSchema, name: nameSchema, mass: massSchema })
export type Occupant = z.infer<typeof occupantSchema>

/** A door, garage or car park the vehicle must pass. */
export const clearanceSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  heightMm: sizeMm,
  typed: z.optional(typedSchema),
})
export type Clearance = z.infer<typeof clearanceSchema>

export const useSchema = z.strictObject({
  roadKmH: z.number().check(z.gte(0), z.lte(300)),
  trailKmH: z.number().check(z.gte(0), z.lte(200)),
  trailPitchDeg: z.number().check(z.gte(0), z.lte(60)),
  trailRollDeg: z.number().check(z.gte(0), z.lte(60)),
  snowKgPerM2: z.number().check(z.gte(0), z.lte(500)),
  occupants: z.array(occupantSchema).check(z.maxLength(20)),
})
export type Use = z.infer<typeof useSchema>

export const jobSchema = z.strictObject({
  name: nameSchema,
  number: z.optional(z.string().check(z.maxLength(40))),
  customer: z.optional(z.string().check(z.maxLength(120))),
  due: z.optional(z.iso.date()),
  note: z.optional(z.string().check(z.maxLength(4000))),
  /** How the car was when it came, who took it in and on which day. */
  came: z.optional(
    z.strictObject({
      on: z.optional(z.iso.date()),
      by: z.optional(z.string().check(z.maxLength(80))),
      condition: z.optional(z.string().check(z.maxLength(2000))),
      /** Pictures of it, by the id under which they are kept beside the plan. */
      pictures: z.optional(
        z
          .array(z.strictObject({ id: idSchema, words: z.string().check(z.maxLength(200)) }))
          .check(z.maxLength(12)),
      ),
    }),
  ),
  /** How long its steps take, where that is not as usual. */
  minutes: z.optional(z.array(stepMinutesSchema).check(z.maxLength(200))),
})
export type Job = z.infer<typeof jobSchema>
