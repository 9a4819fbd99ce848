import type { Severity } from '../review/finding'
import type { Stage } from './stage-of'

/** The state of a stage. */
export type StageState =
  /** Findings to be dealt with there: the gravest kind, and how many of it. */
  | { readonly at: Exclude<Severity, 'clear'>; readonly count: number }
  /** Nothing is there yet. */
  | { readonly at: 'empty' }
  /** What is there has been looked at, and nothing is open. */
  | { readonly at: 'settled' }
  | { readonly at: 'working'; readonly done: number; readonly of: number }
  | { readonly at: 'done' }
  | { readonly at: 'due'; readonly on: string; readonly overdue: boolean }
  /** Nothing is known of it yet, or there is nothing to say. */
  | { readonly at: 'quiet' }

const COUNTED = { stop: 'Stop', findOut: 'to find out', mind: 'to mind' } as const

/** The state of a stage in a few words, or no words at all. `day` writes a day for the reader. */
export function stageWords(
  stage: Stage,
  state: StageState,
  day: (iso: string) => string = (iso) => iso,
): string {
  switch (state.at) {
    case 'stop':
      return `${state.count} ${state.count === 1 ? COUNTED.stop : `${COUNTED.stop}s`}`
    case 'findOut':
    case 'mind':
      return `${state.count} ${COUNTED[state.at]}`
    case 'empty':
      return stage === 'vehicle' ? 'holds no rack' : stage === 'racks' ? 'none yet' : 'nothing yet'
    case 'settled':
      return 'nothing open'
    case 'working':
      return `${state.done} of ${state.of}`
    case 'done':
      return stage === 'handover' ? 'handed over' : 'done'
    case 'due':
      return state.overdue ? `overdue, ${day(state.on)}` : `due ${day(state.on)}`
    case 'quiet':
      return ''
  }
}
