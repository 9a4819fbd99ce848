import { statesOf } from './presence'
import type { Basis } from '../../kinds/basis'
import { PROVENANCES } from '../../kinds/provenance'
import type { PlanEntry } from '../../plan/schema/entry'
import { provenanceOf } from '../../plan/schema/provenance'
import type { Plan } from '../../plan/schema/plan'
import { barsOf, type Bar, type Part } from '../../plan/schema/rack'
import { STATES } from '../../units/scalars'
import type { Arrangement, Point, RackAt } from '../frame/arrangement'
import { footLines, holdAt, overBars, type Base, type Holding, type Share } from '../statics/influence'
import { shareAt } from '../statics/supports'
import type { MassPoint } from './mass-point'

/** What holds a rack and has a mass of its own, over the middle of what feet may use of it. */
export function holderPoints({ vehicle }: Plan, factorOf: (basis: Basis) => number): MassPoint[] {
  return vehicle.attachments.flatMap((attachment): MassPoint[] => {
    if (!('canopyKg' in attachment)) return []
    const { id, name, canopyKg, ranges, topZMm } = attachment
    const from = Math.min(...ranges.map(({ fromMm }) => fromMm))
    const to = Math.max(...ranges.map(({ toMm }) => toMm))
    const { basis } = PROVENANCES[provenanceOf(attachment, 'canopyKg') ?? 'told']
    return [
      {
        of: 'holder',
        attachmentId: id,
        id: `holder:${id}`,
        label: name,
        kg: canopyKg,
        basis,
        from: { entry: { of: 'attachment', id, field: 'canopyKg' }, times: 1 },
        factor: factorOf(basis),
        states: STATES,
        at: { x: (from + to) / 2, y: 0, z: topZMm },
        feet: [],
        bars: [],
        racks: [],
      },
    ]
  })
}

/** How a part's weight is known, as masses say it, and that of a bar with its own. What nobody said was told. */
const partBasis = (part: Part): Basis => PROVENANCES[provenanceOf(part, 'eachKg') ?? 'told'].basis
const barBasis = (bar: Bar): Basis => PROVENANCES[provenanceOf(bar, 'kg') ?? 'told'].basis

/** What one point of a part has of its own: what it weighs, where, and on what it bends down. */
interface Own {
  readonly id: string
  readonly label: string
  readonly kg: number
  readonly basis: Basis
  readonly from: MassPoint['from']
  readonly at: Point
  readonly base: Base | undefined
  readonly on: Pick<Holding, 'bars' | 'feet'>
  readonly ownField?: { readonly rackId: string; readonly at: string } | undefined
}

/** How high over the ground what is neither bar nor deck has its mass: halfway up the feet, or up a ladder. mm */
function heightOf({ rack, feet, topZMm }: RackAt): number {
  if (rack.kind === 'ladder') return (rack.topZMm + rack.bottomZMm) / 2
  if (feet.length === 0) return topZMm
  return feet.reduce((sum, foot) => sum + (foot.seatZMm + foot.topZMm) / 2, 0) / feet.length
}

/** A rack's own parts: each bar weighs on its own feet, the deck on the bars, the rest on all feet alike. */
export function partPoints(
  arrangement: Arrangement,
  rackAt: RackAt,
  factorOf: (basis: Basis) => number,
): MassPoint[] {
  const { rack, feet, bars, deck, index } = rackAt
  const states = rack.kind === 'ladder' ? statesOf(rack.when) : STATES
  const racks: readonly Share[] = [[index, 1]]
  const point = (
    part: Part,
    { id, label, kg, basis, from, at, base, on, ownField }: Own,
  ): Extract<MassPoint, { of: 'part' }> => ({
    of: 'part',
    role: part.role,
    partId: part.id,
    partName: part.name,
    id,
    label,
    kg,
    basis,
    from,
    factor: factorOf(basis),
    states,
    racks,
    at,
    base,
    bars: on.bars,
    feet: on.feet,
    ownField,
  })
  const middle: Point = {
    x:
      feet.length > 0
        ? feet.reduce((sum, foot) => sum + foot.xMm, 0) / feet.length
        : rack.kind === 'ladder'
          ? rack.xMm
          : 0,
    y: feet.length > 0 ? feet.reduce((sum, foot) => sum + foot.yMm, 0) / feet.length : 0,
    z: heightOf(rackAt),
  }
  /** As its sheet says of the part or of the whole rack; else where it is. */
  const over = (part: Part, zMm: number) => part.centreZMm ?? rack.centreZMm ?? zMm
  return rack.parts.flatMap((part): MassPoint[] => {
    const entry: PlanEntry = { of: 'part', id: part.id, field: 'eachKg' }
    const whole = {
      id: part.id,
      label: part.name,
      kg: part.count * part.eachKg,
      basis: partBasis(part),
      from: { entry, times: part.count },
    }
    if (part.role === 'bars' && bars.length > 0)
      return bars.map((bar) => {
        const { id, name, kg, xMm, lengthMm, feetYMm } = bar.bar
        const base: Base = { kind: 'line', fromMm: -lengthMm / 2, toMm: lengthMm / 2 }
        const lines = footLines(feetYMm, base)
        return point(part, {
          id: `${part.id}/${id}`,
          label: `${part.name}, ${name}`,
          kg: kg ?? whole.kg / bars.length,
          basis: kg === undefined ? whole.basis : barBasis(bar.bar),
          from:
            kg === undefined
              ? { entry, times: part.count / bars.length }
              : { entry: { of: 'bar', id, field: 'kg' }, times: 1 },
          at: { x: xMm, y: 0, z: over(part, bar.box.z0) },
          base,
          ownField:
            kg === undefined
              ? undefined
              : { rackId: rack.id, at: `bars.${barsOf(rack).indexOf(bar.bar)}.kg` },
          on: {
            bars: [[bar.index, 1]],
            feet: bar.feet.map((foot, i): Share => [foot, shareAt(lines[i] ?? { at0: 0, perMm: 0 }, 0)]),
          },
        })
      })
    if (part.role === 'deck' && deck && bars.length > 0) {
      const at = { x: deck.deck.xMm, y: deck.deck.yMm, z: over(part, deck.box.z0) }
      const base: Base = { kind: 'line', fromMm: deck.box.y0, toMm: deck.box.y1 }
      return [
        point(part, { ...whole, at, base, on: holdAt(overBars(bars, arrangement.feet, base, 'deck'), at) }),
      ]
    }
    const evenly = feet.map((foot): Share => [foot.index, 1 / feet.length])
    return [
      point(part, {
        ...whole,
        at: { ...middle, z: over(part, middle.z) },
        base: undefined,
        on: { bars: [], feet: evenly },
      }),
    ]
  })
}
