import type { Gear } from './schema/gear'
import type { Placement } from './schema/placement'
import type { Plan } from './schema/plan'
import { barsOf, type Rack } from './schema/rack'
import type { Obstacle } from './schema/vehicle'

const TURN = { 0: 0, 90: 270, 180: 180, 270: 90 } as const
const TOWARD = { left: 'right', right: 'left', front: 'front', rear: 'rear' } as const

function mirroredGear(gear: Gear): Gear {
  const { centreOfGravity: centre, contactsMm, outlineMm, opens, carries } = gear
  return {
    ...gear,
    ...(centre ? { centreOfGravity: { ...centre, yMm: -centre.yMm } } : {}),
    ...(contactsMm ? { contactsMm: { ...contactsMm, across: contactsMm.across.map((y) => -y) } } : {}),
    ...(outlineMm ? { outlineMm: outlineMm.map(({ xMm, yMm }) => ({ xMm, yMm: -yMm })).toReversed() } : {}),
    ...(opens ? { opens: { ...opens, toward: TOWARD[opens.toward] } } : {}),
    ...(carries
      ? { carries: { ...carries, places: carries.places.map((place) => ({ ...place, yMm: -place.yMm })) } }
      : {}),
  }
}

function mirroredRack(rack: Rack): Rack {
  if (rack.kind === 'ladder') return { ...rack, yMm: -rack.yMm }
  const bars = barsOf(rack).map((bar) => ({ ...bar, feetYMm: bar.feetYMm.map((y) => -y).toReversed() }))
  return 'deck' in rack && rack.deck
    ? { ...rack, bars, deck: { ...rack.deck, yMm: -rack.deck.yMm } }
    : { ...rack, bars }
}

function mirroredHost(host: Placement['host']): Placement['host'] {
  return host.on === 'panel' ? { ...host, side: TOWARD[host.side] } : host
}

const mirroredObstacle = (obstacle: Obstacle): Obstacle =>
  obstacle.kind === 'antenna' ? { ...obstacle, yMm: -obstacle.yMm } : obstacle

/** Left and right exchanged everywhere: every y with its sign turned, and what has a side on the other one. */
export function mirrored(plan: Plan): Plan {
  return {
    ...plan,
    vehicle: { ...plan.vehicle, obstacles: plan.vehicle.obstacles.map(mirroredObstacle) },
    racks: plan.racks.map(mirroredRack),
    gear: plan.gear.map(mirroredGear),
    placements: plan.placements.map((each) => ({
      ...each,
      yMm: -each.yMm,
      turn: TURN[each.turn],
      host: mirroredHost(each.host),
      loads: each.loads.map((load) =>
        load.atMm ? { ...load, atMm: { ...load.atMm, yMm: -load.atMm.yMm } } : load,
      ),
    })),
  }
}
