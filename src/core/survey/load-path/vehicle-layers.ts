import type { Arrangement, FootAt, RackAt } from '../frame/arrangement'
import { type Attachment, bearsOnRoof, kerbOf } from '../../plan/schema/vehicle'
import { ATTACHMENTS } from '../../kinds/attachment'
import type { Plan } from '../../plan/schema/plan'
import { inUse, type Rating } from '../../plan/schema/rating'
import { STATES, type State } from '../../units/scalars'
import type { Link } from './layer'
import type { MassPoint } from '../loads/mass-point'
import { byFoot, bySide, members, onRacks, SIDES, withFootless, type Sharing } from '../loads/spreading'

const isPart = (mass: MassPoint) => mass.of === 'part'
const isHolder = (mass: MassPoint) => mass.of === 'holder'
const isCargo = (mass: MassPoint) =>
  !isPart(mass) && !isHolder(mass) && mass.of !== 'occupant' && mass.of !== 'tail'

/** Whether one thing that holds racks stands on another, as a canopy does on the bed's sides. */
const standsOn = (above: Attachment, under: Attachment): boolean =>
  ATTACHMENTS[above.kind].weighsOn === under.kind

/** What holds the racks: rails, points, bed, frame, hatch, where they have figures of their own, and what those stand on. */
export function attachmentLayers(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Link[] {
  const { attachments } = plan.vehicle
  const holding = (attachment: Attachment) =>
    arrangement.racks.filter(({ attachments: stoodOn }) => stoodOn.includes(attachment))
  const above = (attachment: Attachment) => attachments.filter((each) => standsOn(each, attachment))
  // From the top down: what stands on something comes before it.
  const topDown = attachments.toSorted((a, b) => Number(standsOn(b, a)) - Number(standsOn(a, b)))
  const links = topDown.flatMap((attachment): Link[] => {
    // Where several of a kind are named, it stands on the first.
    const first = attachments.find(({ kind }) => kind === attachment.kind)
    const carried = first === attachment ? above(attachment) : []
    const racks = [...holding(attachment), ...carried.flatMap(holding)]
    return racks.length === 0 ? [] : [attachmentLayer(arrangement, attachment, racks, carried, masses)]
  })
  // What nobody has described is a link without a figure, never one that is not there.
  const hanging = attachments.filter(
    (each) =>
      ATTACHMENTS[each.kind].weighsOn !== undefined &&
      holding(each).length > 0 &&
      !attachments.some((under) => standsOn(each, under)),
  )
  return [
    ...links,
    ...hanging.map((each): Link => ({
      ...attachmentLayer(arrangement, each, holding(each), [each], masses),
      id: `under:${each.id}`,
      name: `What ${each.name} stands on`,
      detail: 'not described',
      owner: undefined,
      names: [],
      rated: { by: 'own', ratings: [] },
      ratings: [],
    })),
  ]
}

function attachmentLayer(
  arrangement: Arrangement,
  attachment: Attachment,
  racks: readonly RackAt[],
  carried: readonly Attachment[],
  masses: readonly MassPoint[],
): Link {
  const { word, alsoCalled, sharedBy } = ATTACHMENTS[attachment.kind]
  const rated = 'rated' in attachment ? attachment.rated : { by: 'own' as const, ratings: attachment.ratings }
  const here = new Set([attachment, ...carried])
  const feet = racks.flatMap((rack) => rack.feet).filter((foot) => standsOnOne(arrangement, foot, here))
  const indices = new Set(racks.map((rack) => rack.index))
  const pointwise = sharedBy === 'foot'
  const footless = new Set(racks.filter((rack) => rack.feet.length === 0).map((rack) => rack.index))
  const units = feet.length === 0 ? ['set'] : pointwise ? feet.map((foot) => foot.corner) : [...SIDES]
  const spread =
    feet.length === 0
      ? onRacks(indices)
      : withFootless(pointwise ? byFoot(feet) : bySide(feet), footless, units.length)
  const onThese = (mass: MassPoint) => mass.racks.some(([rack]) => indices.has(rack))
  const ids = new Set(carried.map(({ id }) => id))
  const holders = masses.filter((mass) => mass.of === 'holder' && ids.has(mass.attachmentId))
  const alike = units.map((_, unit) => ({ unit, fraction: 1 / units.length }))
  return {
    id: `attachment:${attachment.id}`,
    group: 'vehicle',
    role: 'attachment',
    name: attachment.name,
    detail: word,
    rackIds: racks.map((rack) => rack.rack.id),
    owner: { of: 'attachment', id: attachment.id },
    names: [attachment.name, word, ...alsoCalled],
    rated,
    ratings: rated.by === 'own' ? inUse(rated.ratings) : [],
    units,
    states: STATES,
    usualCounting: 'everything',
    load: [
      ...members(
        masses.filter((mass) => isCargo(mass) && onThese(mass)),
        spread,
      ),
      ...members(holders, () => alike),
    ],
    own: members(
      masses.filter((mass) => isPart(mass) && onThese(mass)),
      spread,
    ),
    spread,
    takes: () => true,
    governs: true,
  }
}

/** Whether a foot's bar stands on one of these. */
function standsOnOne({ bars }: Arrangement, foot: FootAt, these: ReadonlySet<Attachment>): boolean {
  const own = bars[foot.barIndex]?.attachment
  return own !== undefined && these.has(own)
}

/** What comes down on the roof: whole racks, or of those that stand on something else too what their feet on it bear. */
function onRoof({ racks, bars }: Arrangement): Sharing {
  const loading = racks.filter((rack) => rack.onRoof)
  const whole = onRacks(new Set(loading.map((rack) => rack.index)))
  const partly = loading.filter((rack) => !rack.attachments.every(bearsOnRoof))
  if (partly.length === 0) return whole
  const wholly = onRacks(new Set(loading.filter((rack) => !partly.includes(rack)).map((rack) => rack.index)))
  const feet = new Set(
    partly
      .flatMap((rack) => rack.feet)
      .filter((foot) => bars[foot.barIndex]?.onRoof)
      .map((foot) => foot.index),
  )
  return (mass) => {
    const fraction = mass.feet.reduce((sum, [foot, share]) => (feet.has(foot) ? sum + share : sum), 0)
    return [...wholly(mass), { unit: 0, fraction }]
  }
}

/** The roof, when any rack loads it. */
export function roofLayer(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]): Link[] {
  const racks = arrangement.racks.filter((rack) => rack.onRoof)
  if (racks.length === 0) return []
  const spread = onRoof(arrangement)
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
      ratings: inUse(plan.vehicle.roof.ratings),
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
        masses.filter((mass) => !isPart(mass) && !isHolder(mass)),
        whole,
      ),
      own: members(
        masses.filter((mass) => isPart(mass) || isHolder(mass)),
        whole,
      ),
      spread: whole,
      takes: () => true,
      governs: false,
    },
  ]
}
