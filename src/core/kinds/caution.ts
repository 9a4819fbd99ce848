import { kindsOf } from './kind'

/** Before what a caution is said. What is said before more than the work itself is for whoever drives, and stands on the sheet. */
export const MOMENTS = {
  work: { word: 'Before the work', forDriver: false },
  loading: { word: 'Before you load', forDriver: true },
  driving: { word: 'Before you drive', forDriver: true },
  standing: { word: 'Before you use it parked', forDriver: true },
  apart: { word: 'Before it comes off', forDriver: true },
} as const satisfies Record<string, { readonly word: string; readonly forDriver: boolean }>
export type Moment = keyof typeof MOMENTS

/** The moment before which a caution is said, inside a sentence. */
export const cautionMoment = (moment: Moment): string => MOMENTS[moment].word.toLowerCase()

/** What a caution belongs to: the whole job, a rack, a joint, or a thing on a rack. */
export type BelongsTo = 'job' | 'rack' | 'joint' | 'thing'

interface CautionTraits {
  readonly say: string
  readonly belongsTo: BelongsTo
  readonly before: Moment
  /** The steps of what it belongs to on which it is said, by their keys. */
  readonly onSteps?: readonly string[]
}

/** Where hands are on a rack: set down, started, pressed, tightened. */
const HANDS_ON = ['hook-posts', 'lift-on', 'press-down', 'start-by-hand', 'place', 'torque', 'caps', 'covers']
const JOINT_WORK = ['start-by-hand', 'set', 'torque']

/** What is said where somebody can come to harm, or something to damage. Common practice, no source: local law and the makers' manuals rule. */
export const CAUTIONS = {
  'lowest-rating': {
    say: "Never exceed the lowest rating. The vehicle's manual and the makers' instructions take precedence over this plan.",
    belongsTo: 'job',
    before: 'loading',
  },
  'high-load': {
    say: 'A load on the roof raises the centre of gravity: go slower on bends, side slopes and in wind. Re-tighten after the first trip and regularly.',
    belongsTo: 'thing',
    before: 'driving',
  },
  'behind-you': {
    say: 'What comes loose hits whoever drives behind. Whoever loads past a limit answers for it.',
    belongsTo: 'thing',
    before: 'driving',
  },
  'long-lines': {
    say: 'Long loads need bow and stern lines, and flags or lamps as local law asks.',
    belongsTo: 'thing',
    before: 'loading',
  },
  'side-stops': {
    say: 'Long pieces that can roll or shift need stops at both sides and a strap point for every strap.',
    belongsTo: 'thing',
    before: 'loading',
  },
  fuel: {
    say: 'Fuel on a roof: only in approved containers, as local rules allow.',
    belongsTo: 'thing',
    before: 'loading',
  },
  battery: {
    say: 'A battery on a roof: fixed, dry, out of the sun, its poles covered, and as its maker lets it be carried.',
    belongsTo: 'thing',
    before: 'loading',
  },
  vessel: {
    say: 'A vessel under pressure: valve closed and covered, upright where its label asks, out of the sun, and as local rules allow.',
    belongsTo: 'thing',
    before: 'loading',
  },
  lifting: {
    say: 'Lifting overhead takes two.',
    belongsTo: 'thing',
    before: 'loading',
    onSteps: ['set'],
  },
  sleeping: {
    say: 'Sleeping on a parked roof: level ground, brakes on, within the parked figure of every part and of the roof. Never drive with anyone on the roof.',
    belongsTo: 'thing',
    before: 'standing',
  },
  'parked-sway': {
    say: 'Parked, the springs sway and the rack must not: what moves against the vehicle is loose.',
    belongsTo: 'thing',
    before: 'standing',
  },
  climbing: {
    say: "People on ladders: within the ladder's limit and the hatch's, whichever is lower.",
    belongsTo: 'rack',
    before: 'standing',
  },
  'hatch-ladder': {
    say: 'A hatch with a ladder on it: see that it stays up by itself, closes and latches.',
    belongsTo: 'rack',
    before: 'driving',
    onSteps: ['hatch'],
  },
  heads: {
    say: 'Bar ends stand out over the doors: mind your head.',
    belongsTo: 'rack',
    before: 'loading',
    onSteps: ['doors'],
  },
  glass: {
    say: 'Never pry on the glass, pull against it or rest anything on it.',
    belongsTo: 'rack',
    before: 'apart',
    onSteps: HANDS_ON,
  },
  'hand-screws': {
    say: 'Screws and knobs that are tightened by hand work loose: try them after the first trip and at every stop.',
    belongsTo: 'joint',
    before: 'driving',
    onSteps: ['torque'],
  },
  'permanent-lock': {
    say: 'Permanent threadlocker does not come undone cold: warm the joint as its maker says before anybody takes a tool to it.',
    belongsTo: 'joint',
    before: 'apart',
    onSteps: JOINT_WORK,
  },
  galling: {
    say: 'Stainless threads gall under a power tool, and then neither tighten nor come undone: turn them by hand, slowly.',
    belongsTo: 'joint',
    before: 'apart',
    onSteps: JOINT_WORK,
  },
  'first-click': {
    say: 'The first click is no lock: count every click.',
    belongsTo: 'joint',
    before: 'loading',
    onSteps: JOINT_WORK,
  },
  prying: {
    say: 'Pry nothing over paint or chrome.',
    belongsTo: 'job',
    before: 'work',
    onSteps: ['prepare', 'caps', 'covers', 'off'],
  },
  blades: {
    say: 'No blade on a coated part, a seal or the paint.',
    belongsTo: 'job',
    before: 'work',
    onSteps: ['prepare', 'strips-under', 'strips'],
  },
  footing: {
    say: 'Stand on a platform or a step that cannot slip, never on a tyre, a sill or the edge of the bed.',
    belongsTo: 'job',
    before: 'work',
    onSteps: ['lift-on', 'hang-feet', 'feet-in', 'bars-in', 'start-by-hand', 'place', 'torque', 'set', 'off'],
  },
  drilling: {
    say: 'Protect eyes and lungs from swarf and dust, and know what lies behind before the drill goes through.',
    belongsTo: 'job',
    before: 'work',
    onSteps: ['drill'],
  },
} as const satisfies Record<string, CautionTraits>
export type CautionKind = keyof typeof CAUTIONS

/** The traits of a caution. */
export const cautionTraits = (kind: CautionKind): CautionTraits => CAUTIONS[kind]

/** The moments before which whoever drives is told something. */
export const DRIVER_MOMENTS = kindsOf(MOMENTS).filter((moment) => MOMENTS[moment].forDriver)
