import { BODIES, type Station } from '../../../kinds/body'
import type { Vehicle } from '../../../plan/schema/vehicle'

export interface BodyOutline {
  readonly side: readonly Station[]
  readonly glass: readonly Station[]
  readonly pillars: readonly { readonly from: Station; readonly to: Station }[]
  readonly wheels: readonly { readonly xMm: number; readonly radiusMm: number }[]
  readonly noseXMm: number
  readonly tailXMm: number
  readonly waistZMm: number
  readonly sillZMm: number
  /** Right half of the rear view, from the roof's middle down to the sill: y outward, z up. */
  readonly rearHalf: readonly Station[]
  readonly rearGlass: { readonly topZMm: number; readonly bottomZMm: number }
  readonly trackMm: number
  readonly bed: { readonly fromXMm: number; readonly toXMm: number; readonly topZMm: number } | undefined
}

const CLASS_TRACK_SHARE = 0.855

/**
 * A vehicle's outline in mm, from its body type stretched to its own numbers: ahead of the windscreen's edge,
 * over the roof and behind it each by its own factor in x, and all by one factor in z.
 */
export function bodyOutline(vehicle: Vehicle): BodyOutline {
  const kind = BODIES[vehicle.body]
  const xs = kind.profile.map(([x]) => x)
  const classNose = Math.min(...xs)
  const classTail = Math.max(...xs)
  const noseXMm = -vehicle.noseToScreenMm
  const tailXMm = Math.max(vehicle.lengthMm - vehicle.noseToScreenMm, vehicle.roof.toXMm + 50)
  const roofEnd = Math.max(vehicle.roof.toXMm, 1)
  const zFactor = vehicle.heightMm / Math.max(...kind.profile.map(([, z]) => z))

  const stretchX = (x: number): number => {
    if (x < 0) return (x / classNose) * noseXMm
    if (x <= kind.roofEndXMm) return (x / kind.roofEndXMm) * roofEnd
    return roofEnd + ((x - kind.roofEndXMm) / (classTail - kind.roofEndXMm)) * (tailXMm - roofEnd)
  }
  const stretch = ([x, z]: Station): Station => [stretchX(x), z * zFactor]

  const side = kind.profile.map(stretch)
  const glass = kind.glass.map(stretch)
  const waistZMm = Math.min(...glass.map(([, z]) => z))
  const sillZMm = Math.min(...side.map(([, z]) => z))
  const frontWheelX = noseXMm + vehicle.frontOverhangMm
  const rearRoofHalf = vehicle.roof.halfWidthRearMm
  const half = vehicle.widthMm / 2
  const shoulder = vehicle.heightMm - vehicle.roof.crownMm
  const pillars = kind.pillarsXMm.map((x) => ({
    from: [stretchX(x), outlineTop(glass, stretchX(x))] as Station,
    to: [stretchX(x), sillZMm + (waistZMm - sillZMm) * 0.35] as Station,
  }))

  return {
    side,
    glass,
    pillars,
    wheels: [frontWheelX, frontWheelX + vehicle.wheelbaseMm].map((xMm) => ({
      xMm,
      radiusMm: vehicle.wheelRadiusMm,
    })),
    noseXMm,
    tailXMm,
    waistZMm,
    sillZMm,
    rearHalf: [
      [0, vehicle.heightMm],
      [rearRoofHalf * 0.6, vehicle.heightMm - vehicle.roof.crownMm * 0.36],
      [rearRoofHalf, shoulder],
      [half * 0.985, waistZMm],
      [half, waistZMm * 0.75],
      [half * 0.98, sillZMm],
    ],
    rearGlass: { topZMm: shoulder - (shoulder - waistZMm) * 0.14, bottomZMm: waistZMm },
    trackMm: vehicle.trackMm
      ? (vehicle.trackMm.front + vehicle.trackMm.rear) / 2
      : vehicle.widthMm * CLASS_TRACK_SHARE,
    bed: kind.bed && {
      fromXMm: stretchX(kind.bed.fromXMm),
      toXMm: stretchX(kind.bed.toXMm),
      topZMm: kind.bed.topZMm * zFactor,
    },
  }
}

/** Height of an open chain of stations over x, by straight lines between them; its ends outside. mm. */
export function outlineTop(stations: readonly Station[], xMm: number): number {
  let top = -Infinity
  stations.forEach(([x1, z1], i) => {
    const [x0, z0] = stations[i - 1] ?? [x1, z1]
    if (xMm < Math.min(x0, x1) || xMm > Math.max(x0, x1)) return
    top = Math.max(top, x1 === x0 ? Math.max(z0, z1) : z0 + ((z1 - z0) * (xMm - x0)) / (x1 - x0))
  })
  return top === -Infinity ? (stations.at(-1)?.[1] ?? 0) : top
}
