import type { Candidate } from '../candidate'
import { isPeople } from '../../review/checks/people-driving'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'

export function peopleDrivingFixes({ masses }: Survey, finding: Finding): Candidate[] {
  return masses
    .filter(isPeople)
    .filter((mass) => finding.id.startsWith(`people-driving ${mass.id} `))
    .map((mass) => ({
      kind: 'change',
      message: [`${mass.label}: parked only`],
      rank: mass.kg,
      command:
        mass.of === 'load' && mass.load
          ? { do: 'setLoad', placementId: mass.thing.placement.id, load: { ...mass.load, when: 'parked' } }
          : { do: 'setWhen', placementId: mass.thing.placement.id, when: 'parked' },
    }))
}
