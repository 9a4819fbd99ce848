import { mm, type Phrase } from '../../units/phrase'
import type { RackAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { drillPlans } from '../drilling/drill-plan'
import { about } from './minutes'
import { DRILL_TITLE } from './own-titles'
import type { Step } from './step'
import { stepOf } from './step-of'

type DrillPlan = ReturnType<typeof drillPlans>[number]
type Hole = DrillPlan['holes'][number]

const DRILLING = {
  tools: ['drill', 'centre punch', 'vacuum', 'eye protection'],
  key: 'drill',
  task: { kind: 'do', on: ['holes'] },
} as const

/** How long primer dries and sealant sets where its tin says nothing else, minutes. Common practice, no source. */
const [DRY_MINUTES, SET_MINUTES] = [30, 60] as const

const placed = ({ xMm, yMm }: Hole): Phrase => [
  mm(Math.abs(xMm)),
  xMm < 0 ? ' before' : ' behind',
  ' the windscreen’s upper edge, ',
  mm(Math.abs(yMm)),
  ` ${yMm < 0 ? 'left' : 'right'} of the centreline. `,
]

/** How a hole is made: its own sizes and work, and through what. */
function sized({ layers }: DrillPlan, hole: Hole | undefined): Phrase {
  const size = (name: string, of: number | undefined): Phrase =>
    of === undefined ? [`${name}: find out. `] : [`${name} `, mm(of), '. ']
  return [
    ...size('Pilot', hole?.pilotMm),
    ...size('Final size', hole?.finalMm),
    ...(layers.length > 0 ? [`Through ${layers.join(', ')}. `] : []),
    ...(hole && hole.operations.length > 0 ? [`${hole.operations.join(', then ')}. `] : []),
    'Centre-punch first.',
  ]
}

/** What cannot be undone is confirmed, marked twice, drilled hole by hole, primed; then the mounts are bedded and sealed. */
export function drillSteps(survey: Survey, rack: RackAt): Step[] {
  return drillPlans(survey)
    .filter(({ rackId }) => rackId === rack.rack.id)
    .flatMap((plan): Step[] => {
      const id = `${rack.rack.id}/${plan.partId}`
      const common = { group: rack.rack.id, rackId: rack.rack.id, stage: 'vehicle' as const }
      // Where the vehicle has no points there is nothing to go by, hole by hole.
      const drilled =
        plan.holes.length === 0
          ? [
              stepOf({
                ...common,
                ...DRILLING,
                id: `${id}/drill`,
                title: `Drill ${plan.asked} holes`,
                detail: sized(plan, undefined),
                after: [`${id}/template`],
                minutes: about(plan.asked * 4),
              }),
            ]
          : plan.holes.map((hole) =>
              stepOf({
                ...common,
                ...DRILLING,
                id: `${id}/drill/${hole.name}`,
                title: `Drill: ${hole.name}`,
                detail: [...placed(hole), ...sized(plan, hole)],
                after: [`${id}/template`],
                minutes: about(4),
              }),
            )
      return [
        stepOf({
          ...common,
          id: `${id}/confirm-drilling`,
          key: 'confirm-drilling',
          title: DRILL_TITLE['confirm-drilling'],
          detail: [
            `${plan.asked} holes through ${plan.layers.join(', ') || 'layers nobody has named'}. The customer has said yes to them, and the template lies right.`,
          ],
          minutes: about(5),
          task: { kind: 'confirm', partId: plan.partId },
        }),
        stepOf({
          ...common,
          id: `${id}/template`,
          key: 'template',
          title: DRILL_TITLE.template,
          detail: [
            `${plan.template ?? 'No template is named: mark out from the centreline'}. Mark every hole, take it off, lay it again: it meets the same marks.`,
          ],
          after: [`${id}/confirm-drilling`],
          minutes: about(plan.asked),
          tools: ['tape', 'masking tape'],
          task: { kind: 'do', on: ['holes'] },
        }),
        ...drilled,
        stepOf({
          ...common,
          id: `${id}/prime`,
          key: 'prime',
          title: DRILL_TITLE.prime,
          detail: [
            `Swarf out, edges clean; ${plan.paint ?? 'find out what protects the bare edge'}. Let it dry.`,
          ],
          after: drilled.map((step) => step.id),
          minutes: about(plan.asked),
          waitMinutes: DRY_MINUTES,
          task: { kind: 'do', on: ['holes'] },
        }),
        stepOf({
          ...common,
          id: `${id}/bed`,
          key: 'bed',
          title: DRILL_TITLE.bed,
          detail: ['Each mount on its holes, every fastener started by hand; nothing is tightened yet.'],
          after: [`${id}/prime`],
          minutes: about(plan.asked * 2),
          task: { kind: 'do', on: ['holes', 'parts'] },
        }),
        stepOf({
          ...common,
          id: `${id}/seal`,
          key: 'seal',
          title: DRILL_TITLE.seal,
          detail: [`${plan.seal ?? 'Find out what seals it'}, round every hole.`],
          after: [`${id}/bed`],
          minutes: about(plan.asked * 2),
          waitMinutes: SET_MINUTES,
          task: { kind: 'do', on: ['holes'] },
        }),
      ]
    })
}
