import { kerbOf } from '../../plan/schema/vehicle'
import { any } from '../../units/pick'
import { check, notLooked } from '../check'
import { overOrClear } from '../layer-phrases'

/** Does all that is in and on the vehicle stay within its gross mass? kg. */
export const payload = check({
  id: 'payload',
  title: 'Payload',
  question: 'Is everything in and on the vehicle within the payload?',
  formula: 'racks, gear and people inside ≤ gross mass − kerb mass; driving states only',
  source: {
    kind: 'published',
    text: 'Gross and kerb mass as the vehicle’s plate and papers define them, from memory.',
  },
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'payload',
  turnedBy: {},
  nothing: 'No rack is on the vehicle.',
  *run(survey) {
    const { plan, loadPath, racks } = survey
    const cells = loadPath.cells.filter(({ layer }) => layer.role === 'payload')
    for (const cell of cells) if (!cell.idle) yield* overOrClear(cell, survey)
    if (!any(racks) || any(cells)) return
    const gross = plan.vehicle.grossKg === undefined
    const kerb = kerbOf(plan.vehicle) === undefined
    yield notLooked(
      [
        `Payload: ${gross && kerb ? 'gross and kerb mass are' : gross ? 'the gross mass is' : 'the kerb mass is'} not known.`,
      ],
      {
        where: 'label',
        label: gross ? 'Gross mass, on the plate' : 'Kerb mass, in the papers',
        target: { field: 'vehicle', name: gross ? 'grossKg' : 'kerbKg' },
      },
    )
  },
})
