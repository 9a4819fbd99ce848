import type { Survey } from '../survey/survey'
import type { TipOverCase } from '../survey/motion/tip-over'
import { atMost, fails, type Compared } from './comparison'

/** A slope up to this part of the one that tips a standing vehicle is left alone. Common practice, no source. */
export const SLOPE_SHARE = 0.5

/** The slope planned against the one that would tip the vehicle as it stands, and against a part of that. Degrees. */
interface Tipping {
  readonly tips: Compared
  readonly minds: Compared
}

/** What is steeper than a slope by nothing tips it: equal is over. */
const TIPS_AT_DEG = 1e-5

const tippingOf = ({ slopeDeg }: TipOverCase, rollDeg: number): Tipping => ({
  tips: atMost(rollDeg, slopeDeg - TIPS_AT_DEG, 'angle'),
  minds: atMost(rollDeg, slopeDeg * SLOPE_SHARE, 'angle'),
})

/** How the vehicle stands on the plan's side slope, loaded, and as far as an estimate of its own balance may be off. */
interface TipOverFact {
  readonly rollDeg: number
  readonly loaded: Tipping
  /** Whether by some end of the estimate it would not stand clear. */
  readonly unsure: boolean
  /** How much higher the centre of gravity, or narrower the track, may be until it tips. mm */
  readonly toStopMm: number
  /** By what part all masses on it must be more, and its own less, until it tips. */
  readonly toStopShare: number
}

/** Standing on the side slope planned; static stability factor, NHTSA, from memory. */
export function tipOverFact({ motion, plan }: Survey): TipOverFact {
  const { own, loaded, loadedBetween } = motion.standing()
  const rollDeg = plan.use.trailRollDeg
  const ends = [loadedBetween.least, loadedBetween.most].map((each) => tippingOf(each, rollDeg))
  const slope = Math.tan((rollDeg * Math.PI) / 180)
  const ratio = slope === 0 ? Infinity : loaded.factor / slope
  const higherMm = loaded.heightMm * (ratio - 1)
  const narrowerMm = own.trackMm * (1 - 1 / ratio)
  return {
    rollDeg,
    loaded: tippingOf(loaded, rollDeg),
    unsure: own.estimated.length > 0 && ends.some(({ minds }) => fails(minds)),
    toStopMm: Math.abs(higherMm) < Math.abs(narrowerMm) ? higherMm : narrowerMm,
    toStopShare: ratio === Infinity ? 1 : (ratio - 1) / (ratio + 1),
  }
}
