import type { Gear } from './gear'
import type { Placement } from './placement'
import type { Plan } from './plan'
import { barsOf, deckOf } from './rack'

interface Broken {
  readonly path: readonly (string | number)[]
  readonly message: string
}

/** Every place where a plan's ids repeat or its references lead nowhere. None: the plan hangs together. */
export function brokenReferences(plan: Plan): Broken[] {
  const broken: Broken[] = []
  const say = (path: (string | number)[], message: string) => broken.push({ path, message })

  const seen = (what: string) => {
    const ids = new Set<string>()
    return (id: string, path: (string | number)[]) => {
      if (ids.has(id)) say(path, `Two ${what} share the id "${id}".`)
      ids.add(id)
    }
  }
  const gearIds = seen('pieces of gear')
  plan.gear.forEach((gear, i) => gearIds(gear.id, ['gear', i, 'id']))
  const attachmentIds = seen('attachments')
  plan.vehicle.attachments.forEach((a, i) => attachmentIds(a.id, ['vehicle', 'attachments', i, 'id']))
  const clearanceIds = seen('clearances')
  plan.clearances.forEach((c, i) => clearanceIds(c.id, ['clearances', i, 'id']))
  const occupantIds = seen('occupants')
  plan.use.occupants.forEach((o, i) => occupantIds(o.id, ['use', 'occupants', i, 'id']))

  const measurementIds = seen('measurements')
  plan.measurements.forEach((m, i) => measurementIds(m.id, ['measurements', i, 'id']))

  const rackIds = seen('racks')
  const barIds = seen('bars')
  const partIds = seen('parts')
  plan.racks.forEach((rack, r) => {
    rackIds(rack.id, ['racks', r, 'id'])
    rack.parts.forEach((part, p) => partIds(part.id, ['racks', r, 'parts', p, 'id']))
    const standing = (id: string, path: (string | number)[]) => {
      if (!plan.vehicle.attachments.some((a) => a.id === id))
        say(path, `The vehicle has no attachment "${id}".`)
    }
    standing(rack.attachmentId, ['racks', r, 'attachmentId'])
    barsOf(rack).forEach((bar, b) => {
      barIds(bar.id, ['racks', r, 'bars', b, 'id'])
      if (bar.attachmentId !== undefined) standing(bar.attachmentId, ['racks', r, 'bars', b, 'attachmentId'])
    })
  })

  const gearById = new Map(plan.gear.map((gear) => [gear.id, gear]))
  const placed = new Map(plan.placements.map((placement) => [placement.id, placement]))
  const placementIds = seen('placements')
  plan.placements.forEach((placement, i) => {
    placementIds(placement.id, ['placements', i, 'id'])
    const loadIds = seen('loads')
    placement.loads.forEach((load, l) => loadIds(load.id, ['placements', i, 'loads', l, 'id']))
    const gear = gearById.get(placement.gearId)
    if (!gear) say(['placements', i, 'gearId'], `The plan has no gear "${placement.gearId}".`)
    const reason = hostProblem(plan, placement, placed, gearById)
    if (reason !== undefined) say(['placements', i, 'host'], reason)
  })
  return broken
}

function hostProblem(
  plan: Plan,
  placement: Placement,
  placed: ReadonlyMap<string, Placement>,
  gearById: ReadonlyMap<string, Gear>,
): string | undefined {
  const { host } = placement
  switch (host.on) {
    case 'bars': {
      const unknown = host.barIds.find(
        (id) => !plan.racks.some((rack) => barsOf(rack).some((bar) => bar.id === id)),
      )
      if (unknown !== undefined) return `No rack has a bar "${unknown}".`
      return new Set(host.barIds).size < host.barIds.length ? 'A bar is named twice.' : undefined
    }
    case 'deck':
      return plan.racks.some((rack) => rack.id === host.rackId && deckOf(rack))
        ? undefined
        : `Rack "${host.rackId}" has no deck.`
    case 'panel':
      return plan.racks.some(
        (rack) =>
          rack.id === host.rackId &&
          rack.parts.some((part) => part.role === 'panels' || part.role === 'trusses'),
      )
        ? undefined
        : `Rack "${host.rackId}" has no side panels.`
    case 'ladder':
      return plan.racks.some((rack) => rack.id === host.rackId && rack.kind === 'ladder')
        ? undefined
        : `"${host.rackId}" is no ladder.`
    case 'place': {
      const parent = placed.get(host.placementId)
      const places = parent && gearById.get(parent.gearId)?.carries?.places
      if (!places?.some((place) => place.id === host.placeId))
        return `"${host.placementId}" offers no place "${host.placeId}".`
      return standsOnItself(placement, placed) ? 'It stands on itself.' : undefined
    }
  }
}

function standsOnItself(start: Placement, placed: ReadonlyMap<string, Placement>): boolean {
  let host = start.host
  for (let depth = 0; host.on === 'place'; depth += 1) {
    if (host.placementId === start.id || depth > placed.size) return true
    const parent = placed.get(host.placementId)
    if (!parent) return false
    host = parent.host
  }
  return false
}
