import type { NoseUp } from '../survey/motion/long-lines'
import type { Survey } from '../survey/survey'
import { atMost, type Compared } from './comparison'

/** A long load ahead of its front bar: what lifts its nose against what holds it. N·m about the rear bar. */
interface LongNose {
  readonly nose: NoseUp
  readonly compared: Compared
  /** With its weight behind the rear bar nothing holds the front down at all. */
  readonly loose: boolean
}

export const longNoses = (survey: Survey): readonly LongNose[] =>
  survey.motion.noseUps().map((nose) => ({
    nose,
    compared: atMost(nose.upNm, nose.holdsNm, 'exact'),
    loose: nose.holdsNm <= 0,
  }))
