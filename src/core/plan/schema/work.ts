import * as z from '../../units/schema'
import { idSchema, money, nameSchema } from '../../units/scalars'
import { minutesSchema } from './minutes'

/** The stages of fitting, in order; the first two go on side by side. */
export const PHASES = ['bench', 'vehicle', 'start', 'place', 'torque', 'trim', 'prove'] as const
const phaseSchema = z.enum(PHASES)
export type Phase = z.infer<typeof phaseSchema>

/**
 * A step that a part's sheet asks for. `after` names steps of this part, or of another as `part-id/step-id`.
 * `decidesSpread`: the bars cannot be placed before it is done.
 */
const workStepSchema = z.strictObject({
  id: idSchema,
  stage: phaseSchema,
  title: nameSchema,
  detail: z.optional(z.string().check(z.maxLength(400))),
  after: z.optional(z.array(z.string().check(z.maxLength(170))).check(z.maxLength(20))),
  times: z.optional(z.enum(['once', 'side', 'bar'])),
  minutes: z.optional(minutesSchema),
  waitMinutes: z.optional(z.number().check(z.gte(0), z.lte(20_000))),
  hands: z.optional(z.union([z.literal(1), z.literal(2)])),
  tools: z.optional(z.array(nameSchema).check(z.maxLength(12))),
  decidesSpread: z.optional(z.boolean()),
  /** The app's own step that is done in this way here, as `/its-key`. */
  replaces: z.optional(z.string().check(z.minLength(1), z.maxLength(170))),
  /** Something put in for a while, and taken out again when the rack is trimmed. */
  temporary: z.optional(z.strictObject({ what: nameSchema })),
})
export type WorkStep = z.infer<typeof workStepSchema>

const countedSchema = z.strictObject({
  what: nameSchema,
  count: z.int().check(z.gte(1), z.lte(400)),
  price: z.optional(money),
})

/** Where an arrow on a part points. */
export const ARROWS = ['front', 'rear', 'outward', 'inward', 'up', 'mark'] as const

const markText = z.string().check(z.minLength(1), z.maxLength(60))

/**
 * One place of a part or a thing by its name, and what belongs there: which piece, by which mark, arrow, code, icon and
 * colour it is told, and the core and key of its lock.
 */
const markedPlaceSchema = z.strictObject({
  at: nameSchema,
  piece: z.optional(nameSchema),
  mark: z.optional(markText),
  arrow: z.optional(z.enum(ARROWS)),
  code: z.optional(markText),
  icon: z.optional(markText),
  colour: z.optional(markText),
  core: z.optional(markText),
  key: z.optional(markText),
  note: z.optional(z.string().check(z.maxLength(200))),
})
export type MarkedPlace = z.infer<typeof markedPlaceSchema>

/** What fitting a part takes, as its sheet says; all of it may be unsaid. */
export const workSchema = z.strictObject({
  have: z.optional(z.boolean()),
  /** What its box holds besides the part, what it does not hold though the part needs it, and what is not used here. */
  box: z.optional(
    z.strictObject({
      holds: z.optional(z.array(countedSchema).check(z.maxLength(40))),
      lacks: z.optional(z.array(countedSchema).check(z.maxLength(40))),
      unused: z.optional(z.array(countedSchema).check(z.maxLength(40))),
    }),
  ),
  consumables: z.optional(z.array(countedSchema).check(z.maxLength(20))),
  /** What belongs at which of its places. */
  places: z.optional(z.array(markedPlaceSchema).check(z.maxLength(64))),
  /** Marked parts go to the corner they are marked for; the others may go either side. */
  sides: z.optional(z.enum(['marked', 'either'])),
  arrows: z.optional(
    z.array(z.strictObject({ on: nameSchema, toward: z.enum(ARROWS) })).check(z.maxLength(12)),
  ),
  keys: z.optional(
    z.strictObject({
      cores: z.int().check(z.gte(1), z.lte(64)),
      codes: z.array(z.string().check(z.maxLength(20))).check(z.maxLength(64)),
      /** How many keys come with them. */
      keys: z.optional(z.int().check(z.gte(0), z.lte(64))),
    }),
  ),
  season: z.optional(
    z.strictObject({
      fromMonth: z.int().check(z.gte(1), z.lte(12)),
      toMonth: z.int().check(z.gte(1), z.lte(12)),
    }),
  ),
  steps: z.optional(z.array(workStepSchema).check(z.maxLength(40))),
})
export type Work = z.infer<typeof workSchema>
