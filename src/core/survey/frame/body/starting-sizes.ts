import { BODIES, type Body } from '../../../kinds/body'
import type { Vehicle } from '../../../plan/schema/vehicle'

const CROWN_MM = 40
const ROOF_STARTS_MM = 60

/** The numbers of a vehicle that its body type suggests: class averages (mm), to be replaced by what is measured. */
export function startingSizes(
  body: Body,
): Pick<
  Vehicle,
  | 'body'
  | 'lengthMm'
  | 'widthMm'
  | 'heightMm'
  | 'wheelbaseMm'
  | 'frontOverhangMm'
  | 'noseToScreenMm'
  | 'wheelRadiusMm'
  | 'roof'
> {
  const kind = BODIES[body]
  const half = kind.widthMm / 2
  return {
    body,
    lengthMm: kind.lengthMm,
    widthMm: kind.widthMm,
    heightMm: kind.heightMm,
    wheelbaseMm: kind.wheelbaseMm,
    frontOverhangMm: kind.frontOverhangMm,
    noseToScreenMm: -Math.min(...kind.profile.map(([x]) => x)),
    wheelRadiusMm: kind.wheelRadiusMm,
    roof: {
      fromXMm: ROOF_STARTS_MM,
      toXMm: kind.roofEndXMm,
      halfWidthFrontMm: Math.round(half * kind.roofHalfShare.front),
      halfWidthRearMm: Math.round(half * kind.roofHalfShare.rear),
      crownMm: CROWN_MM,
      ratings: [],
    },
  }
}
