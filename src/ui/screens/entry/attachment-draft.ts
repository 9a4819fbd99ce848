import {
  type Attachment,
  type AttachmentKind,
  ATTACHMENTS,
  BODIES,
  type Body,
  choicesOf,
  formatPrecise,
  loadsRoof,
  pointsOf,
  startingSizes,
  type UnitSystem,
} from '@/core'
import { figuresDraft, NO_FIGURES, type DraftReader, type FiguresDraft } from './draft-reader'

export const ATTACHMENT_CHOICES = choicesOf(ATTACHMENTS, ({ choice }) => choice)

/** One thing that holds a rack, as typed. Fields a kind does not ask for are left as they are. */
export interface AttachmentDraft {
  id: string
  kind: AttachmentKind
  name: string
  from: string
  to: string
  gauge: string
  rise: string
  shape: string
  top: string
  points: string
  notches: string
  ratedBy: 'roof' | 'own'
  figures: FiguresDraft
}

export const hasRange = (kind: AttachmentKind) => ATTACHMENTS[kind].feet === 'along'
export const hasTop = (kind: AttachmentKind) => 'topZMm' in ATTACHMENTS[kind].shape
export const hasPoints = (kind: AttachmentKind) =>
  ATTACHMENTS[kind].feet === 'points' || ATTACHMENTS[kind].feet === 'doors'

const WORD = new Map(ATTACHMENT_CHOICES.map(([kind, words]) => [kind, words.split(/[,:]/)[0] ?? words]))

/** An attachment of a kind with starting values from the vehicle's body; figures stay empty. */
export function startingAttachment(
  kind: AttachmentKind,
  body: Body,
  id: string,
  system: UnitSystem,
): AttachmentDraft {
  const { roof, widthMm } = startingSizes(body)
  const { bed } = BODIES[body]
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
    shape: '',
    top: show(bed?.topZMm ?? 1100),
    points: `${show(from + 100)}; ${show(Math.min(from + 900, to))}`,
    notches: '',
    ratedBy: offRoof ? 'own' : 'roof',
    figures: NO_FIGURES,
  }
}

/** An attachment as texts for the form. */
export function attachmentToDraft(attachment: Attachment, body: Body, system: UnitSystem): AttachmentDraft {
  const { typed } = attachment
  const show = (mm: number, field?: string) =>
    (field === undefined ? undefined : typed?.[field]) ?? formatPrecise('length', mm, system)
  const kg = (value: number) => formatPrecise('mass', value, system)
  const draft = startingAttachment(attachment.kind, body, attachment.id, system)
  const ranges = 'ranges' in attachment ? attachment.ranges : []
  const points = pointsOf(attachment)
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
    ...('riseMm' in attachment
      ? { rise: show(attachment.riseMm, 'rise'), shape: attachment.shape ?? '' }
      : {}),
    ...('topZMm' in attachment ? { top: show(attachment.topZMm, 'top') } : {}),
    ...(attachment.kind === 'hatchSeam' ? { from: show(attachment.xMm, 'from') } : {}),
    ratedBy: own.by === 'with' ? 'roof' : 'own',
    figures: own.by === 'own' ? figuresDraft(own.ratings, kg) : NO_FIGURES,
  }
}

const ROOF_RATED = { by: 'with', what: 'the roof', source: { kind: 'manual' } } as const

const ATTACHMENT_FIELDS = ['from', 'to', 'gauge', 'rise', 'top', 'points'] as const

const ratingsOf = (attachment: Attachment) =>
  'rated' in attachment ? (attachment.rated.by === 'own' ? attachment.rated.ratings : []) : attachment.ratings

/** What an attachment was before the form, with the texts it was shown as. */
export interface Before {
  readonly attachment: Attachment
  readonly draft: AttachmentDraft
}

/** An attachment from the form's texts; what the form does not ask for is kept from what it was. */
export function readAttachment(
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
        return {
          ...common,
          kind,
          rated,
          ...along,
          riseMm: reader.size(`${at}.rise`, draft.rise, 45),
          ...(draft.shape.trim() === '' ? {} : { shape: draft.shape.trim().slice(0, 120) }),
        }
      case 'bedRail':
        return { ...common, kind, ratings, ...along, topZMm: reader.span(`${at}.top`, draft.top, 1100) }
      case 'bedChannel':
        return {
          ...common,
          kind,
          ratings,
          ...along,
          topZMm: reader.span(`${at}.top`, draft.top, 1100),
          ...(was?.kind === kind && was.channel ? { channel: was.channel } : {}),
        }
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
  const points =
    was && untouched('points', 'gauge') && pointsOf(was).length > 0 ? [...pointsOf(was)] : typedPoints
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
        ...(was?.kind === 'drilledTop' && was.roofBears !== undefined ? { roofBears: was.roofBears } : {}),
      }
    case 'framePoint':
      return {
        ...common,
        kind,
        ratings,
        points,
        ...(was?.kind === 'framePoint' && was.seatZMm !== undefined ? { seatZMm: was.seatZMm } : {}),
      }
    case 'bedSocket':
      return { ...common, kind, ratings, points, topZMm: reader.span(`${at}.top`, draft.top, 1100) }
    case 'hookPoint':
      return { ...common, kind, rated, points }
    default:
      return { ...common, kind: 'fixedPoint', rated, points }
  }
}
