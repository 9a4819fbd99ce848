import { kitPoints, kitSays } from '../../survey/mounting/kit'
import { any } from '../../units/pick'
import { check, practice } from '../check'

const SEVERITY = { refused: 'stop', findOut: 'findOut', mind: 'mind' } as const

/** Does every part's kit sheet allow this vehicle? */
export const kitFit = check({
  id: 'kit-fit',
  title: 'Kits on this vehicle',
  question: 'Is every foot and kit made for this vehicle: year, body, doors, trim, rail and other needs?',
  formula: 'each point of the kit’s sheet against the vehicle; a point the vehicle is silent on is Find out',
  source: practice('A lower trim may lack the points. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No part names its vehicles.',
  *run(survey) {
    const { vehicle } = survey.plan
    for (const { rack, attachments } of survey.racks)
      for (const part of rack.parts) {
        if (!part.kit && !part.suits) continue
        const points = kitPoints(part, rack, vehicle, attachments)
        const common = {
          state: 'all',
          subject: { placementIds: [], rackId: rack.id, partId: part.id },
        } as const
        for (const [i, point] of points.entries())
          yield {
            ...common,
            about: `${part.id} ${i}`,
            severity: SEVERITY[point.kind],
            ...(point.kind === 'findOut'
              ? {
                  ask: { where: 'look', label: part.name, target: { open: 'vehicle', at: 'facts' } } as const,
                }
              : {}),
            sentence: [`${part.name}: ${point.message}.`],
          }
        const agrees = kitSays(part)
        // What a part stands on here is no sheet: only what its own sheet says can agree.
        if (points.length === 0 && part.kit && any(agrees))
          yield {
            ...common,
            about: part.id,
            severity: 'clear',
            sentence: [`${part.name}: its sheet agrees with this vehicle in ${agrees.join(', ')}.`],
          }
      }
  },
})
