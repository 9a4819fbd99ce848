import { unionOf } from '../kinds/union'
import * as z from 'zod'
import { attachmentShapes, loadsRoof, type AttachmentKind } from '../kinds/attachment'
import { bodySchema } from '../kinds/body'
import { OBSTACLES, type ObstacleKind } from '../kinds/obstacle'
import { knownSchema } from './known'
import { massSchema, ratedSchema, ratingSchema, sourceSchema } from './rating'
import { idSchema, massKg, nameSchema, positionMm, sizeMm, spanMm, typedSchema } from '../units/scalars'

const common = {
  id: idSchema,
  name: nameSchema,
  known: knownSchema.optional(),
  typed: typedSchema.optional(),
}
const onRoof = { ...common, rated: ratedSchema }
const offRoof = { ...common, ratings: z.array(ratingSchema).max(40) }

/**
 * What holds a rack. The kinds on the roof may be rated with it and pass their load on to it; the others have figures of
 * their own and end the load path themselves.
 */
const attachmentSchema = unionOf<
  'kind',
  typeof attachmentShapes,
  {
    [K in AttachmentKind]: (typeof attachmentShapes)[K]['on'] extends 'roof' ? typeof onRoof : typeof offRoof
  }
>('kind', attachmentShapes, (kind) => (loadsRoof(kind) ? onRoof : offRoof))
export type Attachment = z.infer<typeof attachmentSchema>

const obstacleSchema = unionOf<'kind', typeof OBSTACLES, Record<ObstacleKind, typeof common>>(
  'kind',
  OBSTACLES,
  () => common,
)
export type Obstacle = z.infer<typeof obstacleSchema>

/** Something at the tail: its mass where it acts, and its box where it has one. On the ball there is none. */
const tailLoadSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  mass: massSchema,
  xMm: positionMm,
  zMm: sizeMm,
  box: z.strictObject({ lengthMm: spanMm, widthMm: spanMm, heightMm: spanMm }).optional(),
  typed: typedSchema.optional(),
})
export type TailLoad = z.infer<typeof tailLoadSchema>

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
      z.strictObject({ known: z.literal('height'), heightMm: spanMm }),
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
  /** What hangs at its tail while it drives: a carrier on the bumper, a trailer's nose weight on the ball. */
  tail: z.array(tailLoadSchema).max(8).optional(),
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

/** Whether what stands here loads the roof's own skin: not where reinforcement inside takes the load past it. */
export function bearsOnRoof(attachment: Attachment): boolean {
  const pastIt = attachment.kind === 'drilledTop' && attachment.roofBears === false
  return loadsRoof(attachment.kind) && !pastIt
}

/** The places along one side where feet may stand, where an attachment has such. */
export function pointsOf(attachment: Attachment): readonly { readonly xMm: number; readonly yMm: number }[] {
  if ('points' in attachment) return attachment.points
  return 'doorPositions' in attachment ? attachment.doorPositions : []
}
