import type { Phrase } from '../units/phrase'

/** What stands between a step and its being done, by name. */
export interface Hold {
  readonly id: string
  readonly message: string
  /** What it is, where the step's own findings do not say it. */
  readonly words?: Phrase
  /** Whether a named word about this very thing lets the step pass all the same. */
  readonly coverable: boolean
  /** Whether it is a Stop of what was read, counted or proved in this very step. */
  readonly stops: boolean
  /** It is of one place alone: the others may be confirmed meanwhile. */
  readonly ofPlace?: true
}
