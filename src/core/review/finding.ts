import type { State } from '../plan/scalars'
import type { Amount, Phrase } from './phrase'

/** Worst first. */
export const SEVERITIES = ['stop', 'findOut', 'mind', 'clear'] as const
export type Severity = (typeof SEVERITIES)[number]

/** The place of each in that order. */
export const SEVERITY_RANK: Readonly<Record<Severity, number>> = { stop: 0, findOut: 1, mind: 2, clear: 3 }

export const SEVERITY_WORD: Readonly<Record<Severity, string>> = {
  stop: 'Stop',
  findOut: 'Find out',
  mind: 'Mind',
  clear: 'Clear',
}

export const STATE_WORD: Readonly<Record<State, string>> = { road: 'Road', trail: 'Trail', parked: 'Parked' }

/** How a state reads inside a sentence. */
export const IN_STATE: Readonly<Record<State, string>> = {
  road: 'on the road',
  trail: 'on the trail',
  parked: 'parked',
}

export interface Subject {
  readonly layerId?: string
  readonly rackId?: string
  readonly barId?: string
  readonly footId?: string
  readonly clearanceId?: string
  readonly obstacleId?: string
  readonly partId?: string
  readonly measurementId?: string
  readonly placementIds: readonly string[]
}

/** What a check found: plain data, the same for the same plan. */
export interface Finding {
  /** Rule, subject and state: the same finding keeps its id from one edit to the next. */
  readonly id: string
  readonly severity: Severity
  readonly rule: string
  readonly state: State | 'all'
  readonly subject: Subject
  readonly measured?: Amount
  readonly limit?: Amount
  /** What is left to the limit; negative is over. */
  readonly margin?: Amount
  readonly sentence: Phrase
}

/** The worse of two severities. */
export function worse(a: Severity, b: Severity): Severity {
  return SEVERITY_RANK[a] <= SEVERITY_RANK[b] ? a : b
}
