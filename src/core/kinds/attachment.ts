import * as z from '../units/schema'
import { massKg, nameSchema, positionMm, sizeMm, spanMm } from '../units/scalars'
import { kindsOf } from './kind'
import { channelSchema } from './mount'
import { alongSchema } from './obstacle'
import type { RackKind } from './rack-kind'

/** What keeps a bar where it stands: it decides what can be done about one that stands wrong. */
export type HeldBy = 'rail' | 'notch' | 'point' | 'socket' | 'doorFrame' | 'hole'

/** In which order a rack goes on it: alike for those that are fitted alike. */
export type OrderName =
  | 'along'
  | 'points'
  | 'hooks'
  | 'doorFrames'
  | 'mounts'
  | 'frame'
  | 'bedSides'
  | 'sockets'
  | 'canopy'
  | 'seam'

interface AttachmentTraits {
  /** As a form offers it, inside a sentence, and what sheets call it besides. */
  readonly choice: string
  readonly word: string
  readonly alsoCalled: readonly string[]
  /** Where it is: what is on the roof passes its load on to it, the others end the load path themselves. */
  readonly on: 'roof' | 'frame' | 'bed' | 'canopy' | 'hatch'
  /** What it stands on in its turn and weighs on, with its own mass: that bears all that is on it as well. */
  readonly weighsOn?: 'bedRail'
  /** Which racks stand on it. */
  readonly racks: readonly RackKind[]
  /** Where feet may stand: anywhere along it, only at points, at the doors, or nowhere: a ladder depends on a seam. */
  readonly feet: 'along' | 'points' | 'doors' | 'seam'
  /** Whether its figure is shared by its two sides or by each place a foot stands. */
  readonly sharedBy: 'side' | 'foot'
  readonly holds: HeldBy
  readonly order: OrderName
  /** What is done to it before a foot goes on. */
  readonly prepare: string
  /** What a form takes for granted until somebody says otherwise. */
  readonly starts?: Readonly<Record<string, boolean | number>>
  /** How high its feet stand: at the roof's edge, over it by its rise, in the gutter under it, on the bed's side, at the frame. */
  readonly seat: 'edge' | 'rise' | 'gutter' | 'top' | 'frame'
  /** Whether the feet stand in a channel of its own. */
  readonly ownChannel?: true
  /** Whether bars latch straight into it, with no sides or trusses under them. */
  readonly latchesBars?: true
  /** Whether reinforcement inside may take the load past the roof. */
  readonly mayReinforce?: true
  /** Whether kits name shapes of its rail. */
  readonly railShapes?: true
  /** Whether hands and tools are beside glass. */
  readonly byGlass?: true
  /** Whether its rails stand over the roof, with air under them. */
  readonly raised?: true
  /** Its own piece of schema. `gaugeMm` is from one side's seat to the other's. */
  readonly shape: z.core.$ZodShape
}

/** Points along one side; the other side mirrors them. */
const points = z
  .array(z.strictObject({ xMm: positionMm, yMm: sizeMm }))
  .check(z.minLength(1), z.maxLength(24))
/** Where feet may stand along a rail: anywhere in the ranges but at the posts, or only in notches. */
const along = {
  gaugeMm: spanMm,
  ranges: z
    .array(
      z
        .strictObject({
          fromMm: positionMm,
          toMm: positionMm,
          /** For the foremost or the rearmost bar alone. */
          bar: z.optional(z.enum(['front', 'rear'])),
        })
        .check(z.refine((range) => range.fromMm <= range.toMm, 'The range ends before it begins.')),
    )
    .check(z.minLength(1), z.maxLength(8)),
  posts: z.optional(z.array(alongSchema).check(z.maxLength(12))),
  notchesXMm: z.optional(z.array(positionMm).check(z.maxLength(40))),
  /** Notches for the foremost or the rearmost bar alone. */
  frontNotchesXMm: z.optional(z.array(positionMm).check(z.maxLength(40))),
  rearNotchesXMm: z.optional(z.array(positionMm).check(z.maxLength(40))),
}

/** Already in either channel: cleats, nuts of something else. */
const inside = z.optional(
  z.array(z.strictObject({ what: nameSchema, xMm: positionMm, stays: z.boolean() })).check(z.maxLength(20)),
)

const attachments = {
  raisedRail: {
    choice: 'Raised rails, air under them',
    word: 'raised rails',
    alsoCalled: ['rails', 'rail'],
    on: 'roof',
    racks: ['bars', 'platform'],
    feet: 'along',
    sharedBy: 'side',
    holds: 'rail',
    order: 'along',
    prepare: 'Rail clean and dry, no wax where the clamps close.',
    seat: 'rise',
    railShapes: true,
    raised: true,
    shape: { ...along, riseMm: sizeMm, shape: z.optional(nameSchema) },
  },
  flushRail: {
    choice: 'Flush rails, no air under them',
    word: 'flush rails',
    alsoCalled: ['rails', 'rail'],
    on: 'roof',
    racks: ['bars', 'platform'],
    feet: 'along',
    sharedBy: 'side',
    holds: 'rail',
    order: 'along',
    prepare: 'Rail clean; look for the slot’s own covers.',
    seat: 'edge',
    shape: along,
  },
  roofChannel: {
    choice: 'Roof channels',
    word: 'roof channels',
    alsoCalled: ['channels', 'channel'],
    on: 'roof',
    racks: ['bars', 'platform'],
    feet: 'along',
    sharedBy: 'side',
    holds: 'rail',
    order: 'along',
    prepare: 'Lift the covers out of the channels and put them with the keys; blow the channels out.',
    seat: 'edge',
    shape: { ...along, inside },
  },
  gutter: {
    choice: 'Rain gutters',
    word: 'gutters',
    alsoCalled: ['gutter'],
    on: 'roof',
    racks: ['bars', 'platform'],
    feet: 'along',
    sharedBy: 'side',
    holds: 'rail',
    order: 'along',
    prepare: 'Wipe the gutters; look for rust and loose seam.',
    seat: 'gutter',
    shape: along,
  },
  fixedPoint: {
    choice: 'Fixed points under caps',
    word: 'fixed points',
    alsoCalled: ['points', 'mounting points'],
    on: 'roof',
    racks: ['bars', 'platform'],
    feet: 'points',
    sharedBy: 'foot',
    holds: 'point',
    order: 'points',
    prepare: 'Lift the caps over the fixed points and put them with the keys; clean the threads.',
    seat: 'edge',
    shape: { points },
  },
  hookPoint: {
    choice: 'Hook points under a glass edge',
    word: 'hook points',
    alsoCalled: ['hooks', 'points'],
    on: 'roof',
    racks: ['bars', 'platform'],
    feet: 'points',
    sharedBy: 'foot',
    holds: 'point',
    order: 'hooks',
    prepare: 'Free the hook points under the glass edge and clean them.',
    seat: 'edge',
    byGlass: true,
    shape: { points },
  },
  bareRoof: {
    choice: 'Bare roof: feet clamp the door frames',
    word: 'door frames',
    alsoCalled: ['door frame'],
    on: 'roof',
    racks: ['bars', 'platform'],
    feet: 'doors',
    sharedBy: 'foot',
    holds: 'doorFrame',
    order: 'doorFrames',
    prepare: 'Open the doors; wipe seals and paint where pads and hooks go; film under each pad.',
    seat: 'edge',
    shape: { doorPositions: points },
  },
  drilledTop: {
    choice: 'Drilled mounts through a hard top',
    word: 'drilled mounts',
    alsoCalled: ['mounts'],
    on: 'roof',
    racks: ['bars', 'platform'],
    feet: 'points',
    sharedBy: 'foot',
    holds: 'hole',
    order: 'mounts',
    prepare: 'Know what is behind: lining, wires, reinforcement.',
    starts: { reinforced: true },
    seat: 'edge',
    mayReinforce: true,
    shape: {
      points,
      reinforced: z.boolean(),
      /** Whether the roof skin still bears the load with that reinforcement; left out where nobody has said. */
      roofBears: z.optional(z.boolean()),
    },
  },
  framePoint: {
    choice: 'Body or frame points, for a frame rack',
    word: 'frame points',
    alsoCalled: ['frame'],
    on: 'frame',
    racks: ['frame'],
    feet: 'points',
    sharedBy: 'foot',
    holds: 'point',
    order: 'frame',
    prepare: 'Clean the frame’s points and threads.',
    seat: 'frame',
    shape: {
      points,
      /** How high over the ground its legs stand, where somebody measured it. */
      seatZMm: z.optional(sizeMm),
    },
  },
  bedRail: {
    choice: 'Bed rails, top of the bed side',
    word: 'bed rails',
    alsoCalled: ['bed rail', 'bed'],
    on: 'bed',
    racks: ['bed'],
    feet: 'along',
    sharedBy: 'side',
    holds: 'rail',
    order: 'bedSides',
    prepare: 'Wipe the bed rails; take off caps where the clamps go.',
    seat: 'top',
    railShapes: true,
    shape: { ...along, topZMm: spanMm, shape: z.optional(nameSchema) },
  },
  bedChannel: {
    choice: 'Bed channels',
    word: 'bed channels',
    alsoCalled: ['bed channel', 'bed'],
    on: 'bed',
    racks: ['bed'],
    feet: 'along',
    sharedBy: 'side',
    holds: 'rail',
    order: 'bedSides',
    prepare: 'Blow out the bed channels; look for cleats.',
    seat: 'top',
    ownChannel: true,
    shape: { ...along, topZMm: spanMm, channel: z.optional(channelSchema), inside },
  },
  bedSocket: {
    choice: 'Bed sockets with latches',
    word: 'bed sockets',
    alsoCalled: ['bed socket', 'bed'],
    on: 'bed',
    racks: ['bed'],
    feet: 'points',
    sharedBy: 'foot',
    holds: 'socket',
    order: 'sockets',
    prepare: 'Empty the sockets and try the latches.',
    latchesBars: true,
    seat: 'top',
    shape: { points, topZMm: spanMm },
  },
  canopyTrack: {
    choice: 'Tracks on a pickup’s canopy',
    word: 'canopy tracks',
    alsoCalled: ['tracks', 'canopy'],
    on: 'canopy',
    weighsOn: 'bedRail',
    racks: ['bars', 'platform'],
    feet: 'along',
    sharedBy: 'side',
    holds: 'rail',
    order: 'canopy',
    prepare: 'Wipe the tracks; try the canopy’s clamps on the bed’s sides by hand.',
    seat: 'top',
    // A canopy of glass fibre. Rough, common practice, no source.
    starts: { canopyKg: 80 },
    shape: { ...along, topZMm: spanMm, canopyKg: massKg },
  },
  hatchSeam: {
    choice: 'Hatch seam, for a ladder',
    word: 'hatch',
    alsoCalled: ['hatch seam'],
    on: 'hatch',
    racks: ['ladder'],
    feet: 'seam',
    sharedBy: 'side',
    holds: 'rail',
    order: 'seam',
    prepare: 'Wipe the seam; look at the sealant.',
    seat: 'edge',
    /** `panelMm`: from the seam down the panel to its lower edge. */
    shape: { xMm: positionMm, seamGapMm: z.optional(sizeMm), panelMm: z.optional(spanMm) },
  },
} as const satisfies Record<string, AttachmentTraits>
export type AttachmentKind = keyof typeof attachments

/** What holds a rack. */
export const ATTACHMENTS: Readonly<Record<AttachmentKind, AttachmentTraits>> = attachments

/** The kinds with their own pieces of schema, for the plan's. */
export const attachmentShapes = attachments

/** The attachment that a new vehicle starts with. */
export const USUAL_ATTACHMENT: AttachmentKind = 'raisedRail'

export const attachmentKindSchema = z.enum(kindsOf(ATTACHMENTS))

/** Whether this kind of attachment sits on the roof. */
export const loadsRoof = (kind: AttachmentKind): boolean => ATTACHMENTS[kind].on === 'roof'
