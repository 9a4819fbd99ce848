import * as z from 'zod'
import { knownSchema } from './known'
import { channelSchema } from './mount'
import { ratedSchema, ratingSchema, sourceSchema } from './rating'
import { idSchema, massKg, nameSchema, positionMm, sizeMm, spanMm, typedSchema } from './scalars'

export const BODIES = [
  'smallHatchback',
  'saloon',
  'estate',
  'tallWagon',
  'boxyOffRoader',
  'tallVan',
  'pickup',
] as const
export const bodySchema = z.enum(BODIES)
export type Body = z.infer<typeof bodySchema>

export const ATTACHMENT_KINDS = [
  'raisedRail',
  'flushRail',
  'roofChannel',
  'gutter',
  'fixedPoint',
  'hookPoint',
  'bareRoof',
  'drilledTop',
  'framePoint',
  'bedRail',
  'bedChannel',
  'bedSocket',
  'hatchSeam',
] as const
export const attachmentKindSchema = z.enum(ATTACHMENT_KINDS)
export type AttachmentKind = z.infer<typeof attachmentKindSchema>

const rangeMm = z
  .strictObject({ fromMm: positionMm, toMm: positionMm })
  .refine((range) => range.fromMm <= range.toMm, 'The range ends before it begins.')

const common = { id: idSchema, name: nameSchema, typed: typedSchema.optional() }
const onRoof = { ...common, rated: ratedSchema }
const offRoof = { ...common, ratings: z.array(ratingSchema).max(40) }

/** Points along one side; the other side mirrors them. */
const points = z
  .array(z.strictObject({ xMm: positionMm, yMm: sizeMm }))
  .min(1)
  .max(24)
/** Where feet may stand along a rail: anywhere in the ranges but at the posts, or only in notches. */
const along = {
  gaugeMm: spanMm,
  ranges: z.array(rangeMm).min(1).max(8),
  posts: z.array(rangeMm).max(12).optional(),
  notchesXMm: z.array(positionMm).max(40).optional(),
}

/**
 * What holds a rack. The kinds on the roof pass their load on to the roof; the others end the load path
 * themselves. `gaugeMm` is from one side's seat to the other's.
 */
export const attachmentSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('raisedRail'),
    ...onRoof,
    ...along,
    riseMm: sizeMm,
    shape: nameSchema.optional(),
  }),
  z.strictObject({ kind: z.literal('flushRail'), ...onRoof, ...along }),
  z.strictObject({ kind: z.literal('roofChannel'), ...onRoof, ...along }),
  z.strictObject({ kind: z.literal('gutter'), ...onRoof, ...along }),
  z.strictObject({ kind: z.literal('fixedPoint'), ...onRoof, points }),
  z.strictObject({ kind: z.literal('hookPoint'), ...onRoof, points }),
  z.strictObject({ kind: z.literal('bareRoof'), ...onRoof, doorPositions: points }),
  z.strictObject({
    kind: z.literal('drilledTop'),
    ...onRoof,
    points,
    reinforced: z.boolean(),
    /** Whether the roof skin still bears the load with that reinforcement; left out where nobody has said. */
    roofBears: z.boolean().optional(),
  }),
  /** `seatZMm`: how high over the ground its legs stand, where somebody measured it. */
  z.strictObject({ kind: z.literal('framePoint'), ...offRoof, points, seatZMm: sizeMm.optional() }),
  z.strictObject({ kind: z.literal('bedRail'), ...offRoof, ...along, topZMm: spanMm }),
  z.strictObject({
    kind: z.literal('bedChannel'),
    ...offRoof,
    ...along,
    topZMm: spanMm,
    channel: channelSchema.optional(),
  }),
  z.strictObject({ kind: z.literal('bedSocket'), ...offRoof, points, topZMm: spanMm }),
  z.strictObject({ kind: z.literal('hatchSeam'), ...offRoof, xMm: positionMm, seamGapMm: sizeMm.optional() }),
])
export type Attachment = z.infer<typeof attachmentSchema>

const outlinePoint = z.strictObject({ xMm: positionMm, zMm: positionMm })

export const obstacleSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('sunroof'),
    ...common,
    openingMm: rangeMm,
    widthMm: spanMm,
    tiltRiseMm: sizeMm.optional(),
    slidesOutside: z.strictObject({ travelMm: sizeMm, riseMm: sizeMm }).optional(),
    /** How it moves, where somebody has said: one that stays shut or slides under the roof meets nothing over it. */
    moves: z.enum(['fixed', 'inside', 'outside', 'tilts', 'tiltsAndSlides']).optional(),
  }),
  z.strictObject({
    kind: z.literal('antenna'),
    ...common,
    xMm: positionMm,
    yMm: positionMm,
    heightMm: spanMm,
    form: z.enum(['fin', 'mast', 'puck']),
  }),
  z.strictObject({
    kind: z.literal('hatch'),
    ...common,
    hinge: outlinePoint,
    panel: z.array(outlinePoint).min(2).max(40),
    halfWidthMm: spanMm,
    opensDeg: z.number().min(0).max(180),
  }),
  z.strictObject({
    kind: z.literal('tailgate'),
    ...common,
    hinge: outlinePoint,
    panel: z.array(outlinePoint).min(2).max(40),
    halfWidthMm: spanMm,
    opensDeg: z.number().min(0).max(180),
  }),
  z.strictObject({ kind: z.literal('doorEdge'), ...common, halfWidthMm: spanMm, headZMm: spanMm }),
  z.strictObject({
    kind: z.literal('spoiler'),
    ...common,
    fromXMm: positionMm,
    toXMm: positionMm,
    topZMm: spanMm,
  }),
])

export type Obstacle = z.infer<typeof obstacleSchema>

/**
 * A vehicle in its own frame (after SAE J1100's axes, from memory): x rearward from the windscreen's upper
 * edge, y to the vehicle's right from the centreline, z up from the ground, vehicle unladen.
 */
export const vehicleSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  body: bodySchema,
  years: z.strictObject({ from: z.number().int(), to: z.number().int().optional() }).optional(),
  doors: z.number().int().min(1).max(8).optional(),
  trim: z.string().max(80).optional(),
  lengthMm: spanMm,
  widthMm: spanMm,
  heightMm: spanMm,
  wheelbaseMm: spanMm,
  frontOverhangMm: sizeMm,
  noseToScreenMm: sizeMm,
  wheelRadiusMm: spanMm,
  trackMm: z.strictObject({ front: spanMm, rear: spanMm }).optional(),
  kerbKg: massKg.optional(),
  grossKg: massKg.optional(),
  axleLimitKg: z.strictObject({ front: massKg, rear: massKg }).optional(),
  centreOfGravity: z
    .discriminatedUnion('known', [
      z.strictObject({ known: z.literal('position'), xMm: positionMm, heightMm: spanMm }),
      z.strictObject({
        known: z.literal('stability'),
        frontShare: z.number().min(0).max(1),
        staticStabilityFactor: z.number().positive().max(5),
      }),
    ])
    .optional(),
  /** What drives it, and how much of the energy in the tank or battery reaches the road. */
  drive: z
    .strictObject({
      energy: z.enum(['petrol', 'diesel', 'battery']),
      efficiencyPercent: z.number().min(1).max(100).optional(),
    })
    .optional(),
  roof: z.strictObject({
    fromXMm: positionMm,
    toXMm: positionMm,
    halfWidthFrontMm: spanMm,
    halfWidthRearMm: spanMm,
    crownMm: sizeMm,
    /** The roof's skin over the ground where the overall height is of something else. */
    skinZMm: spanMm.optional(),
    ratings: z.array(ratingSchema).max(40),
  }),
  /** What it has and has not, as kits ask for it. */
  facts: z
    .array(z.strictObject({ what: nameSchema, has: z.boolean() }))
    .max(30)
    .optional(),
  /** Where a pickup's cab ends: its rear wall. */
  cabWallXMm: positionMm.optional(),
  attachments: z.array(attachmentSchema).max(20),
  obstacles: z.array(obstacleSchema).max(40),
  source: sourceSchema.optional(),
  note: z.string().max(4000).optional(),
  known: knownSchema.optional(),
  typed: typedSchema.optional(),
})
export type Vehicle = z.infer<typeof vehicleSchema>

/** The vehicle's own mass where somebody gave one, kg: nought is no mass. */
export const kerbOf = ({ kerbKg }: Vehicle): number | undefined =>
  kerbKg !== undefined && kerbKg > 0 ? kerbKg : undefined

const ROOF_KINDS = new Set<AttachmentKind>([
  'raisedRail',
  'flushRail',
  'roofChannel',
  'gutter',
  'fixedPoint',
  'hookPoint',
  'bareRoof',
  'drilledTop',
])

/** Whether what stands here loads the roof's own skin: not where reinforcement inside takes the load past it. */
export function bearsOnRoof(attachment: Attachment): boolean {
  const pastIt = attachment.kind === 'drilledTop' && attachment.roofBears === false
  return loadsRoof(attachment.kind) && !pastIt
}

/** Whether this kind of attachment sits on the roof. */
export function loadsRoof(kind: AttachmentKind): boolean {
  return ROOF_KINDS.has(kind)
}
