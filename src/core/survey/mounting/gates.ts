import { TOLERANCE } from '../../units/tolerance'
import type { PreorderMeasurement } from '../../plan/schema/preorder-measurement'
import { readingsSummary, type Measurement } from '../../plan/schema/measurement'
import type { Plan } from '../../plan/schema/plan'

/** How a gate stands: not measured, within, between the ends of a bound printed as a range, or outside by so much. */
type GateStand =
  | { readonly kind: 'unmeasured' }
  | { readonly kind: 'within' | 'between'; readonly value: GateValue; readonly spare: number | undefined }
  | { readonly kind: 'outside'; readonly value: GateValue; readonly by: number | undefined }

/** What was measured: a length in mm, a mass in kg, or whether the gauge went in. */
type GateValue =
  | { readonly kind: 'length'; readonly mm: number; readonly scatterMm: number; readonly readings: number }
  | { readonly kind: 'mass'; readonly kg: number }
  | { readonly kind: 'gauge'; readonly went: 'go' | 'noGo' }

/** What a gate belongs to: a piece of gear that is on the plan, or a rack. */
export interface GateOwner {
  readonly owner: 'gear' | 'rack'
  readonly id: string
  readonly name: string
}

export interface GateAt {
  readonly of: GateOwner
  readonly gate: PreorderMeasurement
  readonly stand: GateStand
  readonly measurement: Measurement | undefined
}

/** One gate's value against what another of the same thing implies of it: its own and so much more. mm. */
export interface Implied {
  readonly of: GateOwner
  readonly gate: PreorderMeasurement
  readonly other: PreorderMeasurement
  readonly ownMm: number
  readonly valueMm: number
  readonly plusFromMm: number
  readonly plusToMm: number
  readonly why: string
}

const HAIR = TOLERANCE.partMm

function measurementOf(
  plan: Pick<Plan, 'measurements'>,
  { owner, id }: GateOwner,
  gateId: string,
): Measurement | undefined {
  return plan.measurements.findLast(
    ({ of }) => of.about === 'gate' && of.owner === owner && of.ownerId === id && of.gateId === gateId,
  )
}

/** How a value stands between bounds that may each be printed as a range. */
function between(
  value: number,
  ask: { from: number; softFrom: number; softTo: number; to: number },
): { kind: 'within' | 'between' | 'outside'; spare: number } {
  if (value < ask.from - HAIR || value > ask.to + HAIR)
    return { kind: 'outside', spare: value < ask.from ? ask.from - value : value - ask.to }
  if (value < ask.softFrom - HAIR || value > ask.softTo + HAIR)
    return { kind: 'between', spare: Math.min(value - ask.from, ask.to - value) }
  return { kind: 'within', spare: Math.min(value - ask.softFrom, ask.softTo - value) }
}

function standOf({ ask }: PreorderMeasurement, measurement: Measurement | undefined): GateStand {
  if (!measurement || measurement.kind !== ask.kind) return { kind: 'unmeasured' }
  if (ask.kind === 'gauge' && measurement.kind === 'gauge') {
    const value: GateValue = { kind: 'gauge', went: measurement.went }
    return measurement.went === ask.must
      ? { kind: 'within', value, spare: undefined }
      : { kind: 'outside', value, by: undefined }
  }
  if (ask.kind === 'mass' && measurement.kind === 'mass') {
    const { kg } = measurement.mass
    const { fromKg: from = -Infinity, toKg: to = Infinity } = ask
    const stand = between(kg, { from, softFrom: from, softTo: to, to })
    const value: GateValue = { kind: 'mass', kg }
    return stand.kind === 'outside'
      ? { kind: 'outside', value, by: stand.spare }
      : { kind: stand.kind, value, spare: stand.spare }
  }
  if (ask.kind === 'length' && measurement.kind === 'length') {
    const { middleMm, scatterMm } = readingsSummary(measurement.readingsMm)
    const { fromMm: from = -Infinity, toMm: to = Infinity, softFromMm, softToMm } = ask
    const stand = between(middleMm, { from, softFrom: softFromMm ?? from, softTo: softToMm ?? to, to })
    const value: GateValue = {
      kind: 'length',
      mm: middleMm,
      scatterMm,
      readings: measurement.readingsMm.length,
    }
    return stand.kind === 'outside'
      ? { kind: 'outside', value, by: stand.spare }
      : { kind: stand.kind, value, spare: stand.spare }
  }
  return { kind: 'unmeasured' }
}

/** Every gate of the gear that is on the plan and of its racks, with how it stands. */
export function gatesOf(plan: Pick<Plan, 'racks' | 'gear' | 'placements' | 'measurements'>): GateAt[] {
  const placed = new Set(plan.placements.map(({ gearId }) => gearId))
  const at = (of: GateOwner, gates: readonly PreorderMeasurement[] | undefined) =>
    (gates ?? []).map((gate): GateAt => {
      const measurement = measurementOf(plan, of, gate.id)
      return { of, gate, measurement, stand: standOf(gate, measurement) }
    })
  return [
    ...plan.racks.flatMap(({ id, name, gates }) => at({ owner: 'rack', id, name }, gates)),
    ...plan.gear
      .filter(({ id }) => placed.has(id))
      .flatMap(({ id, name, gates }) => at({ owner: 'gear', id, name }, gates)),
  ]
}

/** Measured gates against what another measured gate of the same thing implies of them. */
export function impliedGates(gates: readonly GateAt[]): Implied[] {
  return gates.flatMap(({ of, gate, stand }): Implied[] => {
    const { implies } = gate
    if (!implies || stand.kind === 'unmeasured' || stand.value.kind !== 'length') return []
    const other = gates.find(
      (each) => each.of.owner === of.owner && each.of.id === of.id && each.gate.id === implies.gateId,
    )
    if (!other || other.stand.kind === 'unmeasured' || other.stand.value.kind !== 'length') return []
    const valueMm = other.stand.value.mm
    const ownMm = stand.value.mm
    const { plusFromMm, plusToMm, why } = implies
    return [{ of, gate, other: other.gate, ownMm, valueMm, plusFromMm, plusToMm, why }]
  })
}
