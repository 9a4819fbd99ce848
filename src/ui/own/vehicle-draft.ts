import type { Attachment, AttachmentKind, Body, Vehicle } from '@/core/plan/vehicle'
import { loadsRoof, vehicleSchema } from '@/core/plan/vehicle'
import { fieldMessages } from '@/core/plan/messages'
import { startingSizes } from '@/core/survey/body/starting-vehicle'
import { SILHOUETTES } from '@/core/survey/body/silhouettes'
import { formatPrecise } from '@/core/units/format'
import type { UnitSystem } from '@/core/units/dimension'
import { DraftReader, figuresDraft, NO_FIGURES, type FiguresDraft, type Read } from './draft-reader'

export const ATTACHMENT_CHOICES: readonly (readonly [AttachmentKind, string])[] = [
  ['raisedRail', 'Raised rails, air under them'],
  ['flushRail', 'Flush rails, no air under them'],
  ['roofChannel', 'Roof channels'],
  ['gutter', 'Rain gutters'],
  ['fixedPoint', 'Fixed points under caps'],
  ['hookPoint', 'Hook points under a glass edge'],
  ['bareRoof', 'Bare roof: feet clamp the door frames'],
  ['drilledTop', 'Drilled mounts through a hard top'],
  ['framePoint', 'Body or frame points, for a frame rack'],
  ['bedRail', 'Bed rails, top of the bed side'],
  ['bedChannel', 'Bed channels'],
  ['bedSocket', 'Bed sockets with latches'],
  ['hatchSeam', 'Hatch seam, for a ladder'],
]

/** One thing that holds a rack, as typed. Fields a kind does not ask for are left as they are. */
export interface AttachmentDraft {
  id: string
  kind: AttachmentKind
  name: string
  from: string
  to: string
  gauge: string
  rise: string
  top: string
  points: string
  notches: string
  ratedBy: 'roof' | 'own'
  figures: FiguresDraft
}

export interface VehicleDraft {
  name: string
  body: Body
  length: string
  width: string
  height: string
  wheelbase: string
  frontOverhang: string
  noseToScreen: string
  wheelRadius: string
  roofTo: string
  roofFront: string
  roofRear: string
  crown: string
  kerb: string
  gross: string
  figures: FiguresDraft
  attachments: AttachmentDraft[]
}

export const hasRange = (kind: AttachmentKind) =>
  kind === 'raisedRail' ||
  kind === 'flushRail' ||
  kind === 'roofChannel' ||
  kind === 'gutter' ||
  kind === 'bedRail' ||
  kind === 'bedChannel'
export const hasTop = (kind: AttachmentKind) =>
  kind === 'bedRail' || kind === 'bedChannel' || kind === 'bedSocket'
export const hasPoints = (kind: AttachmentKind) => !hasRange(kind) && kind !== 'hatchSeam'

const WORD = new Map(ATTACHMENT_CHOICES.map(([kind, words]) => [kind, words.split(/[,:]/)[0] ?? words]))

/** An attachment of a kind with starting values from the vehicle's body; figures stay empty. */
export function startingAttachment(
  kind: AttachmentKind,
  body: Body,
  id: string,
  system: UnitSystem,
): AttachmentDraft {
  const { roof, widthMm } = startingSizes(body)
  const { bed } = SILHOUETTES[body]
  const show = (mm: number) => formatPrecise('length', mm, system)
  const offRoof = !loadsRoof(kind)
  const inBed = hasTop(kind)
  const from = inBed && bed ? bed.fromXMm + 40 : roof.fromXMm + 180
  const to = inBed && bed ? bed.toXMm - 40 : roof.toXMm - 80
  const half = inBed
    ? widthMm / 2 - 160
    : kind === 'framePoint'
      ? widthMm / 2 - 60
      : roof.halfWidthFrontMm - 30
  return {
    id,
    kind,
    name: WORD.get(kind) ?? 'Attachment',
    from: show(from),
    to: show(to),
    gauge: show(Math.round(half * 2)),
    rise: show(45),
    top: show(bed?.topZMm ?? 1100),
    points: `${show(from + 100)}; ${show(Math.min(from + 900, to))}`,
    notches: '',
    ratedBy: offRoof ? 'own' : 'roof',
    figures: NO_FIGURES,
  }
}

/** The form as it starts for a body type: class averages to be replaced by what is measured. */
export function startingVehicleDraft(body: Body, system: UnitSystem): VehicleDraft {
  const sizes = startingSizes(body)
  const show = (mm: number) => formatPrecise('length', mm, system)
  return {
    name: '',
    body,
    length: show(sizes.lengthMm),
    width: show(sizes.widthMm),
    height: show(sizes.heightMm),
    wheelbase: show(sizes.wheelbaseMm),
    frontOverhang: show(sizes.frontOverhangMm),
    noseToScreen: show(sizes.noseToScreenMm),
    wheelRadius: show(sizes.wheelRadiusMm),
    roofTo: show(sizes.roof.toXMm),
    roofFront: show(sizes.roof.halfWidthFrontMm * 2),
    roofRear: show(sizes.roof.halfWidthRearMm * 2),
    crown: show(sizes.roof.crownMm),
    kerb: '',
    gross: '',
    figures: NO_FIGURES,
    attachments: [startingAttachment('raisedRail', body, 'attachment-1', system)],
  }
}

function attachmentToDraft(attachment: Attachment, body: Body, system: UnitSystem): AttachmentDraft {
  const { typed } = attachment
  const show = (mm: number, field?: string) =>
    (field === undefined ? undefined : typed?.[field]) ?? formatPrecise('length', mm, system)
  const kg = (value: number) => formatPrecise('mass', value, system)
  const draft = startingAttachment(attachment.kind, body, attachment.id, system)
  const ranges = 'ranges' in attachment ? attachment.ranges : []
  const points =
    'points' in attachment ? attachment.points : 'doorPositions' in attachment ? attachment.doorPositions : []
  const own = 'rated' in attachment ? attachment.rated : { by: 'own' as const, ratings: attachment.ratings }
  return {
    ...draft,
    name: attachment.name,
    ...(ranges.length > 0 && 'gaugeMm' in attachment
      ? {
          from: show(Math.min(...ranges.map((range) => range.fromMm)), 'from'),
          to: show(Math.max(...ranges.map((range) => range.toMm)), 'to'),
          gauge: show(attachment.gaugeMm, 'gauge'),
          notches: (attachment.notchesXMm ?? []).map((mm) => show(mm)).join('; '),
        }
      : {}),
    ...(points.length > 0
      ? {
          points: typed?.['points'] ?? points.map((point) => show(point.xMm)).join('; '),
          gauge: show((points[0]?.yMm ?? 0) * 2, 'gauge'),
        }
      : {}),
    ...('riseMm' in attachment ? { rise: show(attachment.riseMm, 'rise') } : {}),
    ...('topZMm' in attachment ? { top: show(attachment.topZMm, 'top') } : {}),
    ...(attachment.kind === 'hatchSeam' ? { from: show(attachment.xMm, 'from') } : {}),
    ratedBy: own.by === 'with' ? 'roof' : 'own',
    figures: own.by === 'own' ? figuresDraft(own.ratings, kg) : NO_FIGURES,
  }
}

/** A vehicle as texts for the form. */
export function vehicleToDraft(vehicle: Vehicle, system: UnitSystem): VehicleDraft {
  const show = (field: string, mm: number) => vehicle.typed?.[field] ?? formatPrecise('length', mm, system)
  const kg = (value: number) => formatPrecise('mass', value, system)
  return {
    name: vehicle.name,
    body: vehicle.body,
    length: show('length', vehicle.lengthMm),
    width: show('width', vehicle.widthMm),
    height: show('height', vehicle.heightMm),
    wheelbase: show('wheelbase', vehicle.wheelbaseMm),
    frontOverhang: show('frontOverhang', vehicle.frontOverhangMm),
    noseToScreen: show('noseToScreen', vehicle.noseToScreenMm),
    wheelRadius: show('wheelRadius', vehicle.wheelRadiusMm),
    roofTo: show('roofTo', vehicle.roof.toXMm),
    roofFront: show('roofFront', vehicle.roof.halfWidthFrontMm * 2),
    roofRear: show('roofRear', vehicle.roof.halfWidthRearMm * 2),
    crown: show('crown', vehicle.roof.crownMm),
    kerb: vehicle.kerbKg === undefined ? '' : (vehicle.typed?.['kerb'] ?? kg(vehicle.kerbKg)),
    gross: vehicle.grossKg === undefined ? '' : (vehicle.typed?.['gross'] ?? kg(vehicle.grossKg)),
    figures: figuresDraft(vehicle.roof.ratings, kg),
    attachments: vehicle.attachments.map((attachment) => attachmentToDraft(attachment, vehicle.body, system)),
  }
}

const ROOF_RATED = { by: 'with', what: 'the roof', source: { kind: 'manual' } } as const

const ATTACHMENT_FIELDS = ['from', 'to', 'gauge', 'rise', 'top', 'points'] as const

const ratingsOf = (attachment: Attachment) =>
  'rated' in attachment ? (attachment.rated.by === 'own' ? attachment.rated.ratings : []) : attachment.ratings

/** What an attachment was before the form, with the texts it was shown as. */
interface Before {
  readonly attachment: Attachment
  readonly draft: AttachmentDraft
}

function readAttachment(
  reader: DraftReader,
  draft: AttachmentDraft,
  at: string,
  body: Body,
  before: Before | undefined,
): Attachment {
  const attachment = readAttachmentKind(reader, draft, at, body, before)
  const typed = reader.typedFor(
    Object.fromEntries(ATTACHMENT_FIELDS.map((field) => [field, `${at}.${field}`] as const)),
  )
  return { ...attachment, typed }
}

function readAttachmentKind(
  reader: DraftReader,
  draft: AttachmentDraft,
  at: string,
  body: Body,
  before: Before | undefined,
): Attachment {
  const { kind } = draft
  const was = before?.attachment
  const untouched = (...fields: (keyof AttachmentDraft)[]) =>
    before !== undefined && fields.every((field) => draft[field] === before.draft[field])
  const { roof, widthMm } = startingSizes(body)
  const name = reader.words(`${at}.name`, draft.name, WORD.get(kind) ?? kind, 'it a name')
  const ratings = reader.figures(
    `${at}.figures`,
    draft.figures,
    draft.id,
    loadsRoof(kind) ? 'manual' : 'sheet',
    was ? ratingsOf(was) : [],
  )
  const common = { id: draft.id, name }
  const withRoof = was && 'rated' in was && was.rated.by === 'with' ? was.rated : ROOF_RATED
  const rated = draft.ratedBy === 'roof' ? withRoof : ({ by: 'own', ratings } as const)
  if (kind === 'hatchSeam') {
    const gap = was?.kind === 'hatchSeam' && was.seamGapMm !== undefined ? { seamGapMm: was.seamGapMm } : {}
    return { ...common, kind, ratings, xMm: reader.position(`${at}.from`, draft.from, roof.toXMm), ...gap }
  }
  const gaugeMm = reader.span(`${at}.gauge`, draft.gauge, widthMm * 0.6)
  if (hasRange(kind)) {
    const fromMm = reader.position(`${at}.from`, draft.from, roof.fromXMm)
    const toMm = reader.position(`${at}.to`, draft.to, roof.toXMm)
    if (toMm <= fromMm) reader.fail(`${at}.to`, 'It must end behind where it begins.')
    const notches = draft.notches.trim() === '' ? [] : reader.positions(`${at}.notches`, draft.notches, [])
    const posts = was && 'posts' in was && was.posts ? { posts: was.posts } : {}
    const ranges =
      was && 'ranges' in was && untouched('from', 'to')
        ? was.ranges
        : [{ fromMm, toMm: Math.max(toMm, fromMm) }]
    const along = { gaugeMm, ranges, ...posts, ...(notches.length > 0 ? { notchesXMm: notches } : {}) }
    switch (kind) {
      case 'raisedRail':
        return { ...common, kind, rated, ...along, riseMm: reader.size(`${at}.rise`, draft.rise, 45) }
      case 'bedRail':
      case 'bedChannel':
        return { ...common, kind, ratings, ...along, topZMm: reader.span(`${at}.top`, draft.top, 1100) }
      case 'flushRail':
      case 'roofChannel':
      case 'gutter':
        return { ...common, kind, rated, ...along }
      default:
    }
  }
  const typedPoints = reader
    .positions(`${at}.points`, draft.points, [roof.fromXMm + 250, roof.fromXMm + 1050])
    .map((xMm) => ({ xMm, yMm: gaugeMm / 2 }))
  const points = (was && untouched('points', 'gauge') ? pointsOf(was) : undefined) ?? typedPoints
  switch (kind) {
    case 'bareRoof':
      return { ...common, kind, rated, doorPositions: points }
    case 'drilledTop':
      return {
        ...common,
        kind,
        rated,
        points,
        reinforced: was?.kind === 'drilledTop' ? was.reinforced : true,
      }
    case 'framePoint':
      return { ...common, kind, ratings, points }
    case 'bedSocket':
      return { ...common, kind, ratings, points, topZMm: reader.span(`${at}.top`, draft.top, 1100) }
    case 'hookPoint':
      return { ...common, kind, rated, points }
    default:
      return { ...common, kind: 'fixedPoint', rated, points }
  }
}

function pointsOf(attachment: Attachment) {
  if ('points' in attachment) return attachment.points
  return 'doorPositions' in attachment ? attachment.doorPositions : undefined
}

/**
 * A vehicle from the form's texts. Fields that cannot be read keep the body's starting value, so that the drawing
 * stays, and are named with what is wrong. What the form does not ask for is kept from the vehicle it began with.
 */
export function readVehicle(
  draft: VehicleDraft,
  system: UnitSystem,
  id: string,
  was?: Vehicle,
): Read<Vehicle> {
  const reader = new DraftReader(system)
  const start = startingSizes(draft.body)
  const kerbKg = reader.optional('kerb', 'mass', draft.kerb)
  const grossKg = reader.optional('gross', 'mass', draft.gross)
  if (kerbKg !== undefined && grossKg !== undefined && grossKg <= kerbKg)
    reader.fail('gross', 'Gross mass must be more than kerb mass.')
  const beforeOf = ({ id: attachmentId, kind }: AttachmentDraft): Before | undefined => {
    const attachment = was?.attachments.find((each) => each.id === attachmentId && each.kind === kind)
    return attachment && { attachment, draft: attachmentToDraft(attachment, draft.body, system) }
  }
  const { kerbKg: _kerb, grossKg: _gross, typed: _typed, ...kept } = was ?? {}
  const vehicle: Vehicle = {
    obstacles: [],
    ...kept,
    id,
    name: reader.words('name', draft.name, 'Own vehicle', 'the vehicle a name'),
    body: draft.body,
    lengthMm: reader.span('length', draft.length, start.lengthMm),
    widthMm: reader.span('width', draft.width, start.widthMm),
    heightMm: reader.span('height', draft.height, start.heightMm),
    wheelbaseMm: reader.span('wheelbase', draft.wheelbase, start.wheelbaseMm),
    frontOverhangMm: reader.size('frontOverhang', draft.frontOverhang, start.frontOverhangMm),
    noseToScreenMm: reader.size('noseToScreen', draft.noseToScreen, start.noseToScreenMm),
    wheelRadiusMm: reader.span('wheelRadius', draft.wheelRadius, start.wheelRadiusMm),
    ...(kerbKg === undefined ? {} : { kerbKg }),
    ...(grossKg === undefined ? {} : { grossKg }),
    roof: {
      fromXMm: was?.roof.fromXMm ?? start.roof.fromXMm,
      toXMm: reader.span('roofTo', draft.roofTo, start.roof.toXMm),
      halfWidthFrontMm: reader.span('roofFront', draft.roofFront, start.roof.halfWidthFrontMm * 2) / 2,
      halfWidthRearMm: reader.span('roofRear', draft.roofRear, start.roof.halfWidthRearMm * 2) / 2,
      crownMm: reader.size('crown', draft.crown, start.roof.crownMm),
      ratings: reader.figures('figures', draft.figures, `${id}-roof`, 'manual', was?.roof.ratings),
    },
    attachments: draft.attachments.map((attachment, i) =>
      readAttachment(reader, attachment, `attachments.${i}`, draft.body, beforeOf(attachment)),
    ),
  }
  if (vehicle.wheelbaseMm >= vehicle.lengthMm)
    reader.fail('wheelbase', 'The wheelbase must be shorter than the vehicle.')
  if (vehicle.noseToScreenMm >= vehicle.lengthMm)
    reader.fail('noseToScreen', 'The windscreen must be on the vehicle: this is longer than the whole of it.')
  if (Object.keys(reader.problems).length === 0) {
    const parsed = vehicleSchema.safeParse(vehicle)
    if (!parsed.success) reader.fail('name', fieldMessages(parsed.error)[0]?.text ?? 'This cannot be kept.')
  }
  const typed = reader.typedFor(Object.fromEntries(TYPED.map((field) => [field, field] as const)))
  return { value: { ...vehicle, typed }, problems: reader.problems }
}

const TYPED = [
  'length',
  'width',
  'height',
  'wheelbase',
  'frontOverhang',
  'noseToScreen',
  'wheelRadius',
  'roofTo',
  'roofFront',
  'roofRear',
  'crown',
  'kerb',
  'gross',
] as const
