import { isOnFrame } from '../../plan/schema/attachment-traits'
import { fails, spareOf } from '../../facts/comparison'
import { NOTICE_KG, upliftsInMotion } from '../../facts/uplifts'
import { kg, type Phrase } from '../../units/phrase'
import { check } from '../check'

type Lifted = ReturnType<typeof upliftsInMotion>[number]

/** What happens to the foot that is lifted most. */
function lifts({ at, foot, upKg, holds, others, worst, ...each }: Lifted): Phrase {
  const { name } = at.rack
  const what = worst.least.name.toLowerCase()
  if (fails(each.lifts))
    return [
      `${name}: ${what} lifts the ${foot.corner} foot by `,
      kg(upKg),
      ...(others === 0 ? [] : [`, and ${others} more in one way or another`]),
      ...(holds
        ? [fails(holds) ? ', more than the ' : ', within the ', kg(holds.limit), ' it holds.']
        : ['; its limit for that is not known. Set the load lower or the feet wider apart.']),
    ]
  if (fails(each.bears))
    return [
      `${name}: ${what} takes the ${foot.corner} foot to nought, within the `,
      kg(NOTICE_KG),
      ' that such a sum is uncertain by.',
    ]
  return [
    `${name}: every ${each.someAtRest ? 'other ' : ''}foot keeps at least `,
    kg(worst.least.kg),
    ` (${foot.corner}, ${what}).`,
  ]
}

/** Does braking, a bend, pulling away or the trail’s slope lift a foot? kg as a weight. */
export const upliftInMotion = check({
  id: 'uplift-in-motion',
  title: 'A foot lifts in motion',
  question: 'Does braking, pulling away, a bend or a slope on the trail pull any foot upward?',
  formula:
    'Δ = m·a·h / base with 0.8 g forward, 0.5 g rearward and to each side; on a slope gravity’s own parts; foot < 0',
  source: {
    kind: 'published',
    text: '49 CFR 393.102 for the accelerations, EN 12195-1 the same on the road; both from memory. Advice on securing; it replaces no rating.',
  },
  law: 'balance',
  mass: 'onlyWith',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: { masses: 'aboard' },
  nothing: 'Nothing stands on feet.',
  *run(survey) {
    for (const lifted of upliftsInMotion(survey)) {
      const { at, state, foot, worst, holds } = lifted
      const { rack, attachments } = at
      const seatless = attachments.find((each) => isOnFrame(each) && each.seatZMm === undefined)
      const raised = fails(lifted.lifts)
      const over = raised && holds !== undefined && fails(holds)
      yield {
        about: `${rack.id} ${state}`,
        severity: over ? 'stop' : seatless ? 'findOut' : raised ? 'mind' : 'clear',
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
        measured: kg(worst.least.kg),
        ...(holds
          ? { limit: kg(-holds.limit), margin: kg(spareOf(holds)) }
          : { nearStop: { share: Infinity } }),
        sentence: seatless
          ? [
              `${rack.name}: how high over the ground its legs stand is not known, and the forces of braking and bends on its feet depend on it. As such bodies usually are: `,
              kg(worst.least.kg),
              ` at the least loaded foot (${foot.corner}).`,
            ]
          : lifts(lifted),
      }
    }
  },
})
