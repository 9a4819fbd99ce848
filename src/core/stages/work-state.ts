import type { LogEvent } from '../log/event'
import { countingEvents } from '../log/replay'

/** How far the work of a job has come, as its log has it. */
export const WORK_STATES = ['planned', 'begun', 'fitted', 'handedOver'] as const
export type WorkState = (typeof WORK_STATES)[number]

export const WORK_WORD: Readonly<Record<WorkState, string>> = {
  planned: 'planned',
  begun: 'being fitted',
  fitted: 'fitted',
  handedOver: 'handed over',
}

/**
 * How far a job has come: `own` are the entries about its car and itself, in order, of which only its own count, and of
 * those none that was struck out. What is told closes a job, also where all was on already.
 */
export function workStateOf(own: readonly LogEvent[], jobId: string): WorkState {
  const its = own.filter((event) => event.jobId === jobId)
  const kinds = new Set(countingEvents(its).flatMap(({ kind }) => (kind === 'corrected' ? [] : [kind])))
  if (kinds.has('told')) return 'handedOver'
  if (kinds.has('fitted')) return 'fitted'
  return kinds.size > 0 ? 'begun' : 'planned'
}
