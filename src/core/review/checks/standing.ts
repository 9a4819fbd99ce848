import { BANDS, bandOf, type OwnBalance, type Stand } from '../../survey/motion/standing'
import type { Ask } from '../ask'
import { check, notLooked } from '../check'
import type { Outcome, Severity } from '../finding'
import { deg, type Phrase } from '../../units/phrase'

/** A slope up to this part of the one that tips a standing vehicle is left alone. Common practice, no source. */
const SLOPE_SHARE = 0.5

function severityOf({ slopeDeg }: Stand, rollDeg: number): Severity {
  if (rollDeg >= slopeDeg) return 'stop'
  return rollDeg > slopeDeg * SLOPE_SHARE ? 'mind' : 'clear'
}

const askBalance = ({ estimated }: OwnBalance): Ask =>
  estimated.includes('kerb mass')
    ? { where: 'label', label: 'Kerb mass, in the papers', target: { field: 'vehicle', name: 'kerbKg' } }
    : {
        where: 'sheet',
        label: `The vehicle’s ${estimated[0] ?? 'balance'}`,
        target: { open: 'vehicle', at: 'centreOfGravity' },
      }

const tipping = ({ estimated }: OwnBalance, { slopeDeg }: Stand, roll: number): Phrase => [
  `Tipping: ${estimated.join(', ')} ${estimated.length > 1 ? 'are' : 'is'} not known. By estimate it would tip standing at `,
  deg(slopeDeg),
  ' of side slope; the plan says ',
  deg(roll),
  '.',
]

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
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'forces',
  lookWord: 'tipping',
  turnedBy: {},
  nothing: 'Nothing is on the roof.',
  *run(survey) {
    if (survey.racks.length === 0) return
    const { own, bare, loaded, loadedBetween } = survey.motion.standing()
    const roll = survey.plan.use.trailRollDeg
    const ends = [loadedBetween.least, loadedBetween.most].map((each) => severityOf(each, roll))
    const guessing = own.estimated.length > 0
    const asSaid = severityOf(loaded, roll)
    const unsure = guessing && ends.some((end) => end !== 'clear')
    // By estimate alone nothing is cleared, and what the estimate cannot turn is no question.
    const severity: Outcome = !guessing || asSaid === 'stop' ? asSaid : unsure ? 'findOut' : 'notLooked'
    const change: Phrase = [
      `Static stability factor ${two(bare.factor)} bare, ${two(loaded.factor)} loaded (NHTSA’s band ${BANDS[bandOf(loaded.factor)]?.name ?? ''}); it would tip standing at `,
      deg(loaded.slopeDeg),
      ' of side slope instead of ',
      deg(bare.slopeDeg),
      '. The plan says ',
      deg(roll),
      '.',
    ]
    if (severity === 'notLooked') {
      yield notLooked(survey, 'tipping', tipping(own, loaded, roll), askBalance(own))
      return
    }
    yield {
      about: 'vehicle',
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
      ...(guessing ? { ask: askBalance(own) } : {}),
    }
  },
})
