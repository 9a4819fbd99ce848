import { ATTACHMENTS } from '../../kinds/attachment'
import type { Plan } from '../../plan/plan'
import type { Rating } from '../../plan/rating'
import { STATES, type State } from '../../units/scalars'
import { kerbOf } from '../../plan/vehicle'
import type { Arrangement } from '../frame/arrangement'
import type { Link } from './layer'
import type { MassPoint } from '../loads/mass-points'
import { byFoot, bySide, members, onRacks, SIDES, withFootless, type Sharing } from '../loads/spreading'

const isCargo = (mass: MassPoint) => mass.of !== 'part' && mass.of !== 'occupant'
const isPart = (mass: MassPoint) => mass.of === 'part'

/** What holds the racks: rails, points, bed, frame, hatch, where they have figures of their own. */
export function attachmentLayers(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Link[] {
  return plan.vehicle.attachments.flatMap((attachment): Link[] => {
    const { word, alsoCalled } = ATTACHMENTS[attachment.kind]
    const racks = arrangement.racks.filter((rack) => rack.attachment === attachment)
    if (racks.length === 0) return []
    const rated =
      'rated' in attachment ? attachment.rated : { by: 'own' as const, ratings: attachment.ratings }
    const feet = racks.flatMap((rack) => rack.feet)
    const indices = new Set(racks.map((rack) => rack.index))
    const pointwise = ATTACHMENTS[attachment.kind].sharedBy === 'foot'
    const footless = new Set(racks.filter((rack) => rack.feet.length === 0).map((rack) => rack.index))
    const units = feet.length === 0 ? ['set'] : pointwise ? feet.map((foot) => foot.corner) : [...SIDES]
    const spread =
      feet.length === 0
        ? onRacks(indices)
        : withFootless(pointwise ? byFoot(feet) : bySide(feet), footless, units.length)
    const here = (mass: MassPoint) => mass.racks.some(([rack]) => indices.has(rack))
    return [
      {
        id: `attachment:${attachment.id}`,
        group: 'vehicle',
        role: 'attachment',
        name: attachment.name,
        detail: word,
        rackIds: racks.map((rack) => rack.rack.id),
        owner: { of: 'attachment', id: attachment.id },
        names: [attachment.name, word, ...alsoCalled],
        rated,
        ratings: rated.by === 'own' ? rated.ratings : [],
        units,
        states: STATES,
        usualCounting: 'everything',
        load: members(
          masses.filter((mass) => isCargo(mass) && here(mass)),
          spread,
        ),
        own: members(
          masses.filter((mass) => isPart(mass) && here(mass)),
          spread,
        ),
        spread,
        takes: () => true,
        governs: true,
      },
    ]
  })
}

/** The roof, when any rack loads it. */
export function roofLayer(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Link[] {
  const racks = arrangement.racks.filter((rack) => rack.onRoof)
  if (racks.length === 0) return []
  const spread = onRacks(new Set(racks.map((rack) => rack.index)))
  return [
    {
      id: 'roof',
      group: 'vehicle',
      role: 'roof',
      name: 'Roof',
      detail: 'what the manual allows',
      rackIds: racks.map((rack) => rack.rack.id),
      owner: { of: 'roof' },
      names: ['roof', 'roof load', 'vehicle', 'car'],
      rated: { by: 'own', ratings: plan.vehicle.roof.ratings },
      ratings: plan.vehicle.roof.ratings,
      units: ['roof'],
      states: STATES,
      usualCounting: plan.rules.roofCounts,
      load: members(masses.filter(isCargo), spread),
      own: members(masses.filter(isPart), spread),
      spread,
      takes: () => true,
      governs: true,
    },
  ]
}

/** What the vehicle may carry in all while it drives, when both its masses are known. */
export function payloadLayer(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Link[] {
  const { grossKg, source } = plan.vehicle
  const kerb = kerbOf(plan.vehicle)
  if (grossKg === undefined || kerb === undefined || arrangement.racks.length === 0) return []
  const whole: Sharing = () => [{ unit: 0, fraction: 1 }]
  const states: readonly State[] = ['road', 'trail']
  const ratings = states.map((state): Rating => ({
    id: `payload-${state}`,
    state,
    // Gross at or below kerb leaves nothing: a figure of 0, and whatever counts is over it.
    kg: Math.max(0, grossKg - kerb),
    per: 'set',
    counts: 'everything',
    source: source ?? { kind: 'manual', text: 'gross less kerb mass' },
  }))
  return [
    {
      id: 'payload',
      group: 'vehicle',
      role: 'payload',
      name: 'Payload',
      detail: 'gross less kerb mass',
      rackIds: arrangement.racks.map((rack) => rack.rack.id),
      owner: undefined,
      names: ['payload'],
      rated: { by: 'own', ratings },
      ratings,
      units: ['vehicle'],
      states,
      usualCounting: 'everything',
      load: members(
        masses.filter((mass) => !isPart(mass)),
        whole,
      ),
      own: members(masses.filter(isPart), whole),
      spread: whole,
      takes: () => true,
      governs: false,
    },
  ]
}
