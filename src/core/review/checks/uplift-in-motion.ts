import type { Survey } from '../../survey/survey'
import { check } from '../check'
import { kg } from '../../units/phrase'
import { holdingUplift } from './uplift'

/** Under half a kilogram is the roughness of such a sum, not a lifted foot. */
const NOTICE_KG = 0.5

/** The feet that do not lift at rest: those that do have been spoken of. */
const atRest = (survey: Survey, footIndex: number) =>
  Math.min(...Object.values(survey.footLoads[footIndex]?.loadKg ?? { road: 0 }))

/** Does braking, a bend, pulling away or the trail’s slope lift a foot? kg as a weight. */
export const upliftInMotion = check({
  id: 'uplift-in-motion',
  title: 'A foot lifts in motion',
  question: 'Does braking, pulling away, a bend or the slope of the trail pull any foot upward?',
  formula:
    'Δ = m·a·h / base with 0.8 g forward, 0.5 g rearward and to each side; on a slope gravity’s own parts; foot < 0',
  source: {
    kind: 'published',
    text: '49 CFR 393.102 for the accelerations, EN 12195-1 the same on the road; both from memory. Advice on securing; it replaces no rating.',
  },
  law: 'balance',
  mass: 'onlyWith',
  stage: 'forces',
  turnedBy: {},
  nothing: 'Nothing stands on feet.',
  *run(survey) {
    for (const { rack, index, attachments } of survey.racks)
      for (const state of ['road', 'trail'] as const) {
        const all = survey.motion
          .feet()
          .filter((each) => each.state === state && survey.feet[each.footIndex]?.rackIndex === index)
        const feet = all.filter(({ footIndex }) => atRest(survey, footIndex) >= -NOTICE_KG)
        if (feet.length === 0) continue
        if (feet.every(({ restKg }) => restKg === 0)) continue
        const worst = feet.reduce((so, each) => (each.least.kg < so.least.kg ? each : so))
        const foot = survey.feet[worst.footIndex]
        if (!foot) continue
        const { name, kg: least } = worst.least
        const holds = holdingUplift(survey, foot)
        const lifts = least < -NOTICE_KG
        const seatless = attachments.find((each) => each.kind === 'framePoint' && each.seatZMm === undefined)
        const others = feet.filter((each) => each !== worst && each.least.kg < -NOTICE_KG).length
        const over = lifts && holds !== undefined && -least > holds
        yield {
          about: `${rack.id} ${state}`,
          severity: over ? 'stop' : seatless ? 'findOut' : lifts ? 'mind' : 'clear',
          ...(seatless
            ? {
                ask: {
                  where: 'tape',
                  label: `${seatless.name}: height over the ground`,
                  target: { field: 'seat', attachmentId: seatless.id },
                } as const,
              }
            : {}),
          state,
          subject: { footId: foot.id, rackId: rack.id, placementIds: [] },
          measured: kg(least),
          ...(holds === undefined ? {} : { limit: kg(-holds), margin: kg(least + holds) }),
          sentence: seatless
            ? [
                `${rack.name}: how high over the ground its legs stand is not known, and what braking and bends do to its feet hangs on it. As such bodies usually are: `,
                kg(least),
                ` at the least loaded foot (${foot.corner}).`,
              ]
            : lifts
              ? [
                  `${rack.name}: ${name.toLowerCase()} lifts the ${foot.corner} foot by `,
                  kg(-least),
                  ...(others > 0 ? [`, and ${others} more in one way or another`] : []),
                  ...(holds === undefined
                    ? [
                        '; nobody says what it holds against that. Set the load lower or the feet wider apart.',
                      ]
                    : [over ? ', more than the ' : ', within the ', kg(holds), ' it holds.']),
                ]
              : least < 0
                ? [
                    `${rack.name}: ${name.toLowerCase()} takes the ${foot.corner} foot to nought, within the `,
                    kg(NOTICE_KG),
                    ' by which such a sum is rough.',
                  ]
                : [
                    `${rack.name}: every ${feet.length < all.length ? 'other ' : ''}foot keeps at least `,
                    kg(least),
                    ` (${foot.corner}, ${name.toLowerCase()}).`,
                  ],
        }
      }
  },
})
