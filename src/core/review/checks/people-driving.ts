import type { State } from '../../plan/scalars'
import type { MassPoint } from '../../survey/mass-points'
import { check, practice } from '../check'

type Cargo = Extract<MassPoint, { thing: unknown }>

const isPeople = (mass: MassPoint): mass is Cargo =>
  'thing' in mass &&
  ((mass.of === 'load' && mass.load?.what.kind === 'people' && mass.load.what.count > 0) ||
    (mass.of === 'gear' && mass.thing.gear.kind === 'person'))

const DRIVING: readonly State[] = ['road', 'trail']

/** Is anyone on the rack while the vehicle drives? */
export const peopleDriving = check({
  id: 'people-driving',
  title: 'Nobody up there while driving',
  question: 'Is anyone in a tent, on the rack or on a ladder while the vehicle drives?',
  formula: 'people count parked only',
  source: practice(
    'Never drive with anyone on the roof. Common practice, no source; local law says the same in most places.',
  ),
  nothing: 'Nobody is on the rack while it drives.',
  *run({ masses }) {
    const people = masses.filter(
      (mass) => isPeople(mass) && mass.states.some((state) => DRIVING.includes(state)),
    )
    for (const mass of people) {
      if (!isPeople(mass)) continue
      for (const state of mass.states.filter((each) => DRIVING.includes(each)))
        yield {
          id: `people-driving ${mass.id} ${state}`,
          severity: 'stop',
          rule: 'people-driving',
          state,
          subject: { placementIds: [mass.thing.placement.id] },
          sentence: [`${mass.label}: nobody may be on the rack while the vehicle drives.`],
        }
    }
  },
  remedies({ masses }, finding) {
    return masses
      .filter(isPeople)
      .filter((mass) => finding.id.startsWith(`people-driving ${mass.id} `))
      .map((mass) => ({
        kind: 'change',
        say: [`${mass.label}: parked only`],
        rank: mass.kg,
        command:
          mass.of === 'load' && mass.load
            ? { do: 'setLoad', placementId: mass.thing.placement.id, load: { ...mass.load, when: 'parked' } }
            : { do: 'setWhen', placementId: mass.thing.placement.id, when: 'parked' },
      }))
  },
})
