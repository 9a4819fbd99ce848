import type { LogEvent } from '../log/event'

/** How far the work of a job has come, as its log has it. */
export const WORK_STATES = ['planned', 'begun', 'fitted', 'handedOver'] as const
export type WorkState = (typeof WORK_STATES)[number]

export const WORK_WORD: Readonly<Record<WorkState, string>> = {
  planned: 'planned',
  begun: 'in the bay',
  fitted: 'fitted',
  handedOver: 'handed over',
}

/** How far a job has come: `own` are the entries about its car and itself, of which only its own count. */
export function workStateOf(own: readonly LogEvent[], jobId: string): WorkState {
  const kinds = new Set(own.filter((event) => event.jobId === jobId).map(({ kind }) => kind))
  if (kinds.has('fitted')) return kinds.has('told') ? 'handedOver' : 'fitted'
  return kinds.size > 0 ? 'begun' : 'planned'
}
