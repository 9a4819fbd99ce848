import * as z from '../units/schema'
import { idSchema } from '../units/scalars'
import type { Gear } from '../plan/schema/gear'
import { isStart, provenanceWithout, type ProvenanceByField } from '../plan/schema/provenance'
import type { Plan } from '../plan/schema/plan'
import { barsOf } from '../plan/schema/rack'

/** One starting value: whose field it is. */
export const startSchema = z.strictObject({
  of: z.enum(['vehicle', 'attachment', 'obstacle', 'rack', 'part', 'bar', 'gear']),
  id: idSchema,
  field: z.string().check(z.minLength(1), z.maxLength(60)),
})
export type Start = z.infer<typeof startSchema>

type Marked = { readonly known?: ProvenanceByField | undefined }

function without<T extends Marked>(thing: T, fields: readonly string[]): T {
  if (fields.length === 0) return thing
  const { known, ...rest } = thing
  const left = provenanceWithout(known, fields)
  return (left ? { ...rest, known: left } : rest) as T
}

/** A gear's mass says itself how it is known: confirmed, it is what somebody told. */
const statedMass = (gear: Gear, fields: readonly string[]): Gear =>
  fields.includes('mass') && gear.mass.basis === 'start'
    ? { ...gear, mass: { ...gear.mass, basis: 'told' } }
    : gear

/** The plan with starting values taken as right by somebody who has looked: they lose their mark, nothing else changes. */
export function confirmed(plan: Plan, starts: readonly Start[]): Plan {
  const fieldsOf = (of: Start['of'], id: string) =>
    starts.filter((each) => each.of === of && each.id === id).map(({ field }) => field)
  return {
    ...plan,
    vehicle: {
      ...without(plan.vehicle, fieldsOf('vehicle', plan.vehicle.id)),
      attachments: plan.vehicle.attachments.map((each) => without(each, fieldsOf('attachment', each.id))),
      obstacles: plan.vehicle.obstacles.map((each) => without(each, fieldsOf('obstacle', each.id))),
    },
    racks: plan.racks.map((rack) => {
      const marked = without(rack, fieldsOf('rack', rack.id))
      const parts = marked.parts.map((part) => without(part, fieldsOf('part', part.id)))
      return marked.kind === 'ladder'
        ? { ...marked, parts }
        : { ...marked, parts, bars: marked.bars.map((bar) => without(bar, fieldsOf('bar', bar.id))) }
    }),
    gear: plan.gear.map((gear) =>
      statedMass(without(gear, fieldsOf('gear', gear.id)), fieldsOf('gear', gear.id)),
    ),
  }
}

/** The gear that stands on the plan: what was taken off is in no sum. */
function placedGear({ gear, placements }: Plan): readonly Gear[] {
  const placed = new Set(placements.map(({ gearId }) => gearId))
  return gear.filter(({ id }) => placed.has(id))
}

/** Every starting value that nobody has typed over or confirmed yet. */
export function startsOf(plan: Plan): Start[] {
  const marks = (of: Start['of'], thing: Marked & { readonly id: string }): Start[] =>
    Object.keys(thing.known ?? {}).flatMap((field) =>
      isStart(thing, field) ? [{ of, id: thing.id, field }] : [],
    )
  return [
    ...marks('vehicle', plan.vehicle),
    ...plan.vehicle.attachments.flatMap((each) => marks('attachment', each)),
    ...plan.vehicle.obstacles.flatMap((each) => marks('obstacle', each)),
    ...plan.racks.flatMap((rack) => [
      ...marks('rack', rack),
      ...rack.parts.flatMap((part) => marks('part', part)),
      ...barsOf(rack).flatMap((bar) => marks('bar', bar)),
    ]),
    ...placedGear(plan).flatMap((gear): Start[] => [
      ...marks('gear', gear),
      ...(gear.mass.basis === 'start' ? [{ of: 'gear' as const, id: gear.id, field: 'mass' }] : []),
    ]),
  ]
}
