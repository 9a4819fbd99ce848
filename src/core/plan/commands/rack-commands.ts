import * as z from '../../units/schema'
import { idSchema, positionMm, statusSchema, typedSchema } from '../../units/scalars'
import type { Placement } from '../schema/placement'
import type { Plan } from '../schema/plan'
import { barSchema, barsOf, partSchema, rackSchema, type Bar, type Part, type Rack } from '../schema/rack'
import { updateWhere, edit, editInPlace, Refusal, retyped, andThen } from './edit'
import { onPlacement, takenOff } from './placement-commands'

const noSuch = (id: string) => `The plan has no rack "${id}".`

function onRackOf(
  plan: Plan,
  owns: (rack: Rack) => boolean,
  change: (rack: Rack) => Rack | Refusal,
  missing: string,
): Plan | Refusal {
  return andThen(updateWhere(plan.racks, owns, change, missing), (racks) => ({ ...plan, racks }))
}

/** The plan with one part of its racks changed. */
export function onPart(plan: Plan, id: string, change: (part: Part) => Part | Refusal): Plan | Refusal {
  const missing = `No rack has a part "${id}".`
  const owns = (rack: Rack) => rack.parts.some((part) => part.id === id)
  return onRackOf(
    plan,
    owns,
    (rack) =>
      andThen(
        updateWhere(rack.parts, (part) => part.id === id, change, missing),
        (parts) => ({ ...rack, parts }),
      ),
    missing,
  )
}

function onBar(plan: Plan, id: string, change: (bar: Bar) => Bar): Plan | Refusal {
  const missing = `No rack has a bar "${id}".`
  return onRackOf(
    plan,
    (rack) => barsOf(rack).some((bar) => bar.id === id),
    (rack) =>
      rack.kind === 'ladder'
        ? rack
        : andThen(
            updateWhere(rack.bars, (bar) => bar.id === id, change, missing),
            (bars) => ({ ...rack, bars }),
          ),
    missing,
  )
}

function standsOn({ host }: Placement, rack: Rack): boolean {
  if (host.on === 'place') return false
  return host.on === 'bars'
    ? barsOf(rack).some((bar) => host.barIds.includes(bar.id))
    : host.rackId === rack.id
}

/** Edits of racks, their bars and their parts. */
export const ofRack = {
  addRack: edit({ rack: rackSchema }, (plan, { rack }) =>
    plan.racks.some(({ id }) => id === rack.id)
      ? new Refusal(`A rack "${rack.id}" is on the plan already.`)
      : { ...plan, racks: [...plan.racks, rack] },
  ),
  setRack: edit({ rack: rackSchema }, (plan, { rack }) =>
    onRackOf(
      plan,
      ({ id }) => id === rack.id,
      () => rack,
      noSuch(rack.id),
    ),
  ),
  removeRack: edit({ rackId: idSchema }, (plan, { rackId }) => {
    const rack = plan.racks.find(({ id }) => id === rackId)
    if (!rack) return new Refusal(noSuch(rackId))
    const lost = plan.placements.filter((each) => standsOn(each, rack)).map(({ id }) => id)
    return { ...takenOff(plan, new Set(lost)), racks: plan.racks.filter((each) => each !== rack) }
  }),
  moveBar: editInPlace(
    { barId: idSchema, xMm: positionMm, typed: z.optional(typedSchema) },
    (plan, { barId, xMm, typed }) => onBar(plan, barId, (bar) => retyped({ ...bar, xMm }, ['xMm'], typed)),
  ),
  setBar: edit({ bar: barSchema }, (plan, { bar }) => onBar(plan, bar.id, () => bar)),
  swapPart: edit({ partId: idSchema, part: partSchema }, (plan, { partId, part }) =>
    onPart(plan, partId, (old) =>
      old.role === part.role ? part : new Refusal(`${part.name} cannot stand in for ${old.name}.`),
    ),
  ),
  setStatus: editInPlace(
    { of: z.enum(['rack', 'placement']), id: idSchema, status: statusSchema },
    (plan, { of, id, status }) =>
      of === 'rack'
        ? onRackOf(
            plan,
            (rack) => rack.id === id,
            (rack) => ({ ...rack, status }),
            noSuch(id),
          )
        : onPlacement(plan, id, (placement) => ({ ...placement, status })),
  ),
}
