import { mm } from '../../units/phrase'
import type { RackAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { drillPlans } from '../drilling/drill-plan'
import { about } from './minutes'
import type { Step } from './step'
import { stepOf } from './step-of'

/** What cannot be undone is confirmed, then drilled, then sealed. */
export function drillSteps(survey: Survey, rack: RackAt): Step[] {
  return drillPlans(survey)
    .filter(({ rackId }) => rackId === rack.rack.id)
    .flatMap((plan): Step[] => {
      const id = `${rack.rack.id}/${plan.partId}`
      const common = { group: rack.rack.id, rackId: rack.rack.id, stage: 'vehicle' as const }
      const sizes = plan.holes[0]
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
        stepOf({
          ...common,
          id: `${id}/drill`,
          title: `Drill ${plan.asked} holes`,
          detail: [
            ...(sizes?.pilotMm === undefined ? ['Pilot: find out. '] : ['Pilot ', mm(sizes.pilotMm), '. ']),
            ...(sizes?.finalMm === undefined
              ? ['Final size: find out. ']
              : ['Final ', mm(sizes.finalMm), '. ']),
            `${plan.template ?? 'No template is named: mark out and centre-punch'}. Eye and dust protection.`,
          ],
          after: [`${id}/confirm-drilling`],
          minutes: about(plan.asked * 4),
          tools: ['drill', 'centre punch', 'vacuum', 'eye protection'],
        }),
        stepOf({
          ...common,
          id: `${id}/seal`,
          title: 'Seal and paint the holes',
          detail: [
            `${plan.paint ?? 'Find out what protects the bare edge'}; then ${plan.seal ?? 'find out what seals it'}.`,
          ],
          after: [`${id}/drill`],
          minutes: about(plan.asked * 2),
          waitMinutes: 60,
        }),
      ]
    })
}
