import { hasNotches, isSeam } from '../../plan/schema/attachment-traits'
import { pointsOf, type Attachment, type Vehicle } from '../../plan/schema/vehicle'
import { type RackKind, RACK_KINDS } from '../../kinds/rack-kind'
import { ATTACHMENTS } from '../../kinds/attachment'
import type { PartRole } from '../../kinds/part-role'
import type { ProvenanceByField } from '../../plan/schema/provenance'
import type { Bar, Part, Profile, Rack } from '../../plan/schema/rack'
import { nearest } from '../../geometry/intervals'
import { seatsOf } from '../bars/seat-windows'
import { startingMarks } from './body/starting-attachment'

/** The kinds of rack that stand on a kind of attachment. */
export const rackKindsFor = ({ kind }: Attachment): readonly RackKind[] => ATTACHMENTS[kind].racks

/** Where bars may first be put on an attachment: at its points, or a quarter in from either end of its range, or as near to that as their feet may stand. mm. */
function startingXs(attachment: Attachment): number[] {
  if ('ranges' in attachment) {
    const from = Math.min(...attachment.ranges.map((range) => range.fromMm))
    const to = Math.max(...attachment.ranges.map((range) => range.toMm))
    const near = (share: number, end: 'front' | 'rear') => {
      const wanted = Math.round(from + (to - from) * share)
      return nearest(seatsOf(attachment, () => end).within ?? [], wanted) ?? wanted
    }
    if (!hasNotches(attachment)) return [near(0.22, 'front'), near(0.78, 'rear')]
    return [near(0, 'front'), near(1, 'rear')]
  }
  const points = pointsOf(attachment)
  const xs = [...new Set(points.map((point) => point.xMm))].sort((a, b) => a - b)
  return xs.length > 0 ? xs : [300, 1000]
}

/** Bars are sold in pairs: where there are more places than two, the outermost. A deck stands on all of them. */
const isFewer = ({ kind: on }: Attachment, kind: RackKind): boolean =>
  kind === 'bars' || ATTACHMENTS[on].latchesBars === true
const ends = (xs: readonly number[]): number[] => [...new Set([...xs.slice(0, 1), ...xs.slice(-1)])]

/** From one side's foot to the other's on an attachment, mm. */
function startingFeet(attachment: Attachment, vehicle: Vehicle): number {
  if ('gaugeMm' in attachment) return attachment.gaugeMm
  const points = pointsOf(attachment)
  const [first] = points
  return first ? first.yMm * 2 : vehicle.roof.halfWidthFrontMm * 1.8
}

const part = (id: string, role: PartRole, name: string, count: number, eachKg: number): Part => ({
  id,
  role,
  name,
  count,
  eachKg,
  rated: { by: 'own', ratings: [] },
  known: { eachKg: { by: 'start' } },
})

function startingParts(id: string, kind: RackKind, feet: number, isLatched: boolean): Part[] {
  switch (kind) {
    case 'bars':
      return [
        part(`${id}-bars`, 'bars', 'Bars', feet / 2, 2.5),
        part(`${id}-feet`, 'feet', 'Feet', feet, 0.9),
      ]
    case 'platform':
      return [part(`${id}-deck`, 'deck', 'Platform', 1, 30), part(`${id}-feet`, 'feet', 'Feet', feet, 1.2)]
    case 'bed':
      return [
        part(`${id}-bars`, 'bars', 'Bed bars', feet / 2, 4),
        // Bars that latch into sockets stand on nothing of their own.
        ...(isLatched ? [] : [part(`${id}-trusses`, 'trusses', 'Trusses', 2, 9)]),
        part(`${id}-feet`, 'feet', isLatched ? 'Latches' : 'Bed clamps', feet, 0.9),
      ]
    case 'frame':
      return [part(`${id}-bars`, 'bars', 'Hoops', feet / 2, 8), part(`${id}-legs`, 'legs', 'Legs', feet, 7)]
    case 'ladder':
      return [part(`${id}-ladder`, 'ladder', 'Ladder', 1, 7)]
  }
}

/** Filled in so that there is a drawing: whoever enters the rack types over it, or confirms it. */
const marked = <T extends object>(thing: T): T & { readonly known: ProvenanceByField } => ({
  ...thing,
  known: startingMarks(thing),
})

const PROFILE: Profile = { kind: 'aero', widthMm: 80, heightMm: 28 }
const HEAVY: Profile = { kind: 'flat', widthMm: 60, heightMm: 35 }

/** Room under the bar that such a rack usually has: mm over the roof, or over the bed's rail. */
const USUAL_RISE_MM: Readonly<Record<Exclude<RackKind, 'ladder'>, number>> = {
  bars: 65,
  platform: 70,
  bed: 650,
  frame: 90,
}

/** What a bar usually offers of the width between its outermost feet, mm. Common practice, no source. */
export const usableBetween = (feetMm: number): number => feetMm - 80

/** A rack of a kind on one of a vehicle's attachments, its bars where they can stand. Figures start empty: they are never guessed. */
export function startingRack(vehicle: Vehicle, attachment: Attachment, kind: RackKind, id: string): Rack {
  const isLatched = ATTACHMENTS[attachment.kind].latchesBars === true
  const places = startingXs(attachment)
  const xs = isFewer(attachment, kind) ? ends(places) : places
  const feet = Math.round(startingFeet(attachment, vehicle))
  const common = {
    id,
    name: RACK_KINDS[kind].name,
    attachmentId: attachment.id,
    parts: startingParts(id, kind, xs.length * 2, isLatched),
  }
  if (kind === 'ladder') {
    const x = isSeam(attachment) ? attachment.xMm : vehicle.roof.toXMm
    return marked({
      ...common,
      kind,
      when: 'parked',
      topZMm: vehicle.heightMm - 30,
      bottomZMm: Math.round(vehicle.heightMm * 0.4),
      xMm: x + 450,
      yMm: -350,
      widthMm: 320,
    })
  }
  const profile = kind === 'bars' ? PROFILE : HEAVY
  const lengthMm = feet + 200
  const bars = xs.map((xMm, i): Bar =>
    marked({
      id: `${id}-bar-${i + 1}`,
      name: barName(i, xs.length),
      xMm,
      lengthMm,
      usableMm: usableBetween(feet),
      riseMm: isLatched ? USUAL_RISE_MM.bars : USUAL_RISE_MM[kind],
      profile,
      feetYMm: [-feet / 2, feet / 2],
    }),
  )
  const deck = {
    xMm: ((xs[0] ?? 0) + (xs.at(-1) ?? 0)) / 2,
    yMm: 0,
    lengthMm: (xs.at(-1) ?? 0) - (xs[0] ?? 0) + 400,
    widthMm: lengthMm,
    heightMm: 45,
  }
  switch (kind) {
    case 'bars':
      return { ...common, kind, bars }
    case 'platform':
      return {
        ...common,
        kind,
        bars: bars.length > 1 ? bars : twoBars(bars),
        deck,
        known: startingMarks({ deck }),
      }
    case 'frame':
      return { ...common, kind, bars: bars.length > 1 ? bars : twoBars(bars) }
    case 'bed':
      return marked({
        ...common,
        kind,
        bars,
        sideHeightMm: isLatched ? 0 : 400,
      })
  }
}

/** What a bar is called by where it stands: no two alike. */
const barName = (i: number, of: number): string =>
  i === 0 ? 'Front bar' : i === of - 1 ? 'Rear bar' : of === 3 ? 'Middle bar' : `Bar ${i + 1}`

/** A deck wants two bars at least: the second stands a usual spread behind the first. */
function twoBars([bar]: readonly Bar[]): Bar[] {
  return bar ? [bar, { ...bar, id: `${bar.id}-b`, name: 'Rear bar', xMm: bar.xMm + 800 }] : []
}
