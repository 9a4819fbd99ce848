import { BANDS, bandOf, type Stand } from '../../survey/motion/standing'
import { check } from '../check'
import type { Severity } from '../finding'
import { deg, type Phrase } from '../phrase'

/** A slope up to this part of the one that tips a standing vehicle is left alone. Common practice, no source. */
export const SLOPE_SHARE = 0.5

function severityOf({ factor, slopeDeg }: Stand, rollDeg: number): Severity {
  if (rollDeg >= slopeDeg) return 'stop'
  return rollDeg > slopeDeg * SLOPE_SHARE || bandOf(factor) === BANDS.length - 1 ? 'mind' : 'clear'
}

const two = (value: number) => value.toFixed(2)

/** How far does the whole stand from tipping on the plan's side slope? Degrees; factor without unit. */
export const standing = check({
  id: 'standing',
  title: 'Standing',
  question: 'How far does the vehicle stand from tipping sideways, bare and loaded, on the slopes planned?',
  formula: `static stability factor = track / (2 × height of the centre of gravity); slope = atan of it; planned roll ≤ ${SLOPE_SHARE} of it`,
  source: {
    kind: 'published',
    text: 'NHTSA’s static stability factor and its bands of 2001, from memory. A standing vehicle on a rigid slope: a moving one tips sooner.',
  },
  nothing: 'Nothing is on the roof.',
  *run(survey) {
    if (survey.racks.length === 0) return
    const { own, bare, loaded, loadedBetween } = survey.motion.standing()
    const roll = survey.plan.use.trailRollDeg
    const ends = [loadedBetween.least, loadedBetween.most].map((each) => severityOf(each, roll))
    const unsure = own.estimated.length > 0 && ends[0] !== ends[1]
    const severity: Severity = unsure ? 'findOut' : severityOf(loaded, roll)
    const change: Phrase = [
      `Static stability factor ${two(bare.factor)} bare, ${two(loaded.factor)} loaded (NHTSA’s band ${BANDS[bandOf(loaded.factor)]?.name ?? ''}); it would tip standing at `,
      deg(loaded.slopeDeg),
      ' of side slope instead of ',
      deg(bare.slopeDeg),
      '. The plan says ',
      deg(roll),
      '.',
    ]
    yield {
      id: 'standing vehicle',
      rule: 'standing',
      severity,
      state: 'trail',
      subject: { placementIds: [] },
      measured: deg(roll),
      limit: deg(loaded.slopeDeg * SLOPE_SHARE),
      margin: deg(loaded.slopeDeg * SLOPE_SHARE - roll),
      sentence:
        own.estimated.length === 0
          ? change
          : [
              ...change,
              ` By estimate: ${own.estimated.join(', ')} ${own.estimated.length > 1 ? 'are' : 'is'} not known${unsure ? ', and the answer hangs on it. Find out' : ''}.`,
            ],
    }
  },
})
