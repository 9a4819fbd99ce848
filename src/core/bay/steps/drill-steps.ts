import { mm, type Phrase } from '../../units/phrase'
import type { RackAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { drillPlans } from '../drilling/drill-plan'
import { about } from './minutes'
import type { Step } from './step'
import { stepOf } from './step-of'

type DrillPlan = ReturnType<typeof drillPlans>[number]
type Hole = DrillPlan['holes'][number]

const DRILLING = {
  tools: ['drill', 'centre punch', 'vacuum', 'eye protection'],
  task: { kind: 'do', on: ['holes'] },
} as const

const placed = ({ xMm, yMm }: Hole): Phrase => [
  mm(Math.abs(xMm)),
  xMm < 0 ? ' before' : ' behind',
  ' the windscreen’s upper edge, ',
  mm(Math.abs(yMm)),
  ` ${yMm < 0 ? 'left' : 'right'} of the centreline. `,
]

/** How a hole is made: its own sizes and work, through what, by which template. */
function sized({ template, layers }: DrillPlan, hole: Hole | undefined): Phrase {
  const size = (name: string, of: number | undefined): Phrase =>
    of === undefined ? [`${name}: find out. `] : [`${name} `, mm(of), '. ']
  return [
    ...size('Pilot', hole?.pilotMm),
    ...size('Final size', hole?.finalMm),
    ...(layers.length > 0 ? [`Through ${layers.join(', ')}. `] : []),
    ...(hole && hole.operations.length > 0 ? [`${hole.operations.join(', then ')}. `] : []),
    `${template ?? 'No template is named: mark out and centre-punch'}. Eye and dust protection.`,
  ]
}

/** What cannot be undone is confirmed, then drilled hole by hole, then sealed. */
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
                after: [`${id}/confirm-drilling`],
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
                after: [`${id}/confirm-drilling`],
                minutes: about(4),
              }),
            )
      return [
        stepOf({
          ...common,
          id: `${id}/confirm-drilling`,
          title: 'Confirm: the holes cannot be undone',
          detail: [
            `${plan.asked} holes through ${plan.layers.join(', ') || 'layers nobody has named'}. The customer has said yes to them, and the template lies right.`,
          ],
          minutes: about(5),
          task: { kind: 'confirm', partId: plan.partId },
        }),
        ...drilled,
        stepOf({
          ...common,
          id: `${id}/seal`,
          title: 'Seal and paint the holes',
          detail: [
            `${plan.paint ?? 'Find out what protects the bare edge'}; then ${plan.seal ?? 'find out what seals it'}.`,
          ],
          after: drilled.map((step) => step.id),
          minutes: about(plan.asked * 2),
          waitMinutes: 60,
          task: { kind: 'do', on: ['holes'] },
        }),
      ]
    })
}
