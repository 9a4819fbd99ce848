import type { BarAt } from '../survey/frame/arrangement'
import { nearest, type Intervals } from '../geometry/intervals'
import { seatsOfBar } from '../survey/bars/seat-windows'
import type { Survey } from '../survey/survey'
import { TOLERANCE } from '../units/tolerance'
import { atLeast, atMost, between, fails, type Compared } from './comparison'

/** Where a bar stands against where its feet can. x in mm. */
interface BarSeat {
  readonly at: BarAt
  readonly within: Intervals
  /** Whether the vehicle fixes the place: a point, a notch. */
  readonly locked: boolean
  /** The place nearest to it where its feet can stand. */
  readonly nearestMm: number
  /** How far off that it stands. */
  readonly off: Compared
  /** How far inside the stretch that holds it, and where its nearer end is; outside 0, and where it stands. */
  readonly insideMm: number
  readonly endMm: number
  /** How near it is to being none of its places. mm */
  readonly toStopMm: number
  /** Another bar nearer than a bar's width, edge to edge, told once of the two. */
  readonly crowding: { readonly name: string; readonly gap: Compared } | undefined
  /** Where a bar on the roof stands against the end of it that it is nearer to, or past. */
  readonly pastRoof: Compared | undefined
}

/** The nearer end of the stretch that holds a place, x in mm; the place itself where none does. */
function endOf(within: Intervals, x: number): number {
  const stretch = within.find(([from, to]) => x >= from && x <= to)
  if (!stretch) return x
  const [from, to] = stretch
  return x - from < to - x ? from : to
}

function crowded(survey: Survey, { bar, index, box }: BarAt): BarSeat['crowding'] {
  for (const other of survey.bars) {
    if (other.index >= index || other.box.z0 >= box.z1 || other.box.z1 <= box.z0) continue
    const gap = atLeast(
      Math.max(box.x0 - other.box.x1, other.box.x0 - box.x1),
      Math.max(bar.profile.widthMm, other.bar.profile.widthMm),
    )
    if (fails(gap)) return { name: other.bar.name, gap }
  }
  return undefined
}

function pastRoof({ plan }: Survey, { bar, onRoof }: BarAt): Compared | undefined {
  const { fromXMm, toXMm } = plan.vehicle.roof
  return onRoof ? between(bar.xMm, fromXMm, toXMm, 'length') : undefined
}

/** Whether a stretch is one place: a point, a notch. mm */
export const isOnePlace = ([from, to]: Intervals[number]): boolean => to - from <= TOLERANCE.gapMm

/** Every bar that stands on something which says where. */
export function barSeats(survey: Survey): readonly BarSeat[] {
  const tolerance = survey.plan.rules.tolerancesMm.parallel
  return survey.bars.flatMap((at): BarSeat[] => {
    const seats = seatsOfBar(survey, at)
    if (!seats?.within || seats.within.length === 0) return []
    const { within, locked } = seats
    const { xMm } = at.bar
    const nearestMm = nearest(within, xMm) ?? xMm
    const offMm = Math.abs(nearestMm - xMm)
    const endMm = endOf(within, xMm)
    const insideMm = Math.abs(xMm - endMm)
    return [
      {
        at,
        within,
        locked,
        nearestMm,
        off: locked ? atMost(offMm, tolerance, 'exact') : atMost(offMm, 0),
        insideMm,
        endMm,
        toStopMm: locked ? tolerance - offMm : insideMm,
        crowding: crowded(survey, at),
        pastRoof: pastRoof(survey, at),
      },
    ]
  })
}
