import { fails, spareOf } from '../../facts/comparison'
import { paneFacts, unknownPanes } from '../../facts/panes'
import { touchesAtOnce } from '../../facts/swings'
import type { PaneCollision } from '../../survey/openings/collisions'
import { deg, mm } from '../../units/phrase'
import { check, practice } from '../check'
import { marginWords } from '../margin-words'
import { openingLengths } from '../length-groups'

/** A bar whose own section is off bends further than that says: how far is tried. mm */
const asFarAs = (mm: number) => ({ vehicle: mm, attachment: mm, obstacle: mm, rack: mm, gear: mm })

export const aboutPane = ({ sunroof, opens, met }: PaneCollision) =>
  `${sunroof.id} ${opens} ${met.kind} ${met.id}`

/** Does a sunroof tilt and slide past everything over it? mm. */
export const sunroof = check({
  id: 'sunroof',
  title: 'Sunroof',
  question: 'Does a sunroof that tilts or slides outside clear every bar and everything over it?',
  formula:
    'tilting: the pane turned about its front edge; sliding: the space it takes on its way; each against what shares width with it',
  source: practice(
    'It clears has cases: one that slides under a bar may still hit it when it tilts. Common practice, no source.',
  ),
  law: 'balance',
  mass: 'hardly',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: { lengths: openingLengths(/^(openingMm|tiltRiseMm|slidesOutside)/) },
  nothing: 'Nothing stands over a sunroof that opens over the roof.',
  *run(survey) {
    for (const { pane, lacks } of unknownPanes(survey))
      yield {
        about: `${pane.id} way`,
        severity: 'findOut',
        state: 'all',
        subject: { obstacleId: pane.id, placementIds: [] },
        sentence: [
          lacks === 'way'
            ? `${pane.name}: it is not known how it opens, and something stands over it. Check how its pane moves.`
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
    for (const { collision, gap } of paneFacts(survey)) {
      const { sunroof: pane, opens, met, touchesAtDeg } = collision
      const moving = opens === 'tilts' ? 'tilting' : 'sliding'
      const common = {
        about: aboutPane(collision),
        state: 'all',
        subject: {
          obstacleId: pane.id,
          placementIds: met.thing ? [met.thing.placement.id] : [],
          ...(met.kind === 'bar' ? { barId: met.id } : {}),
        },
        measured: mm(gap.measure),
        limit: mm(gap.limit),
        margin: mm(spareOf(gap)),
        ...(touchesAtDeg === undefined ? { nearStop: { mm: asFarAs(gap.measure) } } : {}),
      } as const
      if (touchesAtDeg !== undefined)
        yield {
          ...common,
          severity: 'stop',
          sentence:
            opens === 'tilts'
              ? [
                  `${pane.name}, tilting, touches ${met.name}`,
                  ...(touchesAtOnce(touchesAtDeg)
                    ? [' as soon as it opens']
                    : [' after ', deg(touchesAtDeg)]),
                  '; ',
                  mm(gap.limit),
                  ' between them are wanted.',
                ]
              : [`${pane.name}, sliding outside, runs into ${met.name}.`],
        }
      else if (fails(gap))
        yield {
          ...common,
          severity: 'mind',
          sentence: [
            `${pane.name}, ${moving}, passes ${met.name} with only `,
            mm(gap.measure),
            '; the house rule is ',
            mm(gap.limit),
            ...marginWords(gap),
          ],
        }
      else
        yield {
          ...common,
          severity: 'clear',
          sentence: [
            `${pane.name}, ${moving}, passes ${met.name} with `,
            mm(gap.measure),
            ' of the ',
            mm(gap.limit),
            ' wanted',
            ...marginWords(gap),
          ],
        }
    }
  },
})
