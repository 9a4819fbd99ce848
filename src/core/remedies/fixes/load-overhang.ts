import { upToMm } from '../../units/tolerance'
import type { Candidate } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { furthest, mostOf, markOf, leastOf } from '../../review/checks/load-overhang'
import { rootOf } from '../../survey/frame/arrangement'
import { localRulesOf } from '../../plan/local-rules'
import { moved, turnedAbout, takeOffFix } from '../moves'

export function loadOverhangFixes(survey: Survey, finding: Finding): Candidate[] {
  const past = furthest(survey).find(({ end }) => finding.id === `load-overhang ${end}`)
  if (!past) return []
  const root = rootOf(past.thing)
  const rules = localRulesOf(survey.plan.rules.localRules)
  const allowed = rules ? (mostOf(rules, past.end) ?? markOf(rules, past.end) ?? 0) : leastOf(past.end)
  const by = upToMm(past.byMm - allowed)
  const { box } = past.thing
  const shift =
    past.end === 'rear'
      ? moved(survey, root, -by, 0)
      : past.end === 'front'
        ? moved(survey, root, by, 0)
        : moved(survey, root, 0, box.y1 > -box.y0 ? -by : by)
  return [...shift, ...turnedAbout(root), takeOffFix(survey, past.thing)]
}
