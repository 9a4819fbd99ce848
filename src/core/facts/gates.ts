import type { Plan } from '../plan/schema/plan'
import type { GateAt, Implied } from '../survey/mounting/gates'
import { howOfBasis, lengthBracket, massBracket } from './bracket'
import { between, type Comparison, type FactUse, type Compared } from './comparison'
import { judgeComparison, type ComparisonVerdict } from './judge-comparison'

/** What was measured for a gate, as a fact: a tape's own error and the readings' scatter, or how a weight is known. mm, kg. */
function readingUse({ gate, stand, measurement }: GateAt, { rules }: Plan): FactUse | undefined {
  if (stand.kind === 'unmeasured' || !measurement) return undefined
  const entry = { of: 'measurement', id: measurement.id, field: gate.ask.kind } as const
  const { value } = stand
  if (value.kind === 'length')
    return {
      entry,
      value: value.mm,
      how: 'measured',
      bracket: lengthBracket('measured', value.mm, value.scatterMm),
      per: 1,
    }
  if (value.kind !== 'mass' || measurement.kind !== 'mass') return undefined
  const { basis } = measurement.mass
  const how = howOfBasis(basis)
  return how && { entry, value: value.kg, how, bracket: value.kg * massBracket(basis, rules), per: 1 }
}

/** What was measured for a gate against one bound of it; nothing where nobody measured. */
export function gateComparison(
  at: GateAt,
  plan: Plan,
  limit: number,
  direction: Comparison['direction'],
): Comparison | undefined {
  const use = readingUse(at, plan)
  return (
    use && {
      id: `${at.of.id} ${at.gate.id} ${direction}`,
      measure: use.value,
      limit,
      direction,
      unit: 'part',
      states: ['road', 'trail', 'parked'],
      uses: () => [{ ...use, per: direction === 'atMost' ? 1 : -1 }],
    }
  )
}

/** The bounds of a gate, each as a comparison: what was measured against the least and the most that is asked. */
export function gateComparisons(at: GateAt, plan: Plan): readonly Comparison[] {
  const { ask } = at.gate
  if (ask.kind === 'gauge') return []
  const [from, to] = ask.kind === 'length' ? [ask.fromMm, ask.toMm] : [ask.fromKg, ask.toKg]
  const of = (limit: number | undefined, direction: Comparison['direction']) =>
    (limit === undefined ? undefined : gateComparison(at, plan, limit, direction)) ?? []
  return [of(from, 'atLeast'), of(to, 'atMost')].flat()
}

/** What a gate reads, held against what another gate of the same thing implies of it. mm */
export const impliedHeld = ({ ownMm, valueMm, plusFromMm, plusToMm }: Implied): Compared =>
  between(valueMm, ownMm + plusFromMm, ownMm + plusToMm, 'part')

/** What becomes of a gate under its reading's own error: the bound that it depends on; nothing where it surely holds or does not. */
export function gateDoubt(
  at: GateAt,
  plan: Plan,
): { readonly comparison: Comparison; readonly use: FactUse; readonly needs: number } | undefined {
  for (const comparison of gateComparisons(at, plan)) {
    const result: ComparisonVerdict = judgeComparison(comparison)
    const [doubt] = result.is === 'hangs' ? result.doubts : []
    const [use] = doubt?.uses ?? []
    if (doubt && use) return { comparison, use, needs: doubt.needs ?? 0 }
  }
  return undefined
}
