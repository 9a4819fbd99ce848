import type { Obstacle, Vehicle } from '../plan/schema/vehicle'

type Panel = Extract<Obstacle, { panel: unknown }>

/** A panel whose outline goes with its hinge. mm */
function moved(now: Panel, was: Panel): Panel {
  const [dx, dz] = [now.hinge.xMm - was.hinge.xMm, now.hinge.zMm - was.hinge.zMm]
  // It is read from its hinge on, with the corner before or after its old one: by the others is seen whether somebody changed them.
  const others = JSON.stringify(now.panel.slice(1))
  const isOutlineKept = [was.panel.slice(1), was.panel].some((panel) => JSON.stringify(panel) === others)
  if ((dx === 0 && dz === 0) || !isOutlineKept) return now
  return { ...now, panel: was.panel.map(({ xMm, zMm }) => ({ xMm: xMm + dx, zMm: zMm + dz })) }
}

/**
 * A vehicle whose hatch and tailgate go with their hinges: a hinge that was moved takes its panel's outline along, unless
 * that was changed too. The very same where nothing changes.
 */
export function panelsOnHinges(now: Vehicle, was: Vehicle): Vehicle {
  const obstacles = now.obstacles.map((each) => {
    const before = was.obstacles.find(({ id }) => id === each.id)
    return 'panel' in each && before && 'panel' in before ? moved(each, before) : each
  })
  return obstacles.every((each, i) => each === now.obstacles[i]) ? now : { ...now, obstacles }
}
