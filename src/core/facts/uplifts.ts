import { PART_ROLES } from '../kinds/part-role'
import type { FootAt, RackAt } from '../survey/frame/arrangement'
import type { FootInMotion } from '../survey/motion/foot-forces'
import { LIFTED_KG } from '../survey/statics/evenness'
import type { Survey } from '../survey/survey'
import { leastBy } from '../units/pick'
import { STATES } from '../units/scalars'
import { atLeast, atMost, type Compared } from './comparison'

/** What a foot is pulled up with, against what its parts hold against that. kg as a weight */
interface Uplift {
  readonly foot: FootAt
  readonly rack: RackAt | undefined
  readonly upKg: number
  /** Nothing where none of its parts says what it holds. */
  readonly holds: Compared | undefined
}

/** What each foot of a rack holds against being pulled up: the least of its parts that say so, kg; nothing where none does. */
function holdingKg({ rack }: RackAt): number | undefined {
  let least: number | undefined
  for (const { role, tension } of rack.parts)
    if (tension && PART_ROLES[role].atFeet) least = Math.min(least ?? Infinity, tension.eachKg)
  return least
}

function pulled({ racks }: Survey, foot: FootAt, upKg: number): Uplift {
  const rack = racks[foot.rackIndex]
  const holds = rack && holdingKg(rack)
  return {
    foot,
    rack,
    upKg,
    holds: holds === undefined ? undefined : atMost(upKg, holds, 'exact'),
  }
}

/** The least that the load puts on a foot in any state, kg. */
function leastOf({ footLoads }: Survey, { index }: FootAt): number {
  const load = footLoads[index]?.loadKg
  return load ? Math.min(load.road, load.trail, load.parked) : 0
}

/** The feet that the load lifts as the vehicle stands still, in the state that lifts each most; and how many feet carry any of it. */
export function upliftsAtRest(survey: Survey): {
  readonly lifted: readonly Uplift[]
  readonly carrying: number
  /** Whether any foot says what it holds: only then a lifted one may be a Stop. */
  readonly anyHolds: boolean
  /** The foot that the load presses on least, in the state in which it does; of those that carry any of it and are not lifted. */
  readonly least: { readonly foot: FootAt; readonly kg: number } | undefined
} {
  const { feet, footLoads, racks } = survey
  const pressed = feet.flatMap((foot) => {
    const kg = leastOf(survey, foot)
    const carries = STATES.some((state) => footLoads[foot.index]?.loadKg[state] !== 0)
    return carries && kg >= -LIFTED_KG ? [{ foot, kg }] : []
  })
  return {
    least: leastBy(pressed, ({ kg }) => kg),
    lifted: feet.flatMap((foot) => {
      const leastKg = leastOf(survey, foot)
      return leastKg < -LIFTED_KG ? [pulled(survey, foot, -leastKg)] : []
    }),
    carrying: feet.filter(({ index }) => STATES.some((state) => footLoads[index]?.loadKg[state] !== 0))
      .length,
    anyHolds: racks.some((rack) => rack.feet.length > 0 && holdingKg(rack) !== undefined),
  }
}

/** Under half a kilogram is the roughness of such a sum, not a lifted foot. */
export const NOTICE_KG = 0.5

/** The foot of a rack that braking, a bend or a slope lifts most. kg as a weight */
interface UpliftInMotion extends Uplift {
  readonly at: RackAt
  readonly state: 'road' | 'trail'
  readonly worst: FootInMotion
  /** The least it bears, against the roughness of the sum, and against nought. */
  readonly lifts: Compared
  readonly bears: Compared
  /** How many more feet lift in one way or another. */
  readonly others: number
  /** Whether feet that lift at rest were left out. */
  readonly someAtRest: boolean
}

/** What becomes of a rack's resting feet in a driving state: the one that is lifted most, and how many others are. */
function movedFeet(moving: readonly FootInMotion[], resting: ReadonlySet<number>, driving: 'road' | 'trail') {
  let worst: FootInMotion | undefined
  let lifted = 0
  let loaded = false
  for (const each of moving) {
    if (each.state !== driving || !resting.has(each.footIndex)) continue
    if (!worst || each.least.kg < worst.least.kg) worst = each
    if (each.least.kg < -NOTICE_KG) lifted += 1
    if (each.restKg !== 0) loaded = true
  }
  return loaded && worst ? { worst, others: lifted - (worst.least.kg < -NOTICE_KG ? 1 : 0) } : undefined
}

/** Every rack in both driving states; feet that lift at rest are spoken of there. */
export function upliftsInMotion(survey: Survey): readonly UpliftInMotion[] {
  const moving = survey.motion.feet()
  return survey.racks.flatMap((at) => {
    const resting = new Set<number>()
    for (const foot of at.feet) if (leastOf(survey, foot) >= -NOTICE_KG) resting.add(foot.index)
    return (['road', 'trail'] as const).flatMap((state): UpliftInMotion[] => {
      const moved = movedFeet(moving, resting, state)
      const foot = moved && survey.feet[moved.worst.footIndex]
      if (!moved || !foot) return []
      const { worst, others } = moved
      const { rack, upKg, holds } = pulled(survey, foot, -worst.least.kg)
      return [
        {
          foot,
          rack,
          upKg,
          holds,
          at,
          state,
          worst,
          lifts: atLeast(worst.least.kg, -NOTICE_KG, 'exact'),
          bears: atLeast(worst.least.kg, 0, 'exact'),
          others,
          someAtRest: resting.size < at.feet.length,
        },
      ]
    })
  })
}
