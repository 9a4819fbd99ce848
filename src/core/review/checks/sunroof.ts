import type { Box } from '../../geometry/boxes'
import { TOLERANCE } from '../../units/tolerance'
import { paneLacks, sharesWidth, type Sunroof } from '../../survey/openings/swings'
import type { PaneMeeting } from '../../survey/openings/meetings'
import { check, practice } from '../check'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'
import { deg, mm } from '../../units/phrase'

export const aboutPane = ({ sunroof, way, met }: PaneMeeting) => `${sunroof.id} ${way} ${met.kind} ${met.id}`

/** Whether something stands over a pane, seen from above. */
const overPane = (pane: Sunroof, box: Box): boolean =>
  sharesWidth(box, pane.widthMm / 2) && box.x0 < pane.openingMm.toMm && box.x1 > pane.openingMm.fromMm

/** Does a sunroof tilt and slide past everything over it? mm. */
export const sunroof = check({
  id: 'sunroof',
  title: 'Sunroof',
  question: 'Does a sunroof that tilts or slides outside pass every bar and everything over it?',
  formula:
    'tilting: the pane turned about its front edge; sliding: the space it takes on its way; each against what shares width with it',
  source: practice(
    'It clears has cases: one that slides under a bar may still hit it when it tilts. Common practice, no source.',
  ),
  law: 'balance',
  mass: 'hardly',
  stage: 'load',
  lengths: {
    of: {
      ...HEIGHTS,
      bar: /^(riseMm|profile)/,
      obstacle: /^(openingMm|tiltRiseMm|slidesOutside)/,
      rack: /^deck\.(length|width|height)Mm$/,
      gear: GEAR_SIZES,
    },
    reach: 3,
    turnsBack: true,
  },
  nothing: 'Nothing stands over a sunroof that opens over the roof.',
  *run(survey) {
    const wanted = survey.plan.rules.gapsMm.sunroof
    for (const pane of survey.plan.vehicle.obstacles) {
      if (pane.kind !== 'sunroof') continue
      const lacks = paneLacks(pane)
      const over = [...survey.bars, ...survey.things].some(({ box }) => overPane(pane, box))
      if (!lacks || !over) continue
      yield {
        about: `${pane.id} way`,
        severity: 'findOut',
        state: 'all',
        subject: { obstacleId: pane.id, placementIds: [] },
        sentence: [
          lacks === 'way'
            ? `${pane.name}: nobody has said how it opens, and something stands over it. Look which way its pane moves.`
            : `${pane.name}: how far its pane rises or slides is not known, and something stands over it.`,
        ],
        ask:
          lacks === 'way'
            ? {
                where: 'look',
                label: `How ${pane.name} opens`,
                target: { field: 'moves', obstacleId: pane.id },
              }
            : {
                where: 'tape',
                label: pane.name,
                target: { open: 'vehicle', at: `obstacles.${survey.plan.vehicle.obstacles.indexOf(pane)}` },
              },
      }
    }
    for (const meeting of survey.fit.panes()) {
      const { sunroof: pane, way, met, gapMm, touchesAtDeg } = meeting
      const moving = way === 'tilts' ? 'tilting' : 'sliding'
      const common = {
        about: aboutPane(meeting),
        state: 'all',
        subject: {
          obstacleId: pane.id,
          placementIds: met.thing ? [met.thing.placement.id] : [],
          ...(met.kind === 'bar' ? { barId: met.id } : {}),
        },
        measured: mm(gapMm),
        limit: mm(wanted),
        margin: mm(gapMm - wanted),
        ...(touchesAtDeg === undefined ? { toStop: gapMm } : {}),
      } as const
      if (touchesAtDeg !== undefined)
        yield {
          ...common,
          severity: 'stop',
          sentence:
            way === 'tilts'
              ? [
                  `${pane.name}, tilting, touches ${met.name} after `,
                  deg(touchesAtDeg),
                  '; ',
                  mm(wanted),
                  ' between them are wanted.',
                ]
              : [`${pane.name}, sliding outside, runs into ${met.name}.`],
        }
      else if (gapMm < wanted - TOLERANCE.gapMm)
        yield {
          ...common,
          severity: 'mind',
          sentence: [
            `${pane.name}, ${moving}, passes ${met.name} with only `,
            mm(gapMm),
            '; the house wants ',
            mm(wanted),
            '.',
          ],
        }
      else
        yield {
          ...common,
          severity: 'clear',
          sentence: [`${pane.name}, ${moving}, passes ${met.name} with `, mm(gapMm), '.'],
        }
    }
  },
})
