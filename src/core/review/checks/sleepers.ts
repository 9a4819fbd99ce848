import { fails, spareOf } from '../../facts/comparison'
import { sleptOn } from '../../facts/sleepers'
import { kg } from '../../units/phrase'
import { check, practice } from '../check'
import { marginPhrase } from '../margin-words'

/** Does every foot hold parked wherever on the floor people lie? kg per foot. */
export const sleepers = check({
  id: 'sleepers',
  title: 'Where people lie',
  question: 'Is each foot within its limit parked, wherever people lie on the tent’s floor?',
  formula: 'side by side against the walls that are worst for the foot; lever rule',
  source: practice(
    'People do not lie still in the middle. The load on a tent’s ladder is not subtracted. Common practice, no source.',
  ),
  law: 'balance',
  mass: 'hardly',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: { masses: 'aboard' },
  nothing: 'Nobody sleeps on the roof.',
  *run(survey) {
    const corner = (footIndex: number) => survey.feet[footIndex]?.corner ?? ''
    for (const { rack, most, least, bears, presses, toStopShare } of sleptOn(survey)) {
      const over = bears !== undefined && fails(bears.compared)
      const lifts = fails(presses)
      yield {
        about: rack.rack.id,
        severity: over ? 'stop' : lifts ? 'mind' : 'clear',
        state: 'parked',
        subject: { rackId: rack.rack.id, placementIds: [] },
        measured: kg(most.mostKg),
        ...(bears ? { limit: kg(bears.compared.limit), margin: kg(spareOf(bears.compared)) } : {}),
        nearStop: { share: toStopShare },
        sentence: [
          `${rack.rack.name}: wherever people lie, ${corner(most.footIndex)} bears up to `,
          kg(most.mostKg),
          ' (',
          kg(most.asPlacedKg),
          ' as they are placed)',
          ...(bears
            ? [
                `, ${over ? 'over' : 'of'} the `,
                kg(bears.compared.limit),
                ` each of ${bears.figure.cell.layer.name}, `,
                ...marginPhrase(bears.compared, kg),
              ]
            : []),
          ...(lifts ? [`; ${corner(least.footIndex)} may lift by `, kg(-least.leastKg)] : []),
          '.',
        ],
      }
    }
  },
})
