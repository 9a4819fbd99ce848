import * as z from 'zod'
import { isConvex } from '../geometry/convex'
import { fastenerSchema } from './fastening'
import { gateSchema } from './gate'
import { mountSchema, rangeSchema } from '../kinds/mount'
import { knownSchema } from './known'
import { gearMassSchema } from './gear-mass'
import { ratedSchema } from './rating'
import { GEAR_KINDS, gearKindSchema } from '../kinds/gear-kind'
import { gearShapeSchema } from '../kinds/gear-shape'
import { kindsOf } from '../kinds/kind'
import { whenSchema } from '../kinds/when'
import {
  idSchema,
  massKg,
  money,
  nameSchema,
  noteSchema,
  positionMm,
  sizeMm,
  spanMm,
  speedKmH,
  typedSchema,
} from '../units/scalars'
import { workSchema } from './work'

/** What a thing asks of the bars it stands on. */
const fitSchema = z.strictObject({
  mount: mountSchema,
  spreadMm: rangeSchema.optional(),
  /** Other spreads that its mounts can be set to, and the one it is best at. */
  otherSpreadsMm: z.array(rangeSchema).max(6).optional(),
  likesMm: spanMm.optional(),
  bars: z.strictObject({ from: z.number().int().min(1), to: z.number().int().max(8) }).optional(),
  overhangMm: sizeMm.optional(),
  besideMm: sizeMm.optional(),
  /** How much of the channel each of its feet covers, along the bar. */
  baseMm: spanMm.optional(),
  /** What holds it where it goes in a carrier: its own straps, a frame clamp, a wheel strap. */
  inCarrier: nameSchema.optional(),
})

/**
 * A place a carrier offers: where its middle is over the carrier's own middle and underside. It may say which
 * kinds of gear it takes; a cradle what width, a clamp which handle each of its holes takes.
 */
const placeSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(['inside', 'deck', 'cradle', 'clamp', 'tray']),
  xMm: positionMm,
  yMm: positionMm,
  zMm: sizeMm,
  takes: z.array(gearKindSchema).min(1).max(kindsOf(GEAR_KINDS).length).optional(),
  takesWidthMm: rangeSchema.optional(),
  holesMm: z.array(rangeSchema).min(1).max(12).optional(),
})
export type Place = z.infer<typeof placeSchema>

/**
 * How a tent opens, as it lies at turn 0: to which side, how far past its closed box, how high its open floor
 * stands over its underside, the drop its ladder spans, and the room beside it that reaching the cover takes.
 */
const opensSchema = z.strictObject({
  toward: z.enum(['left', 'right', 'front', 'rear']),
  reachMm: spanMm,
  floorMm: sizeMm,
  ladder: z.strictObject({ dropMm: rangeSchema, outMm: sizeMm }).optional(),
  coverGapMm: sizeMm.optional(),
})
export type Opens = z.infer<typeof opensSchema>

export const turnSchema = z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)])
export type Turn = z.infer<typeof turnSchema>

/**
 * Gear as carrier and cargo in one: it has a mass and a size, and when it `carries`, places and ratings of
 * its own. Sizes are at turn 0: length along the vehicle, width across, height up. `standMm` is what its
 * mounts lift it over the bar's top; the centre of gravity is measured from the middle of its underside.
 */
export const gearSchema = z.strictObject({
  id: idSchema,
  kind: gearKindSchema,
  name: nameSchema,
  shape: gearShapeSchema,
  lengthMm: spanMm,
  widthMm: spanMm,
  heightMm: spanMm,
  standMm: sizeMm.optional(),
  /** How far something of it hangs under its underside or stands over its top: bindings, a stem, a keel. */
  hangsMm: sizeMm.optional(),
  risesMm: sizeMm.optional(),
  mass: gearMassSchema,
  wetKg: massKg.optional(),
  centreOfGravity: z.strictObject({ xMm: positionMm, yMm: positionMm, zMm: sizeMm }).optional(),
  turns: z.array(turnSchema).min(1).max(4),
  onEdge: z.boolean(),
  when: whenSchema,
  carries: z
    .strictObject({
      rated: ratedSchema,
      places: z.array(placeSchema).max(24),
      sleeps: z.number().int().min(0).max(8).optional(),
    })
    .optional(),
  contactsMm: z
    .strictObject({ along: z.array(positionMm).max(12), across: z.array(positionMm).max(12) })
    .optional(),
  /** Its outline from above at turn 0 about its middle, where that is finer than its box: convex, in order. */
  outlineMm: z
    .array(z.strictObject({ xMm: positionMm, yMm: positionMm }))
    .min(3)
    .max(40)
    .refine((points) => isConvex(points.map(({ xMm, yMm }) => [xMm, yMm])), {
      error: 'The outline must be convex, its corners in order around it.',
    })
    .optional(),
  opens: opensSchema.optional(),
  fit: fitSchema,
  gates: z.array(gateSchema).max(20).optional(),
  fasteners: z.array(fastenerSchema).max(20).optional(),
  work: workSchema.optional(),
  maxKmH: speedKmH.optional(),
  /** Drag area as its maker measured it; left out, it follows from shape and size. */
  dragAreaM2: z.number().min(0).max(20).optional(),
  price: money.optional(),
  note: noteSchema.optional(),
  known: knownSchema.optional(),
  typed: typedSchema.optional(),
})
export type Gear = z.infer<typeof gearSchema>
