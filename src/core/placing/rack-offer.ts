import { ATTACHMENTS, type AttachmentKind } from '../kinds/attachment'
import { newPlan } from '../plan/starting/new-plan'
import type { Plan } from '../plan/schema/plan'
import { barsOf, type Rack } from '../plan/schema/rack'
import { pointsOf, type Attachment, type Vehicle } from '../plan/schema/vehicle'
import type { Finding } from '../review/finding'
import { foldedTogether } from '../review/folded'
import { assess } from '../review/assess'
import { leftIn, type Left } from '../survey/load-path/left'
import { whyUnknown } from '../survey/load-path/load-path'
import { type State, STATES } from '../units/scalars'
import type { Phrase } from '../units/phrase'

/** How a rack from stock would stand on a vehicle, with nothing on it yet. */
export type RackSuits =
  | { readonly kind: 'suits' }
  /** It stands, and so much is still to be found out. */
  | { readonly kind: 'asks'; readonly count: number; readonly first: Phrase }
  | { readonly kind: 'cannot'; readonly why: Phrase }

export interface RackOffer {
  readonly stockId: string
  readonly name: string
  /** The rack as it would be put on, with ids of its own; nothing where there is nothing it could stand on. */
  readonly rack: Rack | undefined
  readonly suits: RackSuits
  /** The longest bar, mm. */
  readonly barMm: number | undefined
  /** The rack itself. kg. */
  readonly ownKg: number | undefined
  /** What the link with the least still takes in each state, kg; nothing where one of them has no figure. */
  readonly left: Readonly<Record<State, Left | undefined>>
}

const none: RackOffer['left'] = { road: undefined, trail: undefined, parked: undefined }

/** Along the vehicle, where an attachment lets a bar stand: from the foremost to the rearmost. mm. */
function reach(attachment: Attachment): readonly [number, number] | undefined {
  const xs =
    'ranges' in attachment
      ? attachment.ranges.flatMap(({ fromMm, toMm }) => [fromMm, toMm])
      : pointsOf(attachment).map(({ xMm }) => xMm)
  return xs.length === 0 ? undefined : [Math.min(...xs), Math.max(...xs)]
}

/** The rack with ids of its own on this attachment; made for another vehicle, its bars go along to the middle of this one's reach. */
function standingOnVehicle(rack: Rack, attachment: Attachment, mark: string): Rack {
  const parts = rack.parts.map((part) => ({ ...part, id: `${part.id}-${mark}` }))
  const own = { id: `${rack.id}-${mark}`, attachmentId: attachment.id, parts }
  if (rack.kind === 'ladder') return { ...rack, ...own }
  const room = rack.attachmentId === attachment.id ? undefined : reach(attachment)
  const xs = rack.bars.map(({ xMm }) => xMm)
  const shift = room ? Math.round((room[0] + room[1]) / 2 - (Math.min(...xs) + Math.max(...xs)) / 2) : 0
  return {
    ...rack,
    ...own,
    bars: rack.bars.map((bar) => ({ ...bar, id: `${bar.id}-${mark}`, xMm: bar.xMm + shift })),
  }
}

const rowsOf = (findings: readonly Finding[], severity: Finding['severity']) =>
  foldedTogether(findings.filter((finding) => finding.severity === severity && !finding.aside))

/**
 * Whether a rack from stock suits a vehicle: it is stood there alone and judged by every check. `madeFor` is the kind
 * of attachment it was made for, where stock knows it. `mark` makes its ids its own.
 */
export function rackOffer(
  plan: Plan,
  rack: Rack,
  madeFor: AttachmentKind | undefined,
  mark: string,
): RackOffer {
  const { attachments, name } = plan.vehicle
  const about = { stockId: rack.id, name: rack.name }
  const attachment =
    attachments.find(({ id }) => id === rack.attachmentId) ??
    attachments.find(({ kind }) => kind === madeFor) ??
    (madeFor === undefined
      ? attachments.find(({ kind }) => (ATTACHMENTS[kind].racks as readonly string[]).includes(rack.kind))
      : undefined)
  const bars = barsOf(rack)
  const barMm = bars.length === 0 ? undefined : Math.max(...bars.map(({ lengthMm }) => lengthMm))
  if (!attachment) {
    const wants = madeFor === undefined ? 'what it stands on' : ATTACHMENTS[madeFor].word.toLowerCase()
    const why = [`${name} has no such attachment: ${wants}.`]
    return {
      ...about,
      rack: undefined,
      suits: { kind: 'cannot', why },
      barMm,
      ownKg: undefined,
      left: none,
    }
  }
  const stood = standingOnVehicle(rack, attachment, mark)
  const { survey, review } = assess({
    ...newPlan({ id: plan.id, job: plan.job, vehicle: plan.vehicle, racks: [stood] }),
    rules: plan.rules,
  })
  // Where one link has no figure, what the others still take is no answer: it is asked, though nothing stands on it yet.
  const unknown = survey.allowances.flatMap((allowance) => (allowance.kind === 'unknown' ? [allowance] : []))
  const [stop] = rowsOf(review.findings, 'stop')
  const asks = rowsOf(review.findings, 'findOut')
  const [ask] = asks
  return {
    ...about,
    rack: stood,
    suits: stop
      ? { kind: 'cannot', why: stop.finding.sentence }
      : ask
        ? { kind: 'asks', count: asks.length, first: ask.finding.sentence }
        : unknown[0]
          ? {
              kind: 'asks',
              count: new Set(unknown.map(whyUnknown)).size,
              first: ['It has ', `${whyUnknown(unknown[0])}.`],
            }
          : { kind: 'suits' },
    barMm,
    ownKg: survey.masses.reduce((sum, mass) => (mass.of === 'part' ? sum + mass.kg : sum), 0),
    left: Object.fromEntries(STATES.map((state) => [state, leftIn(survey, state)])) as RackOffer['left'],
  }
}

/** Of racks that cannot stand on a vehicle, the one that comes nearest: first what has something to stand on there. */
export const nearestOffer = (
  offers: readonly RackOffer[],
): { readonly name: string; readonly why: Phrase } | undefined => {
  const cannot = offers.flatMap(({ suits, name, rack }) =>
    suits.kind === 'cannot' ? [{ name, why: suits.why, stands: rack !== undefined }] : [],
  )
  return cannot.find(({ stands }) => stands) ?? cannot[0]
}

/** Racks of stock that were entered for another vehicle, on a kind of attachment that this one has too. */
export function racksForLike(
  { attachments }: Vehicle,
  racks: readonly Rack[],
  vehicles: readonly Vehicle[],
): readonly Rack[] {
  const all = vehicles.flatMap((vehicle) => vehicle.attachments)
  return racks.filter(({ attachmentId }) => {
    const on = all.find(({ id }) => id === attachmentId)
    return (
      on !== undefined &&
      attachments.every(({ id }) => id !== attachmentId) &&
      attachments.some(({ kind }) => kind === on.kind)
    )
  })
}
