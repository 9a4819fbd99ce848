import type { Bar } from '../plan/schema/rack'
import type { ThingAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { STANDARD_GRAVITY } from '../units/dimension'
import { mostBy } from '../units/pick'
import { atMost, type Compared } from './comparison'

/** A thing that one bar holds alone: how far off the bar, mm, against half the bar's width; and how much that twists it, N·m. */
interface OnOneBar {
  readonly bar: Bar
  readonly thing: ThingAt
  readonly off: Compared
  readonly twistNm: number
}

/** Everything that stands on one bar alone, in the state that twists it most. */
export function onOneBar(survey: Survey): readonly OnOneBar[] {
  const all = survey.statics.twists()
  const ids = [...new Set(all.map(({ placementId }) => placementId))]
  return ids.flatMap((id): OnOneBar[] => {
    const twist = mostBy(
      all.filter(({ placementId }) => placementId === id),
      ({ offMm, kg }) => Math.abs(offMm * kg),
    )
    const bar = twist && survey.bars[twist.barIndex]?.bar
    const thing = survey.thingById.get(id)
    if (!twist || !bar || !thing) return []
    const offMm = Math.abs(twist.offMm)
    return [
      {
        bar,
        thing,
        off: atMost(offMm, bar.profile.widthMm / 2, 'angle'),
        twistNm: (offMm * twist.kg * STANDARD_GRAVITY) / 1000,
      },
    ]
  })
}
