import type { BodyOutline } from '@/core/api/assess'
import type { Vehicle } from '@/core/api/plan'
import { boxPath, ellipsePath, linePath, roundedPath, type PlanePoint } from './path'

/** A drawing of one view: path data by line weight, in the view's mm (u right, v up). */
interface ViewPaths {
  readonly body: string
  readonly glass: string
  readonly thin: string
  readonly dark: string
  readonly centre: string
}

const CORNER_MM = 260
const ARCH_OVER_WHEEL = 1.13

/** The body from the side: its profile, and along the sill the wheel arches. */
function sideBody(body: BodyOutline): string {
  const { side, wheels, sillZMm } = body
  const upper = roundedPath(side, CORNER_MM, false)
  const arches = wheels
    .toSorted((a, b) => b.xMm - a.xMm)
    .map(({ xMm, radiusMm }) => {
      const arch = radiusMm * ARCH_OVER_WHEEL
      const reach = Math.sqrt(Math.max(arch ** 2 - (sillZMm - radiusMm) ** 2, 0))
      return `L ${xMm + reach} ${sillZMm} A ${arch} ${arch} 0 0 1 ${xMm - reach} ${sillZMm}`
    })
  return `${upper} ${arches.join(' ')} Z`
}

export function sidePaths(body: BodyOutline): ViewPaths {
  const wheels = body.wheels.map(({ xMm, radiusMm }) => ellipsePath(xMm, radiusMm, radiusMm, radiusMm))
  const hubs = body.wheels.map(({ xMm, radiusMm }) =>
    ellipsePath(xMm, radiusMm, radiusMm * 0.56, radiusMm * 0.56),
  )
  return {
    body: sideBody(body),
    glass: roundedPath(body.glass, CORNER_MM * 0.45),
    thin: [...body.pillars.map(({ from, to }) => linePath([from, to])), ...hubs].join(' '),
    dark: wheels.join(' '),
    centre: '',
  }
}

export function planPaths(body: BodyOutline, vehicle: Vehicle): ViewPaths {
  const half = vehicle.widthMm / 2
  const { roof } = vehicle
  const nose = body.noseXMm
  const tail = body.tailXMm
  const outline: PlanePoint[] = [
    [nose, -half * 0.78],
    [nose + 330, -half],
    [tail - 220, -half],
    [tail, -half * 0.84],
    [tail, half * 0.84],
    [tail - 220, half],
    [nose + 330, half],
    [nose, half * 0.78],
  ]
  const xs = body.glass.map(([x]) => x)
  const screenBase = Math.min(...xs)
  const rearBase = Math.max(...xs, roof.toXMm + 40)
  const front = roof.halfWidthFrontMm
  const rear = roof.halfWidthRearMm
  const top: PlanePoint[] = [
    [roof.fromXMm, -front],
    [roof.toXMm, -rear],
    [roof.toXMm, rear],
    [roof.fromXMm, front],
  ]
  const base = Math.min(half * 0.9, front * 1.32)
  const tailBase = Math.min(half * 0.9, rear * 1.28)
  const screens = [
    linePath([
      [roof.fromXMm, front],
      [screenBase, base],
      [screenBase, -base],
      [roof.fromXMm, -front],
    ]),
    ...(rearBase < tail - 60
      ? [
          linePath([
            [roof.toXMm, rear],
            [rearBase, tailBase],
            [rearBase, -tailBase],
            [roof.toXMm, -rear],
          ]),
        ]
      : []),
  ]
  const bed = body.bed
    ? [boxPath(body.bed.fromXMm + 30, -half + 110, body.bed.toXMm - 30, half - 110, 60)]
    : []
  return {
    body: roundedPath(outline, 330),
    glass: roundedPath(top, 120),
    thin: [...screens, ...bed].join(' '),
    dark: '',
    centre: linePath([
      [nose - 150, 0],
      [tail + 150, 0],
    ]),
  }
}

export function rearPaths(body: BodyOutline, vehicle: Vehicle): ViewPaths {
  const right = body.rearHalf
  const left = right.toReversed().map(([y, z]): PlanePoint => [-y, z])
  const half = vehicle.widthMm / 2
  const wheelWidth = 0.13 * vehicle.widthMm
  const radius = body.wheels[1]?.radiusMm ?? 300
  const tyre = (y: number) =>
    boxPath(y - wheelWidth / 2, 0, y + wheelWidth / 2, Math.min(radius * 1.4, body.sillZMm + 60))
  const { topZMm, bottomZMm } = body.rearGlass
  const topHalf = vehicle.roof.halfWidthRearMm * 0.88
  const lamp = (sign: 1 | -1) =>
    boxPath(sign * half * 0.72, bottomZMm * 0.8, sign * half * 0.93, bottomZMm * 0.93)
  return {
    body: roundedPath([...left.slice(0, -1), ...right], 110),
    glass: roundedPath(
      [
        [-topHalf, topZMm],
        [topHalf, topZMm],
        [half * 0.83, bottomZMm],
        [-half * 0.83, bottomZMm],
      ],
      70,
    ),
    thin: [
      lamp(1),
      lamp(-1),
      linePath([
        [-half * 0.94, bottomZMm * 0.72],
        [half * 0.94, bottomZMm * 0.72],
      ]),
    ].join(' '),
    dark: [tyre(-body.trackMm / 2), tyre(body.trackMm / 2)].join(' '),
    centre: linePath([
      [0, -40],
      [0, vehicle.heightMm + 260],
    ]),
  }
}
