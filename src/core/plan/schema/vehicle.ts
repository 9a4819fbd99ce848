import { unionOf } from '../../kinds/union'
import * as z from '../../units/schema'
import { attachmentShapes, loadsRoof, type AttachmentKind } from '../../kinds/attachment'
import { bodySchema } from '../../kinds/body'
import { OBSTACLES, type ObstacleKind } from '../../kinds/obstacle'
import { provenanceSchema } from './provenance'
import { massSchema, ratedSchema, ratingSchema, sourceSchema } from './rating'
import {
  idSchema,
  massKg,
  nameSchema,
  positionMm,
  sizeMm,
  wideMm,
  spanMm,
  typedSchema,
} from '../../units/scalars'

const common = {
  id: idSchema,
  name: nameSchema,
  known: z.optional(provenanceSchema),
  typed: z.optional(typedSchema),
}
const onRoof = { ...common, rated: ratedSchema }
const offRoof = { ...common, ratings: z.array(ratingSchema).check(z.maxLength(40)) }

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
  box: z.optional(z.strictObject({ lengthMm: spanMm, widthMm: spanMm, heightMm: spanMm })),
  typed: z.optional(typedSchema),
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
  years: z.optional(z.strictObject({ from: z.int(), to: z.optional(z.int()) })),
  doors: z.optional(z.int().check(z.gte(1), z.lte(8))),
  trim: z.optional(z.string().check(z.maxLength(80))),
  lengthMm: spanMm,
  widthMm: spanMm,
  heightMm: spanMm,
  wheelbaseMm: spanMm,
  frontOverhangMm: sizeMm,
  noseToScreenMm: sizeMm,
  wheelRadiusMm: spanMm,
  trackMm: z.optional(z.strictObject({ front: wideMm, rear: wideMm })),
  kerbKg: z.optional(massKg),
  grossKg: z.optional(massKg),
  axleLimitKg: z.optional(z.strictObject({ front: massKg, rear: massKg })),
  centreOfGravity: z.optional(
    z.discriminatedUnion('known', [
      z.strictObject({ known: z.literal('position'), xMm: positionMm, heightMm: spanMm }),
      z.strictObject({ known: z.literal('height'), heightMm: spanMm }),
      z.strictObject({
        known: z.literal('stability'),
        frontShare: z.number().check(z.gte(0), z.lte(1)),
        staticStabilityFactor: z.number().check(z.gte(0.01), z.lte(5)),
      }),
    ]),
  ),
  /** What drives it, and how much of the energy in the tank or battery reaches the road. */
  drive: z.optional(
    z.strictObject({
      energy: z.enum(['petrol', 'diesel', 'battery']),
      efficiencyPercent: z.optional(z.number().check(z.gte(1), z.lte(100))),
    }),
  ),
  roof: z.strictObject({
    fromXMm: positionMm,
    toXMm: positionMm,
    halfWidthFrontMm: spanMm,
    halfWidthRearMm: spanMm,
    crownMm: sizeMm,
    /** The roof's skin over the ground where the overall height is of something else. */
    skinZMm: z.optional(spanMm),
    ratings: z.array(ratingSchema).check(z.maxLength(40)),
  }),
  /** What it has and has not, as kits ask for it. */
  facts: z.optional(z.array(z.strictObject({ what: nameSchema, has: z.boolean() })).check(z.maxLength(30))),
  /** What hangs at its tail while it drives: a carrier on the bumper, a trailer's nose weight on the ball. */
  tail: z.optional(z.array(tailLoadSchema).check(z.maxLength(8))),
  /** Where a pickup's cab ends: its rear wall. */
  cabWallXMm: z.optional(positionMm),
  attachments: z.array(attachmentSchema).check(z.maxLength(20)),
  obstacles: z.array(obstacleSchema).check(z.maxLength(40)),
  source: z.optional(sourceSchema),
  note: z.optional(z.string().check(z.maxLength(4000))),
  known: z.optional(provenanceSchema),
  typed: z.optional(typedSchema),
})
export type Vehicle = z.infer<typeof vehicleSchema>

/** The vehicle's own mass where somebody gave one, kg: nought is no mass. */
export const kerbOf = ({ kerbKg }: Vehicle): number | undefined =>
  kerbKg !== undefined && kerbKg > 0 ? kerbKg : undefined

/** Whether what stands here loads the roof's own skin: not where reinforcement inside takes the load past it. */
export function bearsOnRoof(attachment: Attachment): boolean {
  const pastIt = 'reinforced' in attachment && attachment.reinforced && attachment.roofBears === false
  return loadsRoof(attachment.kind) && !pastIt
}

/** The places along one side where feet may stand, where an attachment has such. */
export function pointsOf(attachment: Attachment): readonly { readonly xMm: number; readonly yMm: number }[] {
  if ('points' in attachment) return attachment.points
  return 'doorPositions' in attachment ? attachment.doorPositions : []
}
