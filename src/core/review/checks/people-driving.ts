import { statesOf } from '../../survey/loads/presence'
import type { State } from '../../units/scalars'
import { isPeople, type Cargo } from '../../survey/loads/mass-point'
import { check, practice } from '../check'

const DRIVING: readonly State[] = ['road', 'trail']

/** When the plan says that somebody is up there, whatever else comes and goes. */
const statedFor = (mass: Cargo): readonly State[] =>
  statesOf(mass.of === 'load' && mass.load ? mass.load.when : mass.thing.placement.when)

/** Is anyone on the rack while the vehicle drives? */
export const peopleDriving = check({
  id: 'people-driving',
  title: 'Nobody up there while driving',
  question: 'Is anyone in a tent, on the rack or on a ladder while the vehicle drives?',
  formula: 'people count parked only',
  source: practice(
    'Never drive with anyone on the roof. Common practice, no source; local law says the same in most places.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Nobody is on the plan.',
  *run({ masses }) {
    for (const mass of masses) {
      if (!isPeople(mass)) continue
      const driving = statedFor(mass).filter((state) => DRIVING.includes(state))
      const common = { subject: { placementIds: [mass.thing.placement.id] } } as const
      for (const state of driving)
        yield {
          ...common,
          about: `${mass.id} ${state}`,
          concerns: { massId: mass.id },
          severity: 'stop',
          state,
          sentence: [`${mass.label}: nobody may be on the rack while the vehicle drives.`],
        }
      if (driving.length === 0)
        yield {
          ...common,
          about: mass.id,
          concerns: { massId: mass.id },
          severity: 'clear',
          state: 'all',
          sentence: [`${mass.label}: up there parked only.`],
        }
    }
  },
})
