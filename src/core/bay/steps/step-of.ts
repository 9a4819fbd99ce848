import type { Step } from './step'

type Draft = Omit<Step, 'waitMinutes' | 'hands' | 'byLoader' | 'tools' | 'footIds' | 'after'> & Partial<Step>

/** A step with what is usual where nothing else is said. */
export function stepOf(draft: Draft): Step {
  return {
    after: [],
    waitMinutes: 0,
    hands: 1,
    byLoader: false,
    tools: [],
    footIds: [],
    ...draft,
  }
}
