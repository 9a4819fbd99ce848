import { upToMm } from '../../units/tolerance'
import type { RemedyStock, Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { worstSpan } from '../../review/checks/usable-width'
import { moved, turnedAbout, flipped, takeOffFix } from '../moves'
import { longerBars } from '../longer-bars'
import { contactYs } from '../../survey/mounting/contacts'

export function usableWidthFixes(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const worst = thing && worstSpan(survey, thing)
  if (!thing || !worst) return []
  return [
    ...moved(survey, thing, 0, -worst.over.side * upToMm(worst.over.mm)),
    ...turnedAbout(thing),
    ...flipped(thing),
    ...longerBars(
      survey,
      thing.placement.host.on === 'bars' ? thing.placement.host.barIds : [],
      stock,
      ({ usableMm }) => usableMm >= Math.max(...contactYs(thing).map(Math.abs)) * 2,
    ),
    takeOffFix(survey, thing),
  ]
}
