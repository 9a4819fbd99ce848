import { STANDARD_GRAVITY } from '../../units/dimension'
import { check } from '../check'
import { mm, newtonMetre } from '../../units/phrase'

/** Does a thing on one bar alone stand over that bar? Offset in mm, twist in N·m. */
export const oneBar = check({
  id: 'one-bar',
  title: 'On one bar',
  question: 'Does what stands on one bar alone stand over it, so that it does not twist it?',
  formula: 'twist = m·g·offset; offset ≤ half the bar’s width',
  source: { kind: 'handbook', text: 'Moment of a force about an axis; statics, from memory.' },
  law: 'balance',
  mass: 'hardly',
  stage: 'forces',
  turnedBy: {},
  nothing: 'Nothing stands on one bar alone.',
  *run(survey) {
    const worst = new Map<string, ReturnType<typeof survey.statics.twists>[number]>()
    for (const twist of survey.statics.twists()) {
      const so = worst.get(twist.placementId)
      if (!so || Math.abs(twist.offMm * twist.kg) > Math.abs(so.offMm * so.kg))
        worst.set(twist.placementId, twist)
    }
    for (const [placementId, { barIndex, kg: mass, offMm }] of worst) {
      const bar = survey.bars[barIndex]?.bar
      const thing = survey.thingById.get(placementId)
      if (!bar || !thing) continue
      const nm = (Math.abs(offMm) * mass * STANDARD_GRAVITY) / 1000
      const limit = bar.profile.widthMm / 2
      const over = Math.abs(offMm) > limit + 1e-6
      yield {
        about: placementId,
        severity: over ? 'mind' : 'clear',
        state: 'all',
        subject: { barId: bar.id, placementIds: [placementId] },
        measured: mm(Math.abs(offMm)),
        limit: mm(limit),
        margin: mm(limit - Math.abs(offMm)),
        sentence: over
          ? [
              `${thing.gear.name} hangs on ${bar.name} alone, `,
              mm(Math.abs(offMm)),
              ' off it: it twists the bar by ',
              newtonMetre(nm),
              ', which its clamps must hold.',
            ]
          : [`${thing.gear.name} stands over ${bar.name}, the one bar that holds it.`],
      }
    }
  },
})
