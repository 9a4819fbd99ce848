import { mayReinforce } from '../../plan/schema/attachment-traits'
import { linkVerdict } from '../../facts/links'
import { standsOnEach } from '../../survey/frame/arrangement'
import { check, practice } from '../check'
import { holdsSurely } from '../layer-phrases'

/** Does inside reinforcement take a drilled rack's load past the roof, where the roof's verdict hangs on it? */
export const reinforcedTop = check({
  id: 'reinforced-top',
  title: 'Reinforced top',
  question:
    'If mounts are bolted through the top with reinforcement inside, does the roof still bear the load, and does its verdict depend on it?',
  formula:
    'the roof over its figure or without one, and unknown whether the reinforcement takes the load past it',
  source: practice('Feet bolted through a hard top with inside reinforcement. Common practice, no source.'),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No verdict of a roof depends on reinforcement inside it.',
  *run(survey) {
    const { plan, racks, loadPath } = survey
    for (const [rack, attachment] of standsOnEach(racks)) {
      if (!mayReinforce(attachment) || !attachment.reinforced || attachment.roofBears !== undefined) continue
      const hangs = loadPath.cells.some(
        (cell) => cell.layer.role === 'roof' && !cell.idle && !holdsSurely(linkVerdict(cell, survey)),
      )
      if (!hangs) continue
      yield {
        about: rack.id,
        severity: 'findOut',
        state: 'all',
        subject: { rackId: rack.id, layerId: 'roof', placementIds: [] },
        sentence: [
          `${attachment.name} of ${plan.vehicle.name} have reinforcement inside, and it is not known whether the roof still bears the load. Until then the load counts on the roof.`,
        ],
        ask: {
          where: 'sheet',
          label: `${attachment.name}: what bears the load`,
          target: { field: 'roofBears', attachmentId: attachment.id },
        },
      }
    }
  },
})
