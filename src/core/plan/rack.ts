import * as z from 'zod'
import { ratedSchema } from './rating'
import {
  idSchema,
  massKg,
  money,
  nameSchema,
  positionMm,
  sizeMm,
  spanMm,
  typedSchema,
  whenSchema,
} from './scalars'
import { attachmentKindSchema } from './vehicle'

export const PART_ROLES = [
  'deck',
  'panels',
  'bars',
  'ladder',
  'trusses',
  'legs',
  'feet',
  'fitKit',
  'rails',
  'whole',
] as const
export const partRoleSchema = z.enum(PART_ROLES)
export type PartRole = z.infer<typeof partRoleSchema>

/** A fastener as the sheet gives it; the fitting job reads it later. */
export const fastenerSchema = z.strictObject({
  thread: z.string().max(20),
  count: z.number().int().min(1).max(400),
  torqueNm: z.strictObject({ from: z.number().positive(), to: z.number().positive() }).optional(),
  lengthMm: sizeMm.optional(),
  note: z.string().max(200).optional(),
})

/** A part or a set of alike parts: one link of the load path. Masses are of one piece. */
export const partSchema = z.strictObject({
  id: idSchema,
  role: partRoleSchema,
  name: nameSchema,
  count: z.number().int().min(1).max(64),
  eachKg: massKg,
  rated: ratedSchema,
  price: money.optional(),
  /** The attachments it may be used over; left out when its sheet does not say. */
  suits: z.array(attachmentKindSchema).max(13).optional(),
  fasteners: z.array(fastenerSchema).max(40).optional(),
  typed: typedSchema.optional(),
})
export type Part = z.infer<typeof partSchema>

const channelSchema = z.strictObject({ slotMm: spanMm, headRoomMm: spanMm, depthMm: spanMm.optional() })

/** A bar's section. `wallMm` and a channel only where they are known. */
export const profileSchema = z.strictObject({
  kind: z.enum(['square', 'round', 'aero', 'flat', 'factory']),
  widthMm: spanMm,
  heightMm: spanMm,
  wallMm: spanMm.optional(),
  channel: channelSchema.optional(),
})
export type Profile = z.infer<typeof profileSchema>

/**
 * A bar across the vehicle (or a platform's cross-member). `riseMm` runs from the rack's datum (roof top, or
 * top of the bed rail) to the bar's underside. Length is overall, end caps included. Feet stand at `feetYMm`.
 */
export const barSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    xMm: positionMm,
    lengthMm: spanMm,
    usableMm: spanMm,
    capMm: sizeMm.optional(),
    riseMm: sizeMm,
    profile: profileSchema,
    feetYMm: z.array(positionMm).min(2).max(6),
    typed: typedSchema.optional(),
  })
  .refine((bar) => bar.usableMm <= bar.lengthMm, {
    path: ['usableMm'],
    error: 'A bar cannot offer more width than it is long.',
  })
  .refine((bar) => bar.feetYMm.every((y, i) => i === 0 || y > (bar.feetYMm[i - 1] ?? y)), {
    path: ['feetYMm'],
    error: 'List the feet from left to right, each at its own place.',
  })
export type Bar = z.infer<typeof barSchema>

/** A flat deck on the bars: its centre, its size and its own thickness. */
export const deckSchema = z.strictObject({
  xMm: positionMm,
  yMm: positionMm,
  lengthMm: spanMm,
  widthMm: spanMm,
  heightMm: spanMm,
})
export type Deck = z.infer<typeof deckSchema>

const common = {
  id: idSchema,
  name: nameSchema,
  attachmentId: idSchema,
  parts: z.array(partSchema).min(1).max(20),
  note: z.string().max(2000).optional(),
  typed: typedSchema.optional(),
}

export const rackSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('bars'), ...common, bars: z.array(barSchema).min(1).max(8) }),
  z.strictObject({
    kind: z.literal('platform'),
    ...common,
    bars: z.array(barSchema).min(2).max(8),
    deck: deckSchema,
  }),
  z.strictObject({
    kind: z.literal('bed'),
    ...common,
    bars: z.array(barSchema).min(1).max(8),
    deck: deckSchema.optional(),
    sideHeightMm: sizeMm,
  }),
  z.strictObject({
    kind: z.literal('frame'),
    ...common,
    bars: z.array(barSchema).min(2).max(8),
    deck: deckSchema.optional(),
  }),
  z.strictObject({
    kind: z.literal('ladder'),
    ...common,
    when: whenSchema,
    topZMm: spanMm,
    bottomZMm: sizeMm,
    xMm: positionMm,
    yMm: positionMm,
    widthMm: spanMm,
  }),
])
export type Rack = z.infer<typeof rackSchema>

/** The bars of a rack; a ladder has none. */
export function barsOf(rack: Rack): readonly Bar[] {
  return rack.kind === 'ladder' ? [] : rack.bars
}

/** The deck of a rack, when it has one. */
export function deckOf(rack: Rack): Deck | undefined {
  return rack.kind === 'bars' || rack.kind === 'ladder' ? undefined : rack.deck
}
