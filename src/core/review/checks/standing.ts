import { marginPhrase } from '../margin-words'
import { fails, spareOf } from '../../facts/comparison'
import { SLOPE_SHARE, tipOverFact } from '../../facts/tip-over'
import { BANDS, bandOf, type OwnBalance, type TipOverCase } from '../../survey/motion/tip-over'
import { deg, type Phrase } from '../../units/phrase'
import { any } from '../../units/pick'
import { plural } from '../../units/words'
import type { Ask } from '../ask'
import { check, notLooked } from '../check'
import type { Outcome } from '../finding'

const askBalance = ({ estimated }: OwnBalance): Ask =>
  estimated.includes('kerb mass')
    ? { where: 'label', label: 'Kerb mass, in the papers', target: { field: 'vehicle', name: 'kerbKg' } }
    : {
        where: 'sheet',
        label: `The vehicle’s ${estimated[0] ?? 'balance'}`,
        target: { open: 'vehicle', at: 'centreOfGravity' },
      }

const tippingPhrase = ({ estimated }: OwnBalance, { slopeDeg }: TipOverCase, roll: number): Phrase => [
  `Tipping: ${estimated.join(', ')} ${plural(estimated.length, 'is', 'are')} not known. By estimate it would tip standing at `,
  deg(slopeDeg),
  ' of side slope; the plan says ',
  deg(roll),
  '.',
]

const two = (value: number) => value.toFixed(2)

/** How far does the whole stand from tipping on the plan's side slope? Degrees; factor without unit. */
export const tipOver = check({
  id: 'standing',
  title: 'Standing',
  question: 'How far is the vehicle from tipping sideways, bare and loaded, on the planned slopes?',
  formula: `static stability factor = track / (2 × height of the centre of gravity); slope = atan of it; planned roll ≤ ${SLOPE_SHARE} of it`,
  source: {
    kind: 'published',
    text: 'NHTSA’s static stability factor and its bands of 2001, from memory. A standing vehicle on a rigid slope: a moving one tips sooner.',
  },
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'tipping',
  turnedBy: {
    lengths: { of: { vehicle: /^(trackMm|centreOfGravity)\b/, rack: /^centreZMm$/ }, reach: 1 },
    masses: 'withVehicle',
  },
  nothing: 'Nothing is on the roof.',
  *run(survey) {
    if (survey.racks.length === 0) return
    const { own, bare, loaded } = survey.motion.standing()
    const { rollDeg, loaded: tipping, unsure, toStopMm, toStopShare } = tipOverFact(survey)
    const guessing = any(own.estimated)
    const asWords = fails(tipping.tips) ? 'stop' : fails(tipping.minds) ? 'mind' : 'clear'
    // By estimate alone nothing is cleared, and what the estimate cannot turn is no question.
    const severity: Outcome = !guessing || asWords === 'stop' ? asWords : unsure ? 'findOut' : 'notLooked'
    const change: Phrase = [
      `Static stability factor ${two(bare.factor)} bare, ${two(loaded.factor)} loaded (NHTSA’s band ${BANDS[bandOf(loaded.factor)]?.name ?? ''}); it would tip standing at `,
      deg(loaded.slopeDeg),
      ' of side slope instead of ',
      deg(bare.slopeDeg),
      '. The plan says ',
      deg(rollDeg),
      '; up to half, ',
      deg(tipping.minds.limit),
      ', is left alone: ',
      ...marginPhrase(tipping.minds, deg),
      '.',
    ]
    if (severity === 'notLooked') {
      yield notLooked(tippingPhrase(own, loaded, rollDeg), askBalance(own))
      return
    }
    yield {
      about: 'vehicle',
      severity,
      state: 'trail',
      subject: { placementIds: [] },
      measured: deg(rollDeg),
      limit: deg(tipping.minds.limit),
      margin: deg(spareOf(tipping.minds)),
      nearStop: { mm: toStopMm, share: toStopShare },
      sentence: !guessing
        ? change
        : [
            ...change,
            ` By estimate: ${own.estimated.join(', ')} ${plural(own.estimated.length, 'is', 'are')} not known${unsure ? ', and the answer depends on it. Find out' : ''}.`,
          ],
      ...(guessing ? { ask: askBalance(own) } : {}),
    }
  },
})
