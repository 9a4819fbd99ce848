import type { Rating } from '../plan/schema/rating'
import { sheetSpread } from '../survey/bars/seat-windows'
import type { RackAt } from '../survey/frame/arrangement'
import type { Layer } from '../survey/load-path/layer'
import type { Cell } from '../survey/load-path/limit'
import { atLeast, atMost, between, fails, type Compared } from './comparison'

const plainly = (rating: Rating) => rating.gearKind === undefined && rating.upToKmH === undefined

/** A parked figure below the driving one of the same kind: what holds a load driving holds it parked, so one is wrong. */
export function parkedBelowDriving({
  ratings,
}: Layer): { readonly parked: Rating; readonly driving: Rating } | undefined {
  for (const parked of ratings.filter((each) => each.state === 'parked' && plainly(each)))
    for (const driving of ratings)
      if (
        driving.state === 'road' &&
        plainly(driving) &&
        driving.per === parked.per &&
        driving.counts === parked.counts &&
        fails(atLeast(parked.kg, driving.kg, 'exact'))
      )
        return { parked, driving }
  return undefined
}

/** A fit sheet that wants another spread than the points of the vehicle give: both cannot be right. mm */
export function sheetAgainstPoints(
  rack: RackAt,
): { readonly fromMm: number; readonly toMm: number; readonly compared: Compared } | undefined {
  const sheet = sheetSpread(rack)
  if (!sheet?.locked) return undefined
  const [fromMm, toMm] = sheet.spread
  const compared = between(sheet.nowMm, fromMm, toMm)
  return fails(compared) ? { fromMm, toMm, compared } : undefined
}

/** Other figures that speak of the very same as the one in force, and say otherwise. */
function othersOf({ layer, limit }: Cell): readonly Rating[] {
  if (limit.kind === 'missing') return []
  const { rating } = limit
  return layer.ratings.filter(
    (each) =>
      each.state === rating.state &&
      each.per === rating.per &&
      each.counts === rating.counts &&
      each.gearKind === rating.gearKind &&
      each.upToKmH === rating.upToKmH &&
      each.kg !== rating.kg,
  )
}

/** Figures of a link that disagree, the one in use first, and what depends on it against that. kg; nothing where they agree. */
export function conflictingFiguresOf(
  cell: Cell,
): { readonly all: readonly Rating[]; readonly compared: Compared } | undefined {
  const others = othersOf(cell)
  if (cell.idle || cell.limit.kind === 'missing' || others.length === 0) return undefined
  return { all: [cell.limit.rating, ...others], compared: atMost(cell.countedKg, cell.limit.kg, 'mass') }
}
