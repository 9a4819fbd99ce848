import * as z from '../../units/schema'
import { whenSchema } from '../../kinds/when'
import { idSchema, positionMm, typedSchema } from '../../units/scalars'
import { gearSchema, sideSchema, turnSchema } from '../schema/gear'
import {
  fittingSchema,
  hostSchema,
  linesSchema,
  loadSchema,
  placementSchema,
  strapsSchema,
  type Placement,
} from '../schema/placement'
import type { Plan } from '../schema/plan'
import { updateWhere, edit, editInPlace, upsert, Refusal, retyped, andThen, removeById } from './edit'

const placementId = { placementId: idSchema }
const typed = { typed: z.optional(typedSchema) }
const noSuch = (id: string) => `Nothing called "${id}" is on the plan.`
const gearOf = (plan: Plan, { gearId }: Placement) => plan.gear.find((each) => each.id === gearId)

/** The plan with one thing on it changed. */
export function onPlacement(
  plan: Plan,
  id: string,
  change: (placement: Placement) => Placement | Refusal,
): Plan | Refusal {
  const list = updateWhere(plan.placements, (each) => each.id === id, change, noSuch(id))
  return andThen(list, (placements) => ({ ...plan, placements }))
}

/** A thing comes off with all that stands in it or on it. */
export function takenOff(plan: Plan, ids: ReadonlySet<string>): Plan {
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

/** Edits of what is on the racks: where it sits, what is in it, how it is held. */
export const ofPlacement = {
  move: editInPlace({ ...placementId, xMm: positionMm, yMm: positionMm, ...typed }, (plan, said) =>
    onPlacement(plan, said.placementId, (placement) =>
      retyped({ ...placement, xMm: said.xMm, yMm: said.yMm }, ['xMm', 'yMm'], said.typed),
    ),
  ),
  turn: editInPlace({ ...placementId, turn: turnSchema }, (plan, { placementId: id, turn }) =>
    onPlacement(plan, id, (placement) => {
      const gear = gearOf(plan, placement)
      return gear?.turns.includes(turn)
        ? { ...placement, turn }
        : new Refusal(`${gear?.name ?? 'It'} cannot lie turned by ${turn}°.`)
    }),
  ),
  setOnEdge: editInPlace({ ...placementId, onEdge: z.boolean() }, (plan, { placementId: id, onEdge }) =>
    onPlacement(plan, id, (placement) => {
      const gear = gearOf(plan, placement)
      return onEdge && !gear?.onEdge
        ? new Refusal(`${gear?.name ?? 'It'} cannot stand on edge.`)
        : { ...placement, onEdge }
    }),
  ),
  setWhen: editInPlace({ ...placementId, when: whenSchema }, (plan, { placementId: id, when }) =>
    onPlacement(plan, id, (placement) => ({ ...placement, when })),
  ),
  mount: edit({ gear: gearSchema, placement: placementSchema }, (plan, { gear, placement }) => {
    if (plan.placements.some((each) => each.id === placement.id))
      return new Refusal(`"${placement.id}" is on the plan already.`)
    if (placement.gearId !== gear.id) return new Refusal('The placement names other gear.')
    return {
      ...plan,
      gear: plan.gear.some((each) => each.id === gear.id) ? plan.gear : [...plan.gear, gear],
      placements: [...plan.placements, placement],
    }
  }),
  rehost: edit({ ...placementId, host: hostSchema, xMm: positionMm, yMm: positionMm }, (plan, said) =>
    onPlacement(plan, said.placementId, (placement) =>
      retyped({ ...placement, host: said.host, xMm: said.xMm, yMm: said.yMm }, ['xMm', 'yMm'], undefined),
    ),
  ),
  takeOff: edit(placementId, (plan, { placementId: id }) =>
    plan.placements.some((each) => each.id === id) ? takenOff(plan, new Set([id])) : new Refusal(noSuch(id)),
  ),
  setLoad: edit({ ...placementId, load: loadSchema }, (plan, { placementId: id, load }) =>
    onPlacement(plan, id, (placement) => ({ ...placement, loads: upsert(placement.loads, load) })),
  ),
  removeLoad: edit({ ...placementId, loadId: idSchema }, (plan, { placementId: id, loadId }) =>
    onPlacement(plan, id, (placement) =>
      andThen(removeById(placement.loads, loadId, `It holds no "${loadId}".`), (loads) => ({
        ...placement,
        loads,
      })),
    ),
  ),
  setFitting: editInPlace({ ...placementId, fitting: fittingSchema }, (plan, said) =>
    onPlacement(plan, said.placementId, ({ fitting: _, ...rest }) =>
      Object.keys(said.fitting).length === 0 ? rest : { ...rest, fitting: said.fitting },
    ),
  ),
  setLines: editInPlace({ ...placementId, lines: linesSchema }, (plan, { placementId: id, lines }) =>
    onPlacement(plan, id, (placement) => ({ ...placement, lines })),
  ),
  setOpening: editInPlace({ ...placementId, toward: sideSchema }, (plan, { placementId: id, toward }) =>
    onPlacement(plan, id, (placement) => {
      const opens = plan.gear.find((each) => each.id === placement.gearId)?.opens
      return opens && (opens.toward === toward || (opens.orToward ?? []).includes(toward))
        ? { ...placement, opensToward: toward }
        : new Refusal(`Its sheet does not let it open to the ${toward}.`)
    }),
  ),
  setStraps: editInPlace({ ...placementId, straps: strapsSchema }, (plan, { placementId: id, straps }) =>
    onPlacement(plan, id, (placement) => ({ ...placement, straps })),
  ),
}
