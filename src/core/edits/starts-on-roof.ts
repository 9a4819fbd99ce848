import { ATTACHMENTS } from '../kinds/attachment'
import { pointsOf, type Attachment, type Vehicle } from '../plan/schema/vehicle'

/** How far before the roof's rear edge what holds a rack ends until somebody has measured it, mm. Rough, common practice, no source. */
const BEFORE_END_MM = 80

/**
 * An attachment whose starting stretches and points lie on the roof as it is known now: what reaches past its ends is drawn
 * back. What somebody has measured stays. The very same where nothing changes.
 */
export function startsWithinRoof<A extends Attachment>(
  attachment: A,
  { fromXMm, toXMm }: Pick<Vehicle['roof'], 'fromXMm' | 'toXMm'>,
): A {
  if (ATTACHMENTS[attachment.kind].on !== 'roof') return attachment
  const { known } = attachment
  const most = Math.max(fromXMm, toXMm - BEFORE_END_MM)
  const within = (xMm: number, path: string) =>
    known?.[path]?.by === 'start' ? Math.min(most, Math.max(fromXMm, xMm)) : xMm
  if ('ranges' in attachment) {
    const ranges = attachment.ranges.map((range, i) => ({
      ...range,
      fromMm: within(range.fromMm, `ranges.${i}.fromMm`),
      toMm: within(range.toMm, `ranges.${i}.toMm`),
    }))
    const isSame = ranges.every(({ fromMm, toMm }, i) => {
      const was = attachment.ranges[i]
      return was !== undefined && fromMm === was.fromMm && toMm === was.toMm
    })
    return isSame ? attachment : { ...attachment, ranges }
  }
  const key = 'points' in attachment ? 'points' : 'doorPositions'
  const was = pointsOf(attachment)
  const now = was.map((point) => ({ ...point, xMm: within(point.xMm, `${key}.at`) }))
  return now.every(({ xMm }, i) => xMm === was[i]?.xMm) ? attachment : { ...attachment, [key]: now }
}

/** A vehicle whose starting stretches and points lie on its roof. The very same where nothing changes. */
export function startsOnRoof(vehicle: Vehicle): Vehicle {
  const attachments = vehicle.attachments.map((each) => startsWithinRoof(each, vehicle.roof))
  return attachments.every((each, i) => each === vehicle.attachments[i])
    ? vehicle
    : { ...vehicle, attachments }
}
