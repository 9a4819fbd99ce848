import type { SleptOn } from '../survey/motion/sleepers'
import { footFigures, LIFTED_KG } from '../survey/statics/evenness'
import type { RackAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { leastBy, mostBy } from '../units/pick'
import { atLeast, atMost, type Compared } from './comparison'

type FootFigure = ReturnType<typeof footFigures>[number]

/** What the feet of a rack bear parked, wherever people lie. kg */
interface SleptOnRack {
  readonly rack: RackAt
  readonly most: SleptOn
  readonly least: SleptOn
  /** The foot that bears most against the figure for each, where there is one. */
  readonly bears: { readonly compared: Compared; readonly figure: FootFigure } | undefined
  /** The foot that bears least: whether it may lift. */
  readonly presses: Compared
  /** By what part all masses must grow until a foot bears too much. */
  readonly toStopShare: number
}

/** What a place to lie makes of a foot less than this is rounding. kg */
const FELT_KG = 1e-9

/** Every rack on which anybody sleeps. */
export const sleptOn = (survey: Survey): readonly SleptOnRack[] =>
  survey.racks.flatMap((rack): SleptOnRack[] => {
    const feet = survey.motion
      .sleepers()
      .filter(
        ({ footIndex, mostKg, leastKg }) =>
          survey.feet[footIndex]?.rackIndex === rack.index && mostKg - leastKg > FELT_KG,
      )
    const most = mostBy(feet, ({ mostKg }) => mostKg)
    const least = leastBy(feet, ({ leastKg }) => leastKg)
    if (!most || !least) return []
    const figure = footFigures(survey.loadPath, rack.rack.id, 'parked').find(({ per }) => per === 'each')
    return [
      {
        rack,
        most,
        least,
        bears: figure && { compared: atMost(most.mostKg, figure.kg, 'mass'), figure },
        presses: atLeast(least.leastKg, -LIFTED_KG, 'exact'),
        toStopShare: figure ? figure.kg / Math.max(most.mostKg, FELT_KG) - 1 : Infinity,
      },
    ]
  })
