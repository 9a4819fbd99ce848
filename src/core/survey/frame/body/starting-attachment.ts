import { ATTACHMENTS, loadsRoof, type AttachmentKind } from '../../../kinds/attachment'
import { BODIES, type Body } from '../../../kinds/body'
import { OBSTACLES, type ObstacleKind } from '../../../kinds/obstacle'
import type { ProvenanceByField } from '../../../plan/schema/provenance'
import type { Attachment, Obstacle } from '../../../plan/schema/vehicle'
import { startingSizes } from './starting-sizes'

/** Where a bed's side usually ends, where the body says nothing of a bed. mm over the ground. Common practice, no source. */
const USUAL_BED_TOP_MM = 1100

/**
 * An attachment of a kind with starting values from the vehicle's body, mm and kg. Ratings stay empty: they are never
 * made up.
 */
export function startingAttachment(kind: AttachmentKind, body: Body, id: string): Attachment {
  const { roof, widthMm, heightMm } = startingSizes(body)
  const { bed } = BODIES[body]
  const { on, feet, choice, starts, shape } = ATTACHMENTS[kind]
  const inBed = on === 'bed' || on === 'canopy'
  const fromMm = inBed && bed ? bed.fromXMm + 40 : roof.fromXMm + 180
  const toMm = inBed && bed ? bed.toXMm - 40 : roof.toXMm - 80
  const half = inBed ? widthMm / 2 - 160 : on === 'frame' ? widthMm / 2 - 60 : roof.halfWidthFrontMm - 30
  const yMm = Math.round(half * 2) / 2
  const points = [fromMm + 100, Math.min(fromMm + 900, toMm)].map((xMm) => ({ xMm, yMm }))
  const where = {
    along: { gaugeMm: yMm * 2, ranges: [{ fromMm, toMm }] },
    points: { points },
    doors: { doorPositions: points },
    seam: { xMm: fromMm },
  }[feet]
  // A canopy is usually as high as the cab before it. Common practice, no source.
  const topZMm = on === 'canopy' ? heightMm : (bed?.topZMm ?? USUAL_BED_TOP_MM)
  const made = {
    kind,
    id,
    name: choice.split(/[,:]/)[0] ?? choice,
    ...(loadsRoof(kind) ? { rated: { by: 'own', ratings: [] } } : { ratings: [] }),
    ...where,
    ...starts,
    ...('riseMm' in shape ? { riseMm: 45 } : {}),
    ...('topZMm' in shape ? { topZMm } : {}),
  }
  return { ...made, known: startingMarks(made) } as Attachment
}

/** What of a thing has marks of its own, or is no figure. */
const NEVER_STARTED = [
  'panel',
  'ratings',
  'rated',
  'known',
  'bars',
  'parts',
  'attachments',
  'obstacles',
  'count',
]

/** What a form filled in of a thing: every length and every mass of it, by the path of its field. */
export function startingMarks(thing: object): ProvenanceByField {
  const paths = (value: unknown, at: string): string[] => {
    if (typeof value === 'number') return [at]
    if (typeof value !== 'object' || value === null) return []
    return Object.entries(value).flatMap(([key, each]: [string, unknown]) => {
      const path = at === '' ? key : `${at}.${key}`
      if (key === 'points' || key === 'doorPositions') return [`${path}.at`, `${path}.gauge`]
      if (key === 'feetYMm') return [`${path}.apart`]
      return NEVER_STARTED.includes(key) ? [] : paths(each, path)
    })
  }
  return Object.fromEntries(paths(thing, '').map((path) => [path, { by: 'start' as const }]))
}

/** Something on the vehicle that the load may meet, with starting values from its body: to be measured and replaced. mm. */
export function startingObstacle(kind: ObstacleKind, body: Body, id: string): Obstacle {
  const made = usualObstacle(kind, body, id)
  return { ...made, known: startingMarks(made) }
}

function usualObstacle(kind: ObstacleKind, body: Body, id: string): Obstacle {
  const { roof, heightMm, widthMm } = startingSizes(body)
  const common = { id, name: OBSTACLES[kind].choice }
  switch (kind) {
    case 'hatch':
    case 'tailgate': {
      const down = kind === 'tailgate'
      const hinge = down
        ? { xMm: roof.toXMm + 1500, zMm: Math.round(heightMm * 0.36) }
        : { xMm: roof.toXMm, zMm: heightMm - roof.crownMm }
      const corners = down
        ? [[10, 480]]
        : [
            [380, -400],
            [560, -480],
          ]
      const panel = corners.map(([x = 0, z = 0]) => ({ xMm: hinge.xMm + x, zMm: hinge.zMm + z }))
      return {
        ...common,
        kind,
        hinge,
        panel: [hinge, ...panel],
        halfWidthMm: Math.round(widthMm * 0.7) / 2,
        opensDeg: down ? 90 : 85,
      }
    }
    case 'sunroof':
      return { ...common, kind, openingMm: { fromMm: 250, toMm: 700 }, widthMm: 760 }
    case 'antenna':
      return { ...common, kind, xMm: roof.toXMm - 100, yMm: 0, heightMm: 60, form: 'fin' }
    case 'spoiler':
      return { ...common, kind, fromXMm: roof.toXMm - 100, toXMm: roof.toXMm + 150, topZMm: heightMm }
    case 'inBed':
      return {
        ...common,
        kind,
        fromXMm: roof.toXMm + 150,
        toXMm: roof.toXMm + 600,
        halfWidthMm: Math.round(widthMm * 0.7) / 2,
        topZMm: USUAL_BED_TOP_MM,
      }
    case 'doorEdge':
      return { ...common, kind, halfWidthMm: Math.round(widthMm * 0.7) / 2, headZMm: 1700 }
  }
}
