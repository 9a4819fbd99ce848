import type { BarAt, RackAt } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { TOLERANCE } from '../units/tolerance'

/** A bar that stands at one end of its rack and is marked for the other. */
interface WrongEnd {
  readonly at: BarAt
  readonly marked: 'front' | 'rear'
  /** The bar that stands where it belongs. */
  readonly inItsPlace: BarAt
}

const endsOf = ({ bars }: RackAt): readonly [BarAt, BarAt] | undefined => {
  const inOrder = bars.toSorted((a, b) => a.bar.xMm - b.bar.xMm)
  const [front, rear] = [inOrder[0], inOrder.at(-1)]
  return front && rear && front !== rear ? [front, rear] : undefined
}

/** Bars that stand at the other end than the one they are marked for. */
export const wrongEnds = ({ racks }: Survey): readonly WrongEnd[] =>
  racks.flatMap((rack): WrongEnd[] => {
    const ends = endsOf(rack)
    if (!ends) return []
    const [front, rear] = ends
    if (front.bar.end === 'rear') return [{ at: front, marked: 'rear', inItsPlace: rear }]
    return rear.bar.end === 'front' ? [{ at: rear, marked: 'front', inItsPlace: front }] : []
  })

/** A rack's front and rear bar that are not alike, and in what. */
interface UnlikeEnds {
  readonly front: BarAt
  readonly rear: BarAt
  readonly differ: 'usableMm' | 'lengthMm'
}

/** Racks whose front and rear bar are not alike, while nobody has said which is marked for which end. */
export const unmarkedEnds = ({ racks }: Survey): readonly UnlikeEnds[] =>
  racks.flatMap((rack): UnlikeEnds[] => {
    const ends = endsOf(rack)
    if (!ends) return []
    const [front, rear] = ends
    if (front.bar.end !== undefined || rear.bar.end !== undefined) return []
    const differ = (['usableMm', 'lengthMm'] as const).find(
      (key) => Math.abs(front.bar[key] - rear.bar[key]) > TOLERANCE.lengthMm,
    )
    return differ ? [{ front, rear, differ }] : []
  })
