import { GEAR_KINDS } from '../kinds/gear-kind'
import type { SingleCommand } from '../plan/commands/command'
import type { HouseRules } from '../plan/schema/house'
import { FLUID_KG_PER_L, type Load } from '../plan/schema/placement'
import type { Cargo, MassPoint } from '../survey/loads/mass-point'
import { massBracket } from '../facts/bracket'
import { kg, type Amount, type Phrase } from '../units/phrase'
import { LESS_FIRST, type Candidate } from './candidate'

/** A load of which less may be taken: contents, a can's fluid, people. */
type Loose = Cargo & { readonly load: Load }

/** A tenth of a kilogram or of a litre down, so that what is proposed can be read on a scale and still clears. */
const downToTenth = (value: number) => Math.floor(value * 10 + 1e-9) / 10

/** An amount that may not be passed: whoever reads it in other units reads no more. */
const atMostSo = (amount: Amount): Amount => ({ ...amount, round: 'down' })

/** Whether less of a mass may be taken. */
export const canBeLess = (mass: MassPoint): mass is Loose =>
  mass.of === 'load' && mass.load !== undefined && GEAR_KINDS[mass.thing.gear.kind].filled

/**
 * Less of one load: so much that it comes to `mayKg` at most, in whole tenths of a kilogram or litre, or whole people.
 * Nothing where that is none of it, or all of it.
 */
export function lessOf(mass: Loose, mayKg: number, rules: HouseRules): Candidate | undefined {
  const { load, thing } = mass
  const candidate = (words: Phrase, what: Load['what'], lessKg: number): Candidate => {
    const command: SingleCommand = {
      do: 'setLoad',
      placementId: thing.placement.id,
      load: { ...load, what },
    }
    return { kind: 'less', message: [load.name, ...words], command, rank: LESS_FIRST + lessKg }
  }
  switch (load.what.kind) {
    case 'mass': {
      const toKg = downToTenth(mayKg)
      if (toKg <= 0 || toKg >= mass.kg) return undefined
      // A target is not a measurement: it stays one until somebody weighs it.
      const target = { kind: 'mass', mass: { kg: toKg, basis: 'target' } } as const
      return candidate([' to ', atMostSo(kg(toKg))], target, mass.kg - toKg)
    }
    case 'fluid': {
      const density = FLUID_KG_PER_L[load.what.fluid]
      const litres = downToTenth(mayKg / density)
      if (litres <= 0 || litres >= load.what.litres) return undefined
      const fluid = { kind: 'fluid', fluid: load.what.fluid, litres } as const
      return candidate(
        [' to ', atMostSo({ dimension: 'volume', value: litres })],
        fluid,
        mass.kg - litres * density,
      )
    }
    case 'people': {
      const { each, count } = load.what
      // What one of them weighs stays as it is known: a guess with its margin, what was told as far as it may be off.
      const eachKg = each.kg * Math.max(mass.factor, 1 + massBracket(mass.basis, rules))
      const fewer = Math.floor(mayKg / Math.max(eachKg, 1e-9) + 1e-6)
      if (fewer < 1 || fewer >= count) return undefined
      return candidate(
        [`: ${fewer} instead of ${count}`],
        { ...load.what, count: fewer },
        (count - fewer) * each.kg,
      )
    }
  }
}
