import {
  type Body,
  choicesOf,
  formatPrecise,
  type Obstacle,
  type ObstacleKind,
  OBSTACLES,
  startingSizes,
  type UnitSystem,
} from '@/core'
import type { DraftReader } from './draft-reader'

export const OBSTACLE_CHOICES = choicesOf(OBSTACLES, ({ choice }) => choice)

/** Something on the vehicle that the load may meet, as typed. Fields a kind does not ask for are left as they are. */
export interface ObstacleDraft {
  id: string
  kind: ObstacleKind
  name: string
  x: string
  y: string
  z: string
  to: string
  width: string
  height: string
  panel: string
  opens: string
  tilt: string
  travel: string
  slideRise: string
  form: 'fin' | 'mast' | 'puck'
}

const WORD = new Map(OBSTACLE_CHOICES)

/** An obstacle of a kind with starting values from the vehicle's body: to be measured and replaced. */
export function startingObstacle(
  kind: ObstacleKind,
  body: Body,
  id: string,
  system: UnitSystem,
): ObstacleDraft {
  const { roof, heightMm, widthMm } = startingSizes(body)
  const mm = (value: number) => formatPrecise('length', value, system)
  const down = kind === 'tailgate'
  const hinge = down ? [roof.toXMm + 1500, heightMm * 0.36] : [roof.toXMm, heightMm - roof.crownMm]
  const [hx = 0, hz = 0] = hinge
  const panel = down
    ? [[hx + 10, hz + 480]]
    : [
        [hx + 380, hz - 400],
        [hx + 560, hz - 480],
      ]
  return {
    id,
    kind,
    name: WORD.get(kind) ?? kind,
    x: mm(kind === 'sunroof' ? 250 : kind === 'antenna' || kind === 'spoiler' ? roof.toXMm - 100 : hx),
    y: mm(0),
    z: mm(kind === 'spoiler' ? heightMm : hz),
    to: mm(kind === 'sunroof' ? 700 : roof.toXMm + 150),
    width: mm(kind === 'sunroof' ? 760 : Math.round(widthMm * 0.7)),
    height: mm(kind === 'doorEdge' ? 1700 : 60),
    panel: panel.map(([x = 0, z = 0]) => `${mm(x)} / ${mm(z)}`).join('; '),
    opens: down ? '90°' : '85°',
    tilt: '',
    travel: '',
    slideRise: '',
    form: 'fin',
  }
}

/** An obstacle as texts for the form. */
export function obstacleToDraft(obstacle: Obstacle, body: Body, system: UnitSystem): ObstacleDraft {
  const mm = (value: number | undefined) =>
    value === undefined ? '' : formatPrecise('length', value, system)
  const draft = { ...startingObstacle(obstacle.kind, body, obstacle.id, system), name: obstacle.name }
  switch (obstacle.kind) {
    case 'hatch':
    case 'tailgate':
      return {
        ...draft,
        x: mm(obstacle.hinge.xMm),
        z: mm(obstacle.hinge.zMm),
        panel: obstacle.panel.map(({ xMm, zMm }) => `${mm(xMm)} / ${mm(zMm)}`).join('; '),
        width: mm(obstacle.halfWidthMm * 2),
        opens: formatPrecise('angle', obstacle.opensDeg, system),
      }
    case 'sunroof':
      return {
        ...draft,
        x: mm(obstacle.openingMm.fromMm),
        to: mm(obstacle.openingMm.toMm),
        width: mm(obstacle.widthMm),
        tilt: mm(obstacle.tiltRiseMm),
        travel: mm(obstacle.slidesOutside?.travelMm),
        slideRise: mm(obstacle.slidesOutside?.riseMm),
      }
    case 'antenna':
      return {
        ...draft,
        x: mm(obstacle.xMm),
        y: mm(obstacle.yMm),
        height: mm(obstacle.heightMm),
        form: obstacle.form,
      }
    case 'spoiler':
      return { ...draft, x: mm(obstacle.fromXMm), to: mm(obstacle.toXMm), z: mm(obstacle.topZMm) }
    case 'doorEdge':
      return { ...draft, width: mm(obstacle.halfWidthMm * 2), height: mm(obstacle.headZMm) }
  }
}

/** A panel's corners, each as how far back and how high with a stroke between; semicolons between corners. */
function readPanel(reader: DraftReader, field: string, text: string): { xMm: number; zMm: number }[] {
  const corners = text
    .split(/[;\n]/)
    .map((each) => each.trim())
    .filter((each) => each !== '')
  const points = corners.map((corner) => {
    const [x = '', z = '', ...more] = corner.split(/\s\/\s/)
    if (more.length > 0 || z === '')
      reader.fail(field, 'Give each corner as how far back / how high: 2780 / 1030; 2980 / 960.')
    return { xMm: reader.position(field, x, 0), zMm: reader.position(field, z === '' ? '0' : z, 0) }
  })
  if (points.length === 0) reader.fail(field, 'Give at least the corner furthest from the hinge.')
  return points
}

/** An obstacle from the form's texts. */
export function readObstacle(reader: DraftReader, draft: ObstacleDraft, at: string): Obstacle {
  const { kind, id } = draft
  const name = reader.words(`${at}.name`, draft.name, WORD.get(kind) ?? kind, 'it a name')
  const common = { id, name }
  const x = () => reader.position(`${at}.x`, draft.x, 0)
  const to = (from: number) => {
    const value = reader.position(`${at}.to`, draft.to, from)
    if (value < from) reader.fail(`${at}.to`, 'It must end behind where it begins.')
    return Math.max(from, value)
  }
  switch (kind) {
    case 'hatch':
    case 'tailgate': {
      const hinge = { xMm: x(), zMm: reader.position(`${at}.z`, draft.z, 1400) }
      const corners = readPanel(reader, `${at}.panel`, draft.panel)
      const [first] = corners
      const begins = first && Math.hypot(first.xMm - hinge.xMm, first.zMm - hinge.zMm) < 1e-6
      const opens = reader.optional(`${at}.opens`, 'angle', draft.opens) ?? 85
      if (opens > 180) reader.fail(`${at}.opens`, 'Half a turn at most: 180°.')
      return {
        kind,
        ...common,
        hinge,
        panel: begins && corners.length > 1 ? corners : [hinge, ...corners],
        halfWidthMm: reader.span(`${at}.width`, draft.width, 1200) / 2,
        opensDeg: Math.min(opens, 180),
      }
    }
    case 'sunroof': {
      const fromMm = x()
      const tiltRiseMm = reader.optional(`${at}.tilt`, 'length', draft.tilt)
      const travelMm = reader.optional(`${at}.travel`, 'length', draft.travel)
      return {
        kind,
        ...common,
        openingMm: { fromMm, toMm: to(fromMm) },
        widthMm: reader.span(`${at}.width`, draft.width, 760),
        ...(tiltRiseMm === undefined ? {} : { tiltRiseMm }),
        ...(travelMm === undefined
          ? {}
          : {
              slidesOutside: {
                travelMm,
                riseMm: reader.size(`${at}.slideRise`, draft.slideRise === '' ? '0' : draft.slideRise, 0),
              },
            }),
      }
    }
    case 'antenna':
      return {
        kind,
        ...common,
        xMm: x(),
        yMm: reader.position(`${at}.y`, draft.y, 0),
        heightMm: reader.span(`${at}.height`, draft.height, 60),
        form: draft.form,
      }
    case 'spoiler': {
      const fromXMm = x()
      return { kind, ...common, fromXMm, toXMm: to(fromXMm), topZMm: reader.span(`${at}.z`, draft.z, 1500) }
    }
    case 'doorEdge':
      return {
        kind,
        ...common,
        halfWidthMm: reader.span(`${at}.width`, draft.width, 1300) / 2,
        headZMm: reader.span(`${at}.height`, draft.height, 1700),
      }
  }
}
