import { commandSchema, type Command, type RatingOwner, type SingleCommand } from './command'
import { confirmed } from './starts'
import { brokenReferences } from './integrity'
import { fieldMessages } from './messages'
import type { Placement } from './placement'
import { planShape, type Plan } from './plan'
import { barsOf, type Rack } from './rack'
import type { Rated, Rating } from './rating'

export type Applied =
  { readonly ok: true; readonly plan: Plan } | { readonly ok: false; readonly reason: string }

class Refusal extends Error {}
const refuse = (reason: string): never => {
  throw new Refusal(reason)
}

/**
 * The plan after an edit, or one sentence why it cannot be. Pure and total: the plan given is never changed,
 * and what comes back always parses.
 */
export function apply(plan: Plan, command: Command): Applied {
  const parsed = commandSchema.safeParse(command)
  if (!parsed.success)
    return { ok: false, reason: fieldMessages(parsed.error)[0]?.text ?? 'The edit cannot be read.' }
  try {
    const singles = parsed.data.do === 'together' ? parsed.data.commands : [parsed.data]
    const next = singles.reduce(applySingle, plan)
    const broken = brokenReferences(next)[0]
    if (broken) return { ok: false, reason: broken.message }
    const tooMany = overfull(next)
    return tooMany === undefined ? { ok: true, plan: next } : { ok: false, reason: tooMany }
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, reason: error.message }
    throw error
  }
}

/** Lists are bounded in the schema; an edit may not outgrow what a file may hold. */
function overfull(plan: Plan): string | undefined {
  for (const key of ['racks', 'gear', 'placements', 'clearances', 'measurements'] as const) {
    const result = planShape.shape[key].safeParse(plan[key].length > 11 ? plan[key] : [])
    if (!result.success) return fieldMessages(result.error)[0]?.text ?? `There are too many ${key}.`
  }
  const loads = plan.placements.find((placement) => placement.loads.length > 40)
  return loads ? 'One thing cannot hold more than 40 entries.' : undefined
}

function changed<T>(
  list: readonly T[],
  matches: (item: T) => boolean,
  change: (item: T) => T,
  missing: string,
): T[] {
  const index = list.findIndex(matches)
  const item = list[index]
  if (item === undefined) return refuse(missing)
  return list.with(index, change(item))
}

function put<T extends { id: string }>(list: readonly T[], item: T): T[] {
  const index = list.findIndex((each) => each.id === item.id)
  return index < 0 ? [...list, item] : list.with(index, item)
}

function without<T extends { id: string }>(list: readonly T[], id: string, missing: string): T[] {
  if (!list.some((each) => each.id === id)) refuse(missing)
  return list.filter((each) => each.id !== id)
}

/** Keeps what was typed for the fields just set and forgets it for those that were set without typing. */
function retyped<T extends { typed?: Record<string, string> | undefined }>(
  item: T,
  fields: readonly string[],
  typed: Record<string, string> | undefined,
): T {
  const kept = Object.entries({ ...item.typed }).filter(([field]) => !fields.includes(field))
  const all = [...kept, ...Object.entries({ ...typed }).filter(([field]) => fields.includes(field))]
  const { typed: _, ...rest } = item
  return (all.length > 0 ? { ...rest, typed: Object.fromEntries(all) } : rest) as T
}

function onPlacement(plan: Plan, id: string, change: (placement: Placement) => Placement): Plan {
  const placements = changed(
    plan.placements,
    (p) => p.id === id,
    change,
    `Nothing called "${id}" is on the plan.`,
  )
  return { ...plan, placements }
}

function onRackOf(
  plan: Plan,
  owns: (rack: Rack) => boolean,
  change: (rack: Rack) => Rack,
  missing: string,
): Plan {
  return { ...plan, racks: changed(plan.racks, owns, change, missing) }
}

/** A thing comes off with all that stands in it or on it. */
function takenOff(plan: Plan, ids: ReadonlySet<string>): Plan {
  const off = new Set(ids)
  for (let grew = true; grew;) {
    grew = false
    for (const { id, host } of plan.placements) {
      if (!off.has(id) && host.on === 'place' && off.has(host.placementId)) {
        off.add(id)
        grew = true
      }
    }
  }
  return { ...plan, placements: plan.placements.filter((placement) => !off.has(placement.id)) }
}

function standsOn(placement: Placement, rack: Rack): boolean {
  const { host } = placement
  if (host.on === 'place') return false
  return host.on === 'bars'
    ? barsOf(rack).some((bar) => host.barIds.includes(bar.id))
    : host.rackId === rack.id
}

function ratingsEdited(rated: Rated, edit: (ratings: Rating[]) => Rating[]): Rated {
  return { by: 'own', ratings: edit(rated.by === 'own' ? rated.ratings : []) }
}

function onRated(plan: Plan, owner: RatingOwner, edit: (rated: Rated) => Rated): Plan {
  switch (owner.of) {
    case 'roof': {
      const { vehicle } = plan
      const rated = edit({ by: 'own', ratings: vehicle.roof.ratings })
      if (rated.by === 'with') return refuse('The roof carries its own figure.')
      return { ...plan, vehicle: { ...vehicle, roof: { ...vehicle.roof, ratings: rated.ratings } } }
    }
    case 'attachment': {
      const attachments = changed(
        plan.vehicle.attachments,
        (attachment) => attachment.id === owner.id,
        (attachment) => {
          if ('rated' in attachment) return { ...attachment, rated: edit(attachment.rated) }
          const rated = edit({ by: 'own', ratings: attachment.ratings })
          return rated.by === 'with'
            ? refuse(`${attachment.name} needs a figure of its own.`)
            : { ...attachment, ratings: rated.ratings }
        },
        `The vehicle has no attachment "${owner.id}".`,
      )
      return { ...plan, vehicle: { ...plan.vehicle, attachments } }
    }
    case 'part':
      return onPart(plan, owner.id, (part) => ({ ...part, rated: edit(part.rated) }))
    case 'gear':
      return {
        ...plan,
        gear: changed(
          plan.gear,
          (gear) => gear.id === owner.id,
          (gear) =>
            gear.carries
              ? { ...gear, carries: { ...gear.carries, rated: edit(gear.carries.rated) } }
              : refuse(`${gear.name} carries nothing.`),
          `The plan has no gear "${owner.id}".`,
        ),
      }
  }
}

function onPart(
  plan: Plan,
  partId: string,
  change: (part: Rack['parts'][number]) => Rack['parts'][number],
): Plan {
  const missing = `No rack has a part "${partId}".`
  const owns = (rack: Rack) => rack.parts.some((part) => part.id === partId)
  return onRackOf(
    plan,
    owns,
    (rack) => ({ ...rack, parts: changed(rack.parts, (part) => part.id === partId, change, missing) }),
    missing,
  )
}

function onBar(
  plan: Plan,
  barId: string,
  change: (bar: ReturnType<typeof barsOf>[number]) => ReturnType<typeof barsOf>[number],
): Plan {
  const missing = `No rack has a bar "${barId}".`
  return onRackOf(
    plan,
    (rack) => barsOf(rack).some((bar) => bar.id === barId),
    (rack) =>
      rack.kind === 'ladder'
        ? rack
        : { ...rack, bars: changed(rack.bars, (bar) => bar.id === barId, change, missing) },
    missing,
  )
}

function applySingle(plan: Plan, command: SingleCommand): Plan {
  switch (command.do) {
    case 'setJob':
      return { ...plan, job: command.job }
    case 'setNote':
      return { ...plan, note: command.note }
    case 'move':
      return onPlacement(plan, command.placementId, (placement) =>
        retyped({ ...placement, xMm: command.xMm, yMm: command.yMm }, ['xMm', 'yMm'], command.typed),
      )
    case 'turn':
      return onPlacement(plan, command.placementId, (placement) => {
        const gear = plan.gear.find((each) => each.id === placement.gearId)
        if (!gear?.turns.includes(command.turn))
          return refuse(`${gear?.name ?? 'It'} cannot lie turned by ${command.turn}°.`)
        return { ...placement, turn: command.turn }
      })
    case 'setOnEdge':
      return onPlacement(plan, command.placementId, (placement) => {
        const gear = plan.gear.find((each) => each.id === placement.gearId)
        if (command.onEdge && !gear?.onEdge) return refuse(`${gear?.name ?? 'It'} cannot stand on edge.`)
        return { ...placement, onEdge: command.onEdge }
      })
    case 'setWhen':
      return onPlacement(plan, command.placementId, (placement) => ({ ...placement, when: command.when }))
    case 'mount':
      if (plan.placements.some((each) => each.id === command.placement.id))
        return refuse(`"${command.placement.id}" is on the plan already.`)
      if (command.placement.gearId !== command.gear.id) return refuse('The placement names other gear.')
      return {
        ...plan,
        gear: plan.gear.some((each) => each.id === command.gear.id)
          ? plan.gear
          : [...plan.gear, command.gear],
        placements: [...plan.placements, command.placement],
      }
    case 'rehost':
      return onPlacement(plan, command.placementId, (placement) =>
        retyped(
          { ...placement, host: command.host, xMm: command.xMm, yMm: command.yMm },
          ['xMm', 'yMm'],
          undefined,
        ),
      )
    case 'takeOff':
      if (!plan.placements.some((each) => each.id === command.placementId))
        return refuse(`Nothing called "${command.placementId}" is on the plan.`)
      return takenOff(plan, new Set([command.placementId]))
    case 'setLoad':
      return onPlacement(plan, command.placementId, (placement) => ({
        ...placement,
        loads: put(placement.loads, command.load),
      }))
    case 'removeLoad':
      return onPlacement(plan, command.placementId, (placement) => ({
        ...placement,
        loads: without(placement.loads, command.loadId, `It holds no "${command.loadId}".`),
      }))
    case 'setFitting':
      return onPlacement(plan, command.placementId, ({ fitting: _, ...rest }) =>
        Object.keys(command.fitting).length === 0 ? rest : { ...rest, fitting: command.fitting },
      )
    case 'setLines':
      return onPlacement(plan, command.placementId, (placement) => ({ ...placement, lines: command.lines }))
    case 'setStraps':
      return onPlacement(plan, command.placementId, (placement) => ({ ...placement, straps: command.straps }))
    case 'setMeasurement':
      return { ...plan, measurements: put(plan.measurements, command.measurement) }
    case 'removeMeasurement':
      return {
        ...plan,
        measurements: without(
          plan.measurements,
          command.measurementId,
          `There is no measurement "${command.measurementId}".`,
        ),
      }
    case 'setGear':
      return { ...plan, gear: put(plan.gear, command.gear) }
    case 'setGearMass':
      return {
        ...plan,
        gear: changed(
          plan.gear,
          (gear) => gear.id === command.gearId,
          (gear) => ({ ...gear, mass: command.mass }),
          `The plan has no gear "${command.gearId}".`,
        ),
      }
    case 'setVehicle':
      return { ...plan, vehicle: command.vehicle }
    case 'addRack':
      if (plan.racks.some((rack) => rack.id === command.rack.id))
        return refuse(`A rack "${command.rack.id}" is on the plan already.`)
      return { ...plan, racks: [...plan.racks, command.rack] }
    case 'setRack':
      return onRackOf(
        plan,
        (rack) => rack.id === command.rack.id,
        () => command.rack,
        `The plan has no rack "${command.rack.id}".`,
      )
    case 'removeRack': {
      const rack =
        plan.racks.find((each) => each.id === command.rackId) ??
        refuse(`The plan has no rack "${command.rackId}".`)
      const lost = plan.placements
        .filter((placement) => standsOn(placement, rack))
        .map((placement) => placement.id)
      return { ...takenOff(plan, new Set(lost)), racks: plan.racks.filter((each) => each !== rack) }
    }
    case 'moveBar':
      return onBar(plan, command.barId, (bar) =>
        retyped({ ...bar, xMm: command.xMm }, ['xMm'], command.typed),
      )
    case 'setBar':
      return onBar(plan, command.bar.id, () => command.bar)
    case 'swapPart':
      return onPart(plan, command.partId, (part) =>
        part.role === command.part.role
          ? command.part
          : refuse(`${command.part.name} cannot stand in for ${part.name}.`),
      )
    case 'setRated':
      return onRated(plan, command.owner, () => command.rated)
    case 'setRating':
      return onRated(plan, command.owner, (rated) =>
        ratingsEdited(rated, (ratings) => put(ratings, command.rating)),
      )
    case 'removeRating':
      return onRated(plan, command.owner, (rated) =>
        ratingsEdited(rated, (ratings) =>
          without(ratings, command.ratingId, `There is no figure "${command.ratingId}".`),
        ),
      )
    case 'setClearance':
      return { ...plan, clearances: put(plan.clearances, command.clearance) }
    case 'removeClearance':
      return {
        ...plan,
        clearances: without(
          plan.clearances,
          command.clearanceId,
          `There is no clearance "${command.clearanceId}".`,
        ),
      }
    case 'setUse':
      return { ...plan, use: command.use }
    case 'setRules':
      return { ...plan, rules: command.rules }
    case 'setCar':
      return { ...plan, car: command.car }
    case 'setStatus':
      return command.of === 'rack'
        ? onRackOf(
            plan,
            (rack) => rack.id === command.id,
            (rack) => ({ ...rack, status: command.status }),
            `The plan has no rack "${command.id}".`,
          )
        : onPlacement(plan, command.id, (placement) => ({ ...placement, status: command.status }))
    case 'setAside': {
      const others = (plan.setAside ?? []).filter(({ findingId }) => findingId !== command.aside.findingId)
      return { ...plan, setAside: [...others, command.aside] }
    }
    case 'askAgain': {
      const { setAside, ...rest } = plan
      const left = (setAside ?? []).filter(({ findingId }) => findingId !== command.findingId)
      return left.length > 0 ? { ...rest, setAside: left } : rest
    }
    case 'confirm':
      return confirmed(plan, command.starts)
  }
}
