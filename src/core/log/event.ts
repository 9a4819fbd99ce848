import { PROOF_OUTCOMES } from './proof-outcome'
import { TAPED } from './taped'
import '../units/no-eval'
import * as z from 'zod'
import { daySchema, idSchema, massKg, sizeMm } from '../units/scalars'

const common = {
  id: idSchema,
  at: z.iso.datetime(),
  vehicleId: idSchema,
  jobId: idSchema.optional(),
  by: z.string().max(80).optional(),
  note: z.string().max(1000).optional(),
  /** One more than the highest turn that the device had seen when it wrote this: what orders a log, and no clock does. */
  turn: z.number().int().min(1).max(100_000_000).optional(),
  device: idSchema.optional(),
  /** The entry that it takes the place of: the same thing, read or said anew. */
  replaces: idSchema.optional(),
}
const key = z.string().min(1).max(400)
/** Names of steps and joints are made of several names of the plan. */
const words = z.string().trim().min(1).max(600)
const rack = { rackId: idSchema, what: words }
const readingsSchema = z.partialRecord(z.enum(TAPED), z.array(sizeMm).min(1).max(40))
/** What was typed for a figure, in the unit in which it was read. */
const typed = z.string().min(1).max(60)
/** Until when a tool is calibrated, and whether that held when it was read: said then, as no clock is asked later. */
const calibration = z.strictObject({ until: daySchema, held: z.boolean() })
export type Calibration = z.infer<typeof calibration>
const hung = z.record(key, z.union([z.number(), z.string().max(500)]))

/**
 * What may be said of a step, or of some of its places, instead of doing it. Only what was on already counts as if it were
 * done; the others stay open, and the sheet begins with them.
 */
export const ANSWERS = ['alreadyOn', 'notSeen', 'putOff', 'cannotHere'] as const
export type StepAnswer = (typeof ANSWERS)[number]

export const ANSWER_WORD: Readonly<Record<StepAnswer, string>> = {
  alreadyOn: 'Already on when it came',
  notSeen: 'Not seen',
  putOff: 'Put off',
  cannotHere: 'Cannot be done here',
}

/**
 * How somebody knew that a pull was done: what the wrench read, a wrench that clicked at its set figure, the joint's own
 * sign, or nothing but the hand. Entries from before this was asked do not say.
 */
export const PULL_EVIDENCE = ['reading', 'click', 'sign', 'feel'] as const
export type PullEvidence = (typeof PULL_EVIDENCE)[number]

/** How a pull without a reading was known to be done, in a fitter's words. */
export const pullWords = (how: PullEvidence | undefined): string =>
  how === undefined
    ? 'called done, not said how'
    : { reading: 'read', click: 'clicked at its figure', sign: 'its sign seen', feel: 'by feel' }[how]

/** The same in a word, for a table. */
export const pullWord = (how: PullEvidence | undefined): string =>
  how === undefined ? 'said' : { reading: 'read', click: 'clicked', sign: 'sign', feel: 'feel' }[how]

/**
 * Something that happened to a vehicle's rack. The log only grows: what was wrong is set right by `corrected`, which
 * names the event that no longer counts, and a right one after it.
 */
export const logEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('fitted'), ...common, ...rack }),
  z.strictObject({ kind: z.literal('removed'), ...common, ...rack }),
  z.strictObject({ kind: z.literal('refitted'), ...common, ...rack }),
  z.strictObject({ kind: z.literal('replaced'), ...common, what: words, with: words }),
  z.strictObject({ kind: z.literal('lost'), ...common, what: words, count: z.number().int().min(1) }),
  z.strictObject({ kind: z.literal('found'), ...common, what: words, count: z.number().int().min(1) }),
  z.strictObject({
    kind: z.literal('counted'),
    ...common,
    lineId: key,
    what: words,
    count: z.number().int().min(0).max(4000),
  }),
  z.strictObject({
    kind: z.literal('stepDone'),
    ...common,
    stepId: key,
    title: words,
    /** What the tick hung on, as it was then. */
    hung: hung.optional(),
  }),
  z.strictObject({ kind: z.literal('stepReopened'), ...common, stepId: key, title: words }),
  z.strictObject({
    kind: z.literal('measured'),
    ...common,
    stepId: key,
    pairId: key,
    readings: readingsSchema,
    typed: z.partialRecord(z.enum(TAPED), typed).optional(),
  }),
  z.strictObject({
    kind: z.literal('weighed'),
    ...common,
    targetId: key,
    what: words,
    kg: massKg,
    typed: typed.optional(),
    tool: z.string().max(120).optional(),
    calibration: calibration.optional(),
    /** Played by a device of the demo, and weighed by nobody. */
    simulated: z.literal(true).optional(),
  }),
  z.strictObject({
    kind: z.literal('torqued'),
    ...common,
    jointId: key,
    what: words,
    spot: words,
    pass: z.number().int().min(1).max(9),
    percent: z.number().min(1).max(100),
    /** What the wrench read, N·m. */
    nm: z.number().positive().max(2000).optional(),
    typed: typed.optional(),
    how: z.enum(PULL_EVIDENCE).optional(),
    tool: z.string().max(120).optional(),
    calibration: calibration.optional(),
    /** Played by a device of the demo, and pulled by nobody. */
    simulated: z.literal(true).optional(),
  }),
  z.strictObject({
    kind: z.literal('signSeen'),
    ...common,
    jointId: key,
    what: words,
    /** The sign in words, and where it was seen, beside a reading. */
    sign: words,
    spots: z.array(words).min(1).max(60),
  }),
  z.strictObject({ kind: z.literal('told'), ...common, what: words }),
  z.strictObject({
    kind: z.literal('proved'),
    ...common,
    item: key,
    what: words,
    outcome: z.enum(PROOF_OUTCOMES),
  }),
  z.strictObject({
    kind: z.literal('channelSeen'),
    ...common,
    barId: key,
    what: words,
    /** Everything that is in it, each so far from its low end, mm; empty where it was seen to be empty. */
    inside: z.array(z.strictObject({ what: words, fromLowMm: sizeMm, fixed: z.boolean() })).max(40),
  }),
  z.strictObject({
    kind: z.literal('answered'),
    ...common,
    stepId: key,
    title: words,
    answer: z.enum(ANSWERS),
    /** Of some places alone, and of which joint; the whole step without. */
    places: z.array(words).min(1).max(60).optional(),
    jointId: key.optional(),
    reason: z.string().min(1).max(1000),
    hung: hung.optional(),
  }),
  z.strictObject({
    kind: z.literal('deviated'),
    ...common,
    stepId: key,
    title: words,
    reason: z.string().min(1).max(1000),
    /** What it speaks of, by id: a finding of the step, or what is still open there. Of anything else it says nothing. */
    about: z.array(key).max(40).optional(),
  }),
  z.strictObject({ kind: z.literal('checked'), ...common, what: words }),
  z.strictObject({ kind: z.literal('loadChanged'), ...common, what: words }),
  z.strictObject({ kind: z.literal('firstTrip'), ...common, what: words, on: daySchema }),
  z.strictObject({ kind: z.literal('dated'), ...common, what: words, due: daySchema }),
  z.strictObject({
    kind: z.literal('corrected'),
    ...common,
    eventId: idSchema,
    reason: z.string().min(1).max(1000),
  }),
])
export type LogEvent = z.infer<typeof logEventSchema>
export type EventKind = LogEvent['kind']

/** How an event reads in a list. */
export const EVENT_WORD: Readonly<Record<EventKind, string>> = {
  fitted: 'Fitted',
  removed: 'Removed',
  refitted: 'Refitted',
  replaced: 'Replaced',
  lost: 'Lost',
  found: 'Found',
  counted: 'Counted',
  stepDone: 'Done',
  stepReopened: 'Opened again',
  measured: 'Measured',
  weighed: 'Weighed',
  torqued: 'Torqued',
  signSeen: 'Sign seen',
  told: 'Told',
  proved: 'Proved',
  channelSeen: 'Channel looked into',
  answered: 'Answered',
  deviated: 'Differs from the sheet',
  checked: 'Checked',
  loadChanged: 'Load changed',
  firstTrip: 'First trip',
  dated: 'Date set',
  corrected: 'Corrected',
}
