import * as z from 'zod'
import { sizeMm, spanMm } from './scalars'

/** From a size to a size, both within; `toMm` may not be the smaller. */
export const rangeSchema = z
  .strictObject({ fromMm: sizeMm, toMm: sizeMm })
  .refine((range) => range.fromMm <= range.toMm, 'The range ends before it begins.')
export type Range = z.infer<typeof rangeSchema>

/** A T-shaped groove: the width of its mouth, the height inside for a head or nut, and its whole depth. */
export const channelSchema = z.strictObject({
  slotMm: spanMm,
  headRoomMm: spanMm,
  depthMm: spanMm.optional(),
})
export type Channel = z.infer<typeof channelSchema>

/**
 * What a thing needs in order to be held: one kind, one way of holding; `unsaid` where nobody has looked yet. A channel bolt's `slotMm` is the mouth
 * its head or nut is made for, `otherSlotsMm` are those its other nuts are made for, `stackMm` what the bolt
 * passes through over the bar, `boltMm` the bolt in the box.
 */
export const mountSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('unsaid') }),
  z.strictObject({ kind: z.literal('none') }),
  z.strictObject({ kind: z.literal('strap') }),
  z.strictObject({
    kind: z.literal('wrapClamp'),
    sectionWidthMm: rangeSchema,
    sectionHeightMm: rangeSchema,
    underBarMm: sizeMm,
  }),
  z.strictObject({
    kind: z.literal('channelBolt'),
    slotMm: spanMm,
    otherSlotsMm: z.array(spanMm).max(6).optional(),
    headMm: spanMm,
    thread: z.string().max(20),
    boltMm: spanMm.optional(),
    stackMm: sizeMm,
  }),
  z.strictObject({ kind: z.literal('uBolt'), sectionWidthMm: rangeSchema, sectionHeightMm: rangeSchema }),
  z.strictObject({ kind: z.literal('slat'), slotMm: spanMm }),
  z.strictObject({
    kind: z.literal('panelHoles'),
    pitchMm: spanMm,
    columns: z.number().int().min(1),
    rows: z.number().int().min(1),
  }),
  z.strictObject({
    kind: z.literal('bracket'),
    spacingMm: rangeSchema,
    direction: z.enum(['along', 'across']),
  }),
  z.strictObject({ kind: z.literal('handle'), diameterMm: spanMm }),
])
export type Mount = z.infer<typeof mountSchema>
