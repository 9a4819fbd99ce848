import type { Aside } from '../plan/schema/aside'
import * as z from '../units/schema'
import { stateSchema, type State } from '../units/scalars'
import type { LengthsOf } from '../facts/tried-fact'
import type { Ask } from './ask'
import type { Amount, Phrase } from '../units/phrase'

/** What a verdict is made of, worst first. */
export const SEVERITIES = ['stop', 'findOut', 'mind', 'clear'] as const
export type Severity = (typeof SEVERITIES)[number]

/**
 * What a check may say: a severity; that it was given nothing to run on, where nothing on the load path depends on it;
 * or that none of its kind is on the plan. The last two make no verdict.
 */
export const OUTCOMES = [...SEVERITIES, 'notLooked', 'nothing'] as const
export type Outcome = (typeof OUTCOMES)[number]

/** A state's verdict; a vehicle without rack and gear has none. */
export type Verdict = Severity | 'unplanned'

/** The place of each, worst first. */
export const OUTCOME_RANK: Readonly<Record<Outcome, number>> = {
  stop: 0,
  findOut: 1,
  mind: 2,
  clear: 3,
  notLooked: 4,
  nothing: 5,
}

export const OUTCOME_WORD: Readonly<Record<Outcome, string>> = {
  stop: 'Stop',
  findOut: 'Find out',
  mind: 'Mind',
  clear: 'Clear',
  notLooked: 'Not looked at',
  nothing: 'Nothing to check',
}

export const VERDICT_WORD: Readonly<Record<Verdict, string>> = {
  stop: 'Stop',
  findOut: 'Find out',
  mind: 'Mind',
  clear: 'Clear',
  unplanned: 'Nothing planned',
}

export const STATE_WORD: Readonly<Record<State, string>> = { road: 'Road', trail: 'Trail', parked: 'Parked' }

/** How a state reads inside a sentence. */
export const IN_STATE: Readonly<Record<State, string>> = {
  road: 'on the road',
  trail: 'on the trail',
  parked: 'parked',
}

/** What a finding may be about, by its id in the plan or the survey; things are listed, for there may be several. */
const subjectSchema = z.strictObject({
  layerId: z.optional(z.string()),
  rackId: z.optional(z.string()),
  barId: z.optional(z.string()),
  footId: z.optional(z.string()),
  clearanceId: z.optional(z.string()),
  obstacleId: z.optional(z.string()),
  partId: z.optional(z.string()),
  measurementId: z.optional(z.string()),
  placementIds: z.readonly(z.array(z.string())),
})

/** What a finding says of itself in a file as in the program: its own id, how grave, by which rule, of which state. */
export const findingHeadSchema = z.strictObject({
  /** Rule and subject, and the state last: the same finding keeps its id from one edit to the next. */
  id: z.string(),
  severity: z.enum(OUTCOMES),
  rule: z.string(),
  state: z.union([stateSchema, z.literal('all')]),
  subject: subjectSchema,
})

/** How near an answer is to being a Stop, negative past it: what that says is tried no further than it must be. */
export interface NearStop {
  /** mm; or as far as lengths of one kind matter. */
  readonly mm?: number | Readonly<Partial<Record<LengthsOf, number>>>
  /** By what part all that weighs must be more at least until it is one; negative by what part less until it is none. */
  readonly share?: number
  /** It speaks for all that has no finding of its own: a new Stop among that is its Stop. */
  readonly rest?: true
}

/** What a check found: plain data, the same for the same plan. */
export interface Finding extends Readonly<z.infer<typeof findingHeadSchema>> {
  readonly measured?: Amount
  readonly limit?: Amount
  /** What is left to the limit; negative is over. */
  readonly margin?: Amount
  readonly sentence: Phrase
  /** How near to a Stop it is, where its margin does not say. */
  readonly nearStop?: NearStop
  /** No fact alone turns it, and so many of them all at once would; by how much it would be over then, where that is known. */
  readonly together?: { readonly facts: number; readonly over?: Amount }
  /** Where the answer to a Find out is read, and the field that takes it. */
  readonly ask?: Ask
  /** A named person has set this question aside for this job. */
  readonly aside?: Aside
  /** More of its subject, for fixes; not printed. */
  readonly concerns?: {
    readonly massId?: string
    readonly axle?: 'front' | 'rear'
    /** A bar that is at the other end of its rack than its mark says. */
    readonly wrongEnd?: true
  }
}

const isSeverity = (outcome: Outcome): outcome is Severity => outcome !== 'notLooked' && outcome !== 'nothing'

/** The worse of a verdict so far and what a check says; what was not looked at changes none. */
export function worse(worst: Severity, outcome: Outcome): Severity {
  return isSeverity(outcome) && OUTCOME_RANK[outcome] < OUTCOME_RANK[worst] ? outcome : worst
}

/** Whether a finding asks something of a person. */
export const isOpen = ({ severity }: Finding): boolean => OUTCOME_RANK[severity] < OUTCOME_RANK.clear

/** What a finding is about, whatever its state: its states are one line on a screen. */
export function identityOf({ id, state }: Finding): string {
  return state !== 'all' && id.endsWith(` ${state}`) ? id.slice(0, -state.length - 1) : id
}
