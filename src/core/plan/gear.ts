import * as z from 'zod'
import { gearKindSchema, massSchema, ratedSchema } from './rating'
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
  whenSchema,
} from './scalars'

const rangeMm = z.strictObject({ fromMm: sizeMm, toMm: sizeMm })

/** What a thing needs in order to be held. Matching reads it; one kind, one way of holding. */
export const mountSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({ kind: z.literal('strap') }),
  z.strictObject({
    kind: z.literal('wrapClamp'),
    sectionWidthMm: rangeMm,
    sectionHeightMm: rangeMm,
    underBarMm: sizeMm,
  }),
  z.strictObject({
    kind: z.literal('channelBolt'),
    slotMm: spanMm,
    headMm: spanMm,
    thread: z.string().max(20),
    boltMm: spanMm.optional(),
    stackMm: sizeMm,
  }),
  z.strictObject({ kind: z.literal('uBolt'), sectionWidthMm: rangeMm, sectionHeightMm: rangeMm }),
  z.strictObject({ kind: z.literal('slat'), slotMm: spanMm }),
  z.strictObject({
    kind: z.literal('panelHoles'),
    pitchMm: spanMm,
    columns: z.number().int().min(1),
    rows: z.number().int().min(1),
  }),
  z.strictObject({ kind: z.literal('bracket'), spacingMm: rangeMm, direction: z.enum(['along', 'across']) }),
])

/** What a thing asks of the bars it stands on. */
export const fitSchema = z.strictObject({
  mount: mountSchema,
  spreadMm: rangeMm.optional(),
  bars: z.strictObject({ from: z.number().int().min(1), to: z.number().int().max(8) }).optional(),
  overhangMm: sizeMm.optional(),
  besideMm: sizeMm.optional(),
})

/** A condition of the gear's own, to be measured on the vehicle before ordering. */
export const gateSchema = z.strictObject({
  id: idSchema,
  question: nameSchema,
  ask: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('length'), ...rangeMm.shape, datum: z.string().max(120) }),
    z.strictObject({ kind: z.literal('gauge'), gauge: nameSchema, must: z.enum(['go', 'noGo']) }),
    z.strictObject({ kind: z.literal('mass'), fromKg: massKg, toKg: massKg }),
  ]),
})

/** A place a carrier offers: where its middle is over the carrier's own middle and underside. */
export const placeSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(['inside', 'deck', 'cradle', 'clamp', 'tray']),
  xMm: positionMm,
  yMm: positionMm,
  zMm: sizeMm,
})

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
  shape: z.enum([
    'box',
    'shell',
    'hull',
    'canoe',
    'board',
    'tray',
    'cradles',
    'clamps',
    'deck',
    'can',
    'bag',
    'person',
    'wheel',
    'poles',
  ]),
  lengthMm: spanMm,
  widthMm: spanMm,
  heightMm: spanMm,
  standMm: sizeMm.optional(),
  mass: massSchema,
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
  fit: fitSchema,
  gates: z.array(gateSchema).max(20).optional(),
  maxKmH: speedKmH.optional(),
  price: money.optional(),
  note: noteSchema.optional(),
  typed: typedSchema.optional(),
})
export type Gear = z.infer<typeof gearSchema>
