import type { Chances } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'

/** What the screen asks: to draw a plan's unknown masses so many times, or to stop doing so. */
export type ChanceQuestion =
  | { readonly ask: 'draw'; readonly ticket: number; readonly plan: Plan; readonly draws: number }
  | { readonly ask: 'stop' }

/** What comes back: how far it is, the whole answer, or that it stopped as asked. */
export type ChanceAnswer =
  | { readonly say: 'progress'; readonly ticket: number; readonly done: number }
  | { readonly say: 'done'; readonly ticket: number; readonly chances: Chances }
  | { readonly say: 'stopped'; readonly ticket: number }
