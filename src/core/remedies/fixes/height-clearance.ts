import { GEAR_KINDS } from '../../kinds/gear-kind'
import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'

export function heightClearanceFixes(survey: Survey, finding: Finding): Candidate[] {
  const id = finding.subject.placementIds[0]
  const thing = id === undefined ? undefined : survey.thingById.get(id)
  if (!thing) return []
  const { placement, gear } = thing
  const flip = gear.onEdge && (placement.onEdge ? gear.heightMm < gear.widthMm : gear.widthMm < gear.heightMm)
  const mass = survey.masses.reduce(
    (sum, point) => ('thing' in point && point.thing === thing ? sum + point.kg : sum),
    0,
  )
  const low = gear.name.toLowerCase()
  const laid: Candidate = {
    kind: 'change',
    message: [placement.onEdge ? `Lay ${low} flat` : `Stand ${low} on edge`],
    command: { do: 'setOnEdge', placementId: placement.id, onEdge: !placement.onEdge },
    rank: 0,
  }
  return [
    ...(flip ? [laid] : []),
    // What is of use only where the vehicle stands may stay off until it does; a boat is not driven anywhere by that.
    ...(GEAR_KINDS[gear.kind].usedParked
      ? [
          {
            kind: 'change' as const,
            message: [`Carry ${low} only when parked`],
            command: { do: 'setWhen' as const, placementId: placement.id, when: 'parked' as const },
            rank: mass + 0.01,
          },
        ]
      : []),
    {
      kind: 'off',
      message: [`Take off ${low}`],
      command: { do: 'takeOff', placementId: placement.id },
      rank: mass,
    },
  ]
}
