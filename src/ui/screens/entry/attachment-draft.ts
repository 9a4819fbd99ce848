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
  /** What its kind asks besides, by the key of each. */
  more: Record<string, string>
  points: string
  notches: string
  ratedBy: 'roof' | 'own'
  figures: FiguresDraft
}

const WORD = new Map(ATTACHMENT_CHOICES.map(([kind, words]) => [kind, words.split(/[,:]/)[0] ?? words]))

/** Where a bed's side usually ends, where the body says nothing of a bed. mm over the ground. Common practice, no source. */
const USUAL_BED_TOP_MM = 1100

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
  const { on, asks } = ATTACHMENTS[kind]
  const inBed = on === 'bed' || on === 'canopy'
  const from = inBed && bed ? bed.fromXMm + 40 : roof.fromXMm + 180
  const to = inBed && bed ? bed.toXMm - 40 : roof.toXMm - 80
  const half = inBed ? widthMm / 2 - 160 : on === 'frame' ? widthMm / 2 - 60 : roof.halfWidthFrontMm - 30
  return {
    id,
    kind,
    name: WORD.get(kind) ?? 'Attachment',
    from: show(from),
    to: show(to),
    gauge: show(Math.round(half * 2)),
    more: Object.fromEntries(
      asks.map(({ key, startMm, overBed }) => [
        key,
        startMm === undefined ? '' : show(startMm + (overBed ? (bed?.topZMm ?? USUAL_BED_TOP_MM) : 0)),
      ]),
    ),
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
    more: Object.fromEntries(
      ATTACHMENTS[attachment.kind].asks.map(({ field, key, is }) => {
        const value: unknown = (attachment as Readonly<Record<string, unknown>>)[field]
        if (typeof value !== 'number') return [key, typeof value === 'string' ? value : '']
        return [key, typed?.[key] ?? formatPrecise(is === 'mass' ? 'mass' : 'length', value, system)]
      }),
    ),
    ...(attachment.kind === 'hatchSeam' ? { from: show(attachment.xMm, 'from') } : {}),
    ratedBy: own.by === 'with' ? 'roof' : 'own',
    figures: own.by === 'own' ? figuresDraft(own.ratings, kg) : NO_FIGURES,
  }
}

const ROOF_RATED = { by: 'with', what: 'the roof', source: { kind: 'manual' } } as const

const ATTACHMENT_FIELDS = ['from', 'to', 'gauge', 'points'] as const

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
    Object.fromEntries([
      ...ATTACHMENT_FIELDS.map((field) => [field, `${at}.${field}`] as const),
      ...ATTACHMENTS[draft.kind].asks
        .filter(({ is }) => is !== 'text')
        .map(({ key }) => [key, `${at}.more.${key}`] as const),
    ]),
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
  const { on, feet, asks, starts } = ATTACHMENTS[kind]
  const field = (name: keyof AttachmentDraft) => `${at}.${name}`
  const gaugeMm = () => reader.span(field('gauge'), draft.gauge, widthMm * 0.6)
  const where = () => {
    switch (feet) {
      case 'seam':
        return { xMm: reader.position(field('from'), draft.from, roof.toXMm) }
      case 'along': {
        const fromMm = reader.position(field('from'), draft.from, roof.fromXMm)
        const toMm = reader.position(field('to'), draft.to, roof.toXMm)
        if (toMm <= fromMm) reader.fail(field('to'), 'It must end behind where it begins.')
        const notches =
          draft.notches.trim() === '' ? [] : reader.positions(field('notches'), draft.notches, [])
        return {
          gaugeMm: gaugeMm(),
          ranges:
            was && 'ranges' in was && untouched('from', 'to')
              ? was.ranges
              : [{ fromMm, toMm: Math.max(toMm, fromMm) }],
          notchesXMm: notches.length > 0 ? notches : undefined,
        }
      }
      case 'points':
      case 'doors': {
        const yMm = gaugeMm() / 2
        const typedPoints = reader
          .positions(field('points'), draft.points, [roof.fromXMm + 250, roof.fromXMm + 1050])
          .map((xMm) => ({ xMm, yMm }))
        const same = was && untouched('points', 'gauge') ? [...pointsOf(was)] : []
        const points = same.length > 0 ? same : typedPoints
        return feet === 'doors' ? { doorPositions: points } : { points }
      }
    }
  }
  const asked = Object.fromEntries(
    asks.map(({ field: name, key, is, startMm }): [string, unknown] => {
      const [path, text] = [`${at}.more.${key}`, draft.more[key] ?? '']
      switch (is) {
        case 'size':
          return [name, reader.size(path, text, startMm ?? 0)]
        case 'span':
          return [name, reader.span(path, text, startMm || USUAL_BED_TOP_MM)]
        case 'mass': {
          const kg = reader.optional(path, 'mass', text)
          if (kg === undefined || kg <= 0) reader.fail(path, 'Weigh it, or read it on its label: it counts.')
          return [name, kg ?? 0]
        }
        case 'text':
          return [name, text.trim() === '' ? undefined : text.trim().slice(0, 120)]
      }
    }),
  )
  // What the form does not ask for stays with a thing of the same kind.
  const kept = was?.kind === kind ? was : starts
  const made = {
    ...kept,
    ...common,
    kind,
    ...(on === 'roof' ? { rated } : { ratings }),
    ...where(),
    ...asked,
  }
  return Object.fromEntries(Object.entries(made).filter(([, value]) => value !== undefined)) as Attachment
}

/** A vehicle's draft from before its attachments kept what their kind asks under one field: nothing typed is lost. */
export function liftAttachments(kept: unknown): unknown {
  if (typeof kept !== 'object' || kept === null || !('attachments' in kept)) return kept
  const { attachments } = kept
  if (!Array.isArray(attachments)) return kept
  return {
    ...kept,
    attachments: attachments.map((each: unknown) => {
      if (typeof each !== 'object' || each === null || 'more' in each) return each
      const { rise, shape, top, ...rest } = each as Readonly<Record<string, unknown>>
      return { ...rest, more: { rise, shape, top } }
    }),
  }
}
