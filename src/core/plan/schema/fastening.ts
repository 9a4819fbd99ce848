import * as z from '../../units/schema'
import { washersSchema } from '../../kinds/washer'
import { sourceSchema } from './rating'
import { nameSchema, positionMm, sizeMm, statusSchema } from '../../units/scalars'

/** Property classes of bolts and screws that the tables know. */
export const GRADES = ['8.8', '10.9', 'A2-70', 'A4-80'] as const
const gradeSchema = z.enum(GRADES)
export type Grade = z.infer<typeof gradeSchema>

/** Whether a bolt of this grade is stainless: A2 and A4. */
export const isStainless = (grade: Grade | undefined): boolean => grade?.startsWith('A') ?? false

export const CONDITIONS = ['dry', 'oiled', 'antiSeize'] as const
const conditionSchema = z.enum(CONDITIONS)
export type Condition = z.infer<typeof conditionSchema>

/** How a fitter knows that a joint is done, besides or instead of a figure. */
const signSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('reading') }),
  z.strictObject({ kind: z.literal('clicks'), count: z.int().check(z.gte(1), z.lte(20)) }),
  z.strictObject({ kind: z.literal('handle') }),
  z.strictObject({ kind: z.literal('notch') }),
  z.strictObject({ kind: z.literal('washerClosed'), moreTurns: z.number().check(z.gte(0), z.lte(3)) }),
  z.strictObject({ kind: z.literal('threads'), showing: z.int().check(z.gte(0), z.lte(20)) }),
  /** In the sheet's or a fitter's own words. */
  z.strictObject({ kind: z.literal('words'), words: nameSchema }),
])
export type Sign = z.infer<typeof signSchema>

/** Where a torque was read: on this part's own papers, or carried over from another rack, which never counts. */
const torqueSourceSchema = z.union([
  sourceSchema,
  z.strictObject({ kind: z.literal('otherRack'), rack: nameSchema }),
])

/**
 * One place of a joint by its name: how many of the joint's bolts are there, and where it is: on a rack from the
 * windscreen's upper edge and the centreline, on gear from its own middle. mm.
 */
const jointPlaceSchema = z.strictObject({
  name: nameSchema,
  count: z.optional(z.int().check(z.gte(1), z.lte(400))),
  xMm: z.optional(positionMm),
  yMm: z.optional(positionMm),
  status: z.optional(statusSchema),
})
export type JointPlace = z.infer<typeof jointPlaceSchema>

/** A fastener as the sheet gives it, so many in all for the part; what the sheet leaves out is left out. */
export const fastenerSchema = z.strictObject({
  name: z.optional(nameSchema),
  thread: z.string().check(z.maxLength(20)),
  count: z.int().check(z.gte(1), z.lte(400)),
  torqueNm: z.optional(
    z
      .strictObject({ from: z.number().check(z.gte(0.001)), to: z.number().check(z.gte(0.001)) })
      .check(z.refine(({ from, to }) => from <= to, 'The range ends before it begins.')),
  ),
  torqueFrom: z.optional(torqueSourceSchema),
  /** What the part it closes on bears at most, whatever the bolt could. */
  atMostNm: z.optional(z.number().check(z.gte(0.001))),
  lengthMm: z.optional(sizeMm),
  /** The parts that the bolt passes through before its washer and nut. */
  stackMm: z.optional(sizeMm),
  /** Height of its nut, where the sheet gives it; else that of a full nut of its thread. */
  nutMm: z.optional(sizeMm),
  grade: z.optional(gradeSchema),
  condition: z.optional(conditionSchema),
  signs: z.optional(z.array(signSchema).check(z.maxLength(3))),
  startTurns: z.optional(z.number().check(z.gte(0), z.lte(30))),
  washers: z.optional(washersSchema),
  nut: z.optional(z.enum(['none', 'plain', 'lock', 'channel'])),
  security: z.optional(z.enum(['threadlocker', 'lockWasher', 'none'])),
  /** How strong the threadlocker is: what is permanent does not come loose cold. */
  threadlocker: z.optional(z.enum(['weak', 'medium', 'permanent'])),
  tool: z.optional(nameSchema),
  handOnly: z.optional(z.boolean()),
  /** Used once and then renewed. */
  singleUse: z.optional(z.boolean()),
  /** The passes its sheet asks for, percent of the figure; the house's where it asks for none. */
  passesPercent: z.optional(
    z.array(z.number().check(z.gte(1), z.lte(100))).check(z.minLength(1), z.maxLength(5)),
  ),
  /** Its own places, where they are not the feet, or not all of them. */
  places: z.optional(
    z.array(jointPlaceSchema).check(
      z.maxLength(64),
      z.refine(
        (places) => new Set(places.map(({ name }) => name)).size === places.length,
        'Give each place a name of its own.',
      ),
    ),
  ),
  note: z.optional(z.string().check(z.maxLength(200))),
})
export type Fastener = z.infer<typeof fastenerSchema>

/** How often a joint clicks at one of its places before it is shut; nothing of one that does not click. */
export const clicksOf = ({ signs = [] }: Pick<Fastener, 'signs'>): number =>
  signs.reduce((most, sign) => (sign.kind === 'clicks' ? Math.max(most, sign.count) : most), 0)

/** Whether a joint is a latch: it clicks, and has neither a thread nor a torque that anybody named. */
export const isLatch = (fastener: Fastener): boolean =>
  fastener.thread === 'unsaid' && fastener.torqueNm === undefined && clicksOf(fastener) > 0

/** How many of a joint's bolts are at one of its places: as its sheet says, else an even share. */
export const boltsAt = ({ count, places = [] }: Fastener, place: JointPlace): number =>
  place.count ?? Math.round(count / Math.max(1, places.length))

/** What the sheet has a thread secured by: one that names a strength of threadlocker has threadlocker. */
export const securedBy = ({ security, threadlocker }: Fastener): Fastener['security'] =>
  security ?? (threadlocker === undefined ? undefined : 'threadlocker')
