import * as z from '../units/schema'
import { sizeMm, spanMm } from '../units/scalars'
import { NOTHING_SHARED, unionOf } from './union'
import { washersSchema } from './washer'

/** From a size to a size, both within; `toMm` may not be the smaller. */
export const rangeSchema = z
  .strictObject({ fromMm: sizeMm, toMm: sizeMm })
  .check(z.refine((range) => range.fromMm <= range.toMm, 'The range ends before it begins.'))
export type Range = z.infer<typeof rangeSchema>

/** So far a range goes that has no upper end, mm: farther than anything on a vehicle. */
export const OPEN_MM = 100_000

/** A range that may lack an end: *at least*, or *at most*. */
export const openRangeSchema = z.strictObject({ fromMm: z.optional(sizeMm), toMm: z.optional(sizeMm) }).check(
  z.refine(({ fromMm, toMm }) => fromMm !== undefined || toMm !== undefined, 'A range has at least one end.'),
  z.refine((range) => {
    const [from, to] = rangeEnds(range)
    return from <= to
  }, 'The range ends before it begins.'),
)

/** Both ends of a range, mm: where it lacks one, from nothing, or as far as there is. */
export const rangeEnds = ({
  fromMm = 0,
  toMm = OPEN_MM,
}: {
  readonly fromMm?: number | undefined
  readonly toMm?: number | undefined
}): readonly [number, number] => [fromMm, toMm]

/** A T-shaped groove: the width of its mouth, the height inside for a head or nut, and its whole depth. */
export const channelSchema = z.strictObject({
  slotMm: spanMm,
  headRoomMm: spanMm,
  depthMm: z.optional(spanMm),
})
export type Channel = z.infer<typeof channelSchema>

interface MountTraits {
  /** As a form offers it, and as a table says it. */
  readonly choice: string
  readonly word: string
  /** Whether it takes hold of bars, and may ask something of them. */
  readonly onBars: boolean
  /** Whether it is tightened, so that it is a joint even without a torque on its sheet. */
  readonly tightened: boolean
  /** What fitting it takes: tools at its mounts, straps, or nothing because it goes in a carrier or nobody described it. */
  readonly fitted: 'tools' | 'straps' | 'inCarrier' | 'unstated'
  /** Whether it closes round a bar, so that a foot can be in its way. */
  readonly closesRound?: true
  /** Whether its bolts go into the channel of a bar. */
  readonly inChannel?: true
  /** Whether only its weight holds the thing down. */
  readonly byWeight?: true
  /** Whether the thing itself lies on the bars, so that its sides are its contacts. */
  readonly liesOnBars?: true
  readonly shape: z.core.$ZodShape
}

const section = { sectionWidthMm: rangeSchema, sectionHeightMm: rangeSchema }

/**
 * What a thing needs in order to be held: one kind, one way of holding; `unsaid` where nobody has looked yet. A channel bolt's `slotMm` is the mouth
 * its head or nut is made for, `otherSlotsMm` are those its other nuts are made for, `stackMm` what the bolt
 * passes through over the bar, `boltMm` the bolt in the box.
 */
export const MOUNTS = {
  unsaid: {
    choice: 'not known yet',
    word: 'not known yet',
    onBars: true,
    tightened: false,
    fitted: 'unstated',
    byWeight: true,
    shape: {},
  },
  strap: {
    choice: 'straps',
    word: 'straps',
    onBars: true,
    tightened: false,
    fitted: 'straps',
    byWeight: true,
    liesOnBars: true,
    shape: {},
  },
  wrapClamp: {
    choice: 'a clamp round the bar',
    word: 'clamp round the bar',
    onBars: true,
    tightened: true,
    fitted: 'tools',
    closesRound: true,
    shape: { ...section, underBarMm: sizeMm },
  },
  channelBolt: {
    choice: 'bolts in the bar’s channel',
    word: 'bolts in the channel',
    onBars: true,
    tightened: true,
    fitted: 'tools',
    inChannel: true,
    shape: {
      slotMm: spanMm,
      otherSlotsMm: z.optional(z.array(spanMm).check(z.maxLength(6))),
      headMm: spanMm,
      thread: z.string().check(z.maxLength(20)),
      boltMm: z.optional(spanMm),
      stackMm: sizeMm,
      washers: z.optional(washersSchema),
    },
  },
  uBolt: {
    choice: 'U-bolts',
    word: 'U-bolts',
    onBars: true,
    tightened: true,
    fitted: 'tools',
    closesRound: true,
    shape: section,
  },
  slat: {
    choice: 'bolts in a platform’s slats',
    word: 'bolts in the slats',
    onBars: true,
    tightened: true,
    fitted: 'tools',
    shape: { slotMm: spanMm },
  },
  panelHoles: {
    choice: 'holes of a side panel',
    word: 'holes of a panel',
    onBars: false,
    tightened: false,
    fitted: 'tools',
    shape: { pitchMm: spanMm, columns: z.int().check(z.gte(1)), rows: z.int().check(z.gte(1)) },
  },
  bracket: {
    choice: 'brackets of its own',
    word: 'brackets',
    onBars: true,
    tightened: true,
    fitted: 'tools',
    shape: { spacingMm: rangeSchema, direction: z.enum(['along', 'across']) },
  },
  handle: {
    choice: 'a clamp on its handle',
    word: 'clamp on its handle',
    onBars: false,
    tightened: false,
    fitted: 'inCarrier',
    shape: { diameterMm: spanMm },
  },
  none: {
    choice: 'nothing: it goes in a carrier',
    word: 'nothing: in a carrier',
    onBars: false,
    tightened: false,
    fitted: 'inCarrier',
    byWeight: true,
    liesOnBars: true,
    shape: {},
  },
} as const satisfies Record<string, MountTraits>
export type MountKind = keyof typeof MOUNTS

/** The traits of a mount of this kind. */
export const mountTraits = (kind: MountKind): MountTraits => MOUNTS[kind]

export const mountSchema = unionOf<'kind', typeof MOUNTS, Record<MountKind, typeof NOTHING_SHARED>>(
  'kind',
  MOUNTS,
  () => NOTHING_SHARED,
)
export type Mount = z.infer<typeof mountSchema>

/** A mount whose bolts go into the channel of a bar. */
export const isInChannel = (
  mount: Mount | undefined,
): mount is Extract<Mount, { slotMm: number; thread: string }> =>
  mount !== undefined && mountTraits(mount.kind).inChannel === true

/** A mount with a spacing of its own along or across the vehicle. */
export const hasSpacing = (mount: Mount): mount is Extract<Mount, { spacingMm: Range }> =>
  'spacingMm' in mount
