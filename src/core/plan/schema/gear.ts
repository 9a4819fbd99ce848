import * as z from '../../units/schema'
import { isConvex } from '../../geometry/convex'
import { fastenerSchema } from './fastening'
import { preorderMeasurementSchema } from './preorder-measurement'
import { mountSchema, openRangeSchema, rangeSchema } from '../../kinds/mount'
import { provenanceSchema } from './provenance'
import { gearMassSchema } from './gear-mass'
import { ratedSchema } from './rating'
import { GEAR_KINDS, gearKindSchema } from '../../kinds/gear-kind'
import { gearShapeSchema } from '../../kinds/gear-shape'
import { kindsOf } from '../../kinds/kind'
import { whenSchema } from '../../kinds/when'
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
} from '../../units/scalars'
import { workSchema } from './work'

/** What a thing asks of the bars it stands on. */
const fitSchema = z.strictObject({
  mount: mountSchema,
  spreadMm: z.optional(openRangeSchema),
  /** Other spreads that its mounts can be set to, and the one it is best at. */
  otherSpreadsMm: z.optional(z.array(openRangeSchema).check(z.maxLength(6))),
  likesMm: z.optional(spanMm),
  bars: z.optional(z.strictObject({ from: z.int().check(z.gte(1)), to: z.int().check(z.lte(8)) })),
  overhangMm: z.optional(sizeMm),
  besideMm: z.optional(sizeMm),
  /** How much of the channel each of its feet covers, along the bar. */
  baseMm: z.optional(spanMm),
  /** What holds it where it goes in a carrier: its own straps, a frame clamp, a wheel strap. */
  inCarrier: z.optional(nameSchema),
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
  takes: z.optional(z.array(gearKindSchema).check(z.minLength(1), z.maxLength(kindsOf(GEAR_KINDS).length))),
  takesWidthMm: z.optional(rangeSchema),
  holesMm: z.optional(z.array(rangeSchema).check(z.minLength(1), z.maxLength(12))),
})
export type Place = z.infer<typeof placeSchema>

/** The sides of a thing as it lies at turn 0. */
export const sideSchema = z.enum(['left', 'right', 'front', 'rear'])

/**
 * How a tent opens, as it lies at turn 0: to which side, how far past its closed box, how high its open floor
 * stands over its underside, the drop its ladder spans, and the room beside it that reaching the cover takes.
 */
const opensSchema = z.strictObject({
  toward: sideSchema,
  /** Sides that it may open to instead. */
  orToward: z.optional(z.array(sideSchema).check(z.maxLength(3))),
  reachMm: spanMm,
  floorMm: z.optional(sizeMm),
  ladder: z.optional(z.strictObject({ dropMm: rangeSchema, outMm: sizeMm })),
  coverGapMm: z.optional(sizeMm),
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
  standMm: z.optional(sizeMm),
  /** How far something of it hangs under its underside or stands over its top: bindings, a stem, a keel. */
  hangsMm: z.optional(sizeMm),
  risesMm: z.optional(sizeMm),
  mass: gearMassSchema,
  wetKg: z.optional(massKg),
  centreOfGravity: z.optional(z.strictObject({ xMm: positionMm, yMm: positionMm, zMm: sizeMm })),
  turns: z.array(turnSchema).check(z.minLength(1), z.maxLength(4)),
  onEdge: z.boolean(),
  when: whenSchema,
  carries: z.optional(
    z.strictObject({
      rated: ratedSchema,
      places: z.array(placeSchema).check(z.maxLength(24)),
      sleeps: z.optional(z.int().check(z.gte(0), z.lte(8))),
    }),
  ),
  contactsMm: z.optional(
    z.strictObject({
      along: z.array(positionMm).check(z.maxLength(12)),
      across: z.array(positionMm).check(z.maxLength(12)),
    }),
  ),
  /** Its outline from above at turn 0 about its middle, where that is finer than its box: convex, in order. */
  outlineMm: z.optional(
    z.array(z.strictObject({ xMm: positionMm, yMm: positionMm })).check(
      z.minLength(3),
      z.maxLength(40),
      z.refine((points) => isConvex(points.map(({ xMm, yMm }) => [xMm, yMm])), {
        error: 'The outline must be convex, its corners in order around it.',
      }),
    ),
  ),
  /** Of a pair that stands apart, how long each piece is along the thing: one at either end, and nothing between. */
  pieceMm: z.optional(spanMm),
  opens: z.optional(opensSchema),
  fit: fitSchema,
  gates: z.optional(z.array(preorderMeasurementSchema).check(z.maxLength(20))),
  fasteners: z.optional(z.array(fastenerSchema).check(z.maxLength(20))),
  work: z.optional(workSchema),
  /** What it holds besides a load: the energy of a battery, the pressure of a vessel. */
  stored: z.optional(
    z.strictObject({
      energyWh: z.optional(z.number().check(z.gte(0), z.lte(1e6))),
      pressureBar: z.optional(z.number().check(z.gte(0), z.lte(1000))),
    }),
  ),
  maxKmH: z.optional(speedKmH),
  /** Drag area as its maker measured it; left out, it follows from shape and size. */
  dragAreaM2: z.optional(z.number().check(z.gte(0), z.lte(20))),
  price: z.optional(money),
  note: z.optional(noteSchema),
  known: z.optional(provenanceSchema),
  typed: z.optional(typedSchema),
})
export type Gear = z.infer<typeof gearSchema>
