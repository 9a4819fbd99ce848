import type { JobSummary, WorkState } from '@/core/api/assess'
import type { Plan } from '@/core/api/plan'
import type { Picture } from '@/drawing/side-marks'

/** What the board asks: every job's card; those in memory alone come along. */
export interface BoardQuestion {
  readonly ticket: number
  readonly unsaved: readonly Plan[]
}

/** What the board shows of a job: what is said of it, its picture, how far its work is, and the day its car has to come back once it is fitted. */
export type BoardCard =
  | {
      readonly ok: true
      readonly id: string
      readonly summary: JobSummary
      readonly picture: Picture
      readonly work: WorkState
      readonly backOn: string | undefined
    }
  | { readonly ok: false; readonly id: string; readonly reason: string | undefined }

/** Some of the cards; `left` are still to be worked out. */
export type BoardAnswer =
  | {
      readonly say: 'cards'
      readonly ticket: number
      readonly cards: readonly BoardCard[]
      readonly left: number
      /** Whether all have been told that are kept: in pieces they would change places under the hand. */
      readonly whole: boolean
    }
  | { readonly say: 'failed'; readonly ticket: number; readonly reason: string }
