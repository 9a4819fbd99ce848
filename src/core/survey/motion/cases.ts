import type { Use } from '../../plan/schema/placement'

/** The way the load is pushed, and by how much: along (x, rearward) and across (y, to the right) in parts of its weight, and what is left of the weight downward. */
export interface MotionCase {
  readonly id: 'brake' | 'pull' | 'left' | 'right' | 'noseDown' | 'noseUp' | 'rollLeft' | 'rollRight'
  readonly state: 'road' | 'trail'
  readonly name: string
  readonly along: number
  readonly across: number
  readonly down: number
}

/**
 * Securement accelerations in g: 0.8 forward, 0.5 rearward and to each side. Published: 49 CFR 393.102, and
 * EN 12195-1 with the same sizes on the road; both from memory.
 */
export const ROAD_G = { forward: 0.8, rearward: 0.5, sideways: 0.5 } as const

const ROAD: readonly MotionCase[] = [
  { id: 'brake', state: 'road', name: 'Braking', along: -ROAD_G.forward, across: 0, down: 1 },
  { id: 'pull', state: 'road', name: 'Pulling away', along: ROAD_G.rearward, across: 0, down: 1 },
  { id: 'left', state: 'road', name: 'Left-hand bend', along: 0, across: ROAD_G.sideways, down: 1 },
  { id: 'right', state: 'road', name: 'Right-hand bend', along: 0, across: -ROAD_G.sideways, down: 1 },
]

/** The load cases of a plan: braking, pulling away and bends on the road; the trail's own slopes as parts of gravity. */
export function motionCases({ trailPitchDeg, trailRollDeg }: Use): MotionCase[] {
  const slope = (deg: number) => {
    const angle = (deg * Math.PI) / 180
    return { push: Math.sin(angle), down: Math.cos(angle) }
  }
  const pitch = slope(trailPitchDeg)
  const roll = slope(trailRollDeg)
  return [
    ...ROAD,
    { id: 'noseDown', state: 'trail', name: 'Nose down', along: -pitch.push, across: 0, down: pitch.down },
    { id: 'noseUp', state: 'trail', name: 'Nose up', along: pitch.push, across: 0, down: pitch.down },
    { id: 'rollLeft', state: 'trail', name: 'Left side down', along: 0, across: -roll.push, down: roll.down },
    {
      id: 'rollRight',
      state: 'trail',
      name: 'Right side down',
      along: 0,
      across: roll.push,
      down: roll.down,
    },
  ]
}
