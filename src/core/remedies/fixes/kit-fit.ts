import { type RemedyStock, type Candidate, FIT_NEXT } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { kitPoints } from '../../survey/mounting/kit'

export function kitFitFixes(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const { partId } = finding.subject
  const at = survey.racks.find(({ rack }) => rack.parts.some(({ id }) => id === partId))
  const part = at?.rack.parts.find(({ id }) => id === partId)
  if (!at || !part) return []
  return stock.parts
    .filter(
      (other) =>
        other.role === part.role &&
        other.count === part.count &&
        other.name !== part.name &&
        (other.suits !== undefined || other.kit !== undefined) &&
        !kitPoints(other, at.rack, survey.plan.vehicle, at.attachment).some(({ kind }) => kind === 'refused'),
    )
    .map((other) => ({
      kind: 'swap',
      message: [`Change to ${other.name}`],
      command: { do: 'swapPart', partId: part.id, part: { ...other, id: part.id } },
      rank: FIT_NEXT + (other.price ?? 0),
    }))
}
