import { limitCounted, limitWanted, type TieDown } from '../survey/motion/securing'
import type { Survey } from '../survey/survey'
import { atLeast, type Compared } from './comparison'

/** A loose thing with the straps planned for it: how many, and what they hold by their labels. */
interface TiedDown {
  readonly tie: TieDown
  readonly count: Compared
  /** What all that are wanted hold together, kg; nothing where one is enough. */
  readonly togetherKg: number | undefined
  /** Whether it is its weight and the friction under it that ask for most, and not its length. */
  readonly byFriction: boolean
  /** The working load limit of all of them against half its weight, kg; nothing as long as no label was read. */
  readonly holds: Compared | undefined
  /** By what part all that weighs must be more until the straps hold too little. */
  readonly toStopShare: number
}

/** Everything loose that rides. 49 CFR 393.106 and EN 12195-1, from memory. */
export const tiedDown = (survey: Survey): readonly TiedDown[] =>
  survey.motion.tieDowns().map((tie) => {
    const wantedKg = limitWanted(tie.kg)
    const counted =
      tie.plannedEachKg === undefined || tie.planned === 0
        ? undefined
        : limitCounted(tie.planned, tie.plannedEachKg, 'over')
    return {
      tie,
      togetherKg: tie.wanted > 1 ? tie.wanted * tie.eachKg : undefined,
      byFriction: tie.byFriction > tie.byLength,
      count: atLeast(tie.planned, tie.wanted, 'exact'),
      holds: counted === undefined ? undefined : atLeast(counted, wantedKg, 'mass'),
      toStopShare: counted === undefined ? Infinity : counted / wantedKg - 1,
    }
  })
