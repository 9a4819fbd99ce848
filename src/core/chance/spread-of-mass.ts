import { USUAL_GUESS_SPREAD, type HouseRules } from '../plan/house'
import type { MassPoint } from '../survey/loads/mass-points'

/** A stated spread is read as holding 19 times out of 20: as 1.96 standard deviations of a normal distribution. */
export const NINETEEN_OF_TWENTY = 1.96

function statedSpread(mass: MassPoint): number | undefined {
  if (mass.of === 'gear') return mass.thing.gear.mass.spreadPercent
  if (mass.of !== 'load' || !mass.load) return undefined
  const { what } = mass.load
  return what.kind === 'mass'
    ? what.mass.spreadPercent
    : what.kind === 'people'
      ? what.each.spreadPercent
      : undefined
}

/** How uncertain a mass is, kg as a standard deviation: its stated spread, the house's for a guess, else 0. */
export function sigmaOf(mass: MassPoint, rules: HouseRules): number {
  const usual = mass.basis === 'guess' ? (rules.guessSpreadPercent ?? USUAL_GUESS_SPREAD) : 0
  return (mass.kg * (statedSpread(mass) ?? usual)) / 100 / NINETEEN_OF_TWENTY
}
