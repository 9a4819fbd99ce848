import type { RemedyStock, Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { worstBar } from '../../review/checks/side-overhang'
import { moved, takeOffFix } from '../moves'
import { longerBars } from '../longer-bars'

export function sideOverhangFixes(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const worst = thing && worstBar(survey, thing)
  const want = thing?.gear.fit.overhangMm
  if (!thing || !worst || want === undefined || thing.placement.host.on !== 'bars') return []
  const { barIds } = thing.placement.host
  const needed = worst.at.bar.lengthMm + 2 * (want - worst.haveMm)
  return [
    ...moved(survey, thing, 0, -(thing.box.y0 + thing.box.y1)),
    ...longerBars(survey, barIds, stock, ({ lengthMm }) => lengthMm >= needed - 1e-6),
    takeOffFix(survey, thing),
  ]
}
