import * as z from '../../units/schema'
import { BASES, basisSchema } from '../../kinds/basis'
import { massKg, typedSchema } from '../../units/scalars'
import { massSchema } from './rating'

/** Another weight that somebody has for the same thing; `unused` says why it does not count. */
const otherMassSchema = z.strictObject({
  kg: massKg,
  basis: basisSchema,
  by: z.optional(z.string().check(z.maxLength(80))),
  unused: z.optional(z.string().check(z.maxLength(200))),
  typed: z.optional(typedSchema),
})
export type OtherMass = z.infer<typeof otherMassSchema>

const MOST = 20

/** What a piece of gear weighs by itself, and what others say that it weighs. */
export const gearMassSchema = z.extend(massSchema, {
  others: z.optional(z.array(otherMassSchema).check(z.maxLength(MOST))),
})
export type GearMass = z.infer<typeof gearMassSchema>

/** The other weights of which nobody has said that they do not hold. */
export const openOthers = ({ kg, others }: GearMass): readonly OtherMass[] =>
  others ? others.filter((other) => other.unused === undefined && other.kg !== kg) : NONE

const NONE: readonly OtherMass[] = []

function asOther({ kg, basis, by, typed }: GearMass): OtherMass {
  return { kg, basis, ...(by === undefined ? {} : { by }), ...(typed ? { typed } : {}) }
}

/** The weights of a thing once it is said which holds: 0 the one in use, then the open others. The rest keep why not. */
export function whichHolds(mass: GearMass, place: number): GearMass {
  const open = openOthers(mass)
  const other = open[place - 1]
  const holds: GearMass = other ? asOther(other) : mass
  const unused = `looked at again: ${BASES[holds.basis].word} holds`
  const shut = (mass.others ?? []).filter((each) => !open.includes(each))
  const lost = [...(other ? [asOther(mass)] : []), ...open.filter((each) => each !== other)]
  return { ...holds, others: [...shut, ...lost.map((each) => ({ ...each, unused }))] }
}

const isStated = ({ basis }: GearMass): boolean =>
  basis === 'maker' || basis === 'weighed' || basis === 'told'

/** A weight that was read in a text, kg. What somebody had read, weighed or told before stays beside it, open until it is said which holds. */
export function readAnew(was: GearMass, now: Pick<GearMass, 'kg' | 'basis' | 'by'>): GearMass {
  const { others: before = [], typed: _, by: __, ...rest } = was
  const others = [
    ...before.filter(({ kg }) => kg !== now.kg),
    ...(isStated(was) && was.kg !== now.kg ? [asOther(was)] : []),
  ].slice(-MOST)
  return { ...rest, ...now, ...(others.length > 0 && { others }) }
}

/** A weight off a scale, kg, with what was typed for it. What somebody had read, weighed or told before stays beside it. */
export function weighedAnew(was: GearMass, kg: number, typed?: string): GearMass {
  const open = openOthers(was)
  const shut = (was.others ?? []).filter((each) => !open.includes(each))
  const lost = [...(isStated(was) && was.kg !== kg ? [asOther(was)] : []), ...open]
  const others = [...shut, ...lost.map((each) => ({ ...each, unused: 'weighed since' }))].slice(-MOST)
  return {
    kg,
    basis: 'weighed',
    ...(typed === undefined ? {} : { typed: { kg: typed } }),
    ...(others.length > 0 ? { others } : {}),
  }
}
