import { presences } from '../../survey/loads/presence'
import { TOLERANCE } from '../../units/tolerance'
import { LOCAL_RULES, localRulesOf, type LocalRules } from '../../plan/local-rules'
import { type ThingAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { check, practice } from '../check'
import { GEAR_SIZES } from '../length-groups'
import { mm, type Phrase } from '../../units/phrase'

type End = 'rear' | 'front' | 'side'

const WHERE: Readonly<Record<End, string>> = {
  rear: 'behind the vehicle',
  front: 'in front of the vehicle',
  side: 'past the vehicle’s side',
}

interface Past {
  readonly end: End
  readonly thing: ThingAt
  readonly byMm: number
}

/** What stands furthest past each end of the vehicle while driving. mm. */
export function furthest(survey: Survey): Past[] {
  const { body, plan } = survey
  const half = plan.vehicle.widthMm / 2
  const present = presences()
  const driving = survey.things.filter((thing) => present(thing).includes('road'))
  const worst = (end: End, by: (thing: ThingAt) => number): Past[] => {
    let so: Past | undefined
    for (const thing of driving) {
      const byMm = by(thing)
      if (byMm > 1e-6 && (!so || byMm > so.byMm)) so = { end, thing, byMm }
    }
    return so ? [so] : []
  }
  return [
    ...worst('rear', ({ box }) => box.x1 - body.tailXMm),
    ...worst('front', ({ box }) => body.noseXMm - box.x0),
    ...worst('side', ({ box }) => Math.max(box.y1, -box.y0) - half),
  ]
}

export const markOf = (rules: LocalRules, end: End) =>
  end === 'rear' ? rules.rearMarkMm : end === 'front' ? rules.frontMarkMm : rules.sideMarkMm
export const mostOf = (rules: LocalRules, end: End) =>
  end === 'rear' ? rules.rearMostMm : end === 'front' ? rules.frontMostMm : undefined

/** The least that any of the rules kept here asks at an end: below it nobody is asked to choose. */
export const leastOf = (end: End) =>
  Math.min(
    ...LOCAL_RULES.flatMap((rules) =>
      [markOf(rules, end), mostOf(rules, end)].filter((each) => each !== undefined),
    ),
  )

/** What runs past the vehicle, against the local rules chosen. mm. */
export const loadOverhang = check({
  id: 'load-overhang',
  title: 'Past the vehicle',
  question: 'What does the load run past the vehicle, and what do the chosen local rules ask for it?',
  formula:
    'furthest end of the load less the vehicle’s own; against the mark and the most of the rules chosen',
  source: practice('Local rules are kept as data with their sources, from memory: check your local rules.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: { of: { vehicle: /^(lengthMm|noseToScreenMm)$/, gear: GEAR_SIZES }, reach: 1 },
  nothing: 'Nothing that is on the vehicle while it drives runs past it.',
  *run(survey) {
    const rules = localRulesOf(survey.plan.rules.localRules)
    for (const { end, thing, byMm } of furthest(survey)) {
      const common = {
        about: end,
        state: 'road',
        subject: { placementIds: [thing.placement.id] },
        measured: mm(byMm),
        toStop: rules ? (mostOf(rules, end) ?? Infinity) - byMm : Infinity,
      } as const
      const runs: Phrase = [`${thing.gear.name} runs `, mm(byMm), ` ${WHERE[end]}`]
      if (!rules) {
        const asks = byMm > leastOf(end) + TOLERANCE.lengthMm
        yield {
          ...common,
          severity: asks ? 'findOut' : 'clear',
          ...(asks
            ? { ask: { where: 'house', label: 'Local rules', target: { open: 'house' } } as const }
            : {}),
          sentence: asks
            ? [...runs, ': choose the local rules in the house rules, and check them.']
            : [...runs, ', less than any rule kept here asks about. Check your local rules.'],
        }
        continue
      }
      const [mark, most] = [markOf(rules, end), mostOf(rules, end)]
      if (most !== undefined && byMm > most + TOLERANCE.lengthMm)
        yield {
          ...common,
          severity: 'stop',
          limit: mm(most),
          margin: mm(most - byMm),
          sentence: [
            ...runs,
            '; ',
            `${rules.place} allows `,
            mm(most),
            ` (${rules.source}). Check your local rules.`,
          ],
        }
      else if (mark !== undefined && byMm > mark + TOLERANCE.lengthMm)
        yield {
          ...common,
          severity: 'mind',
          limit: mm(mark),
          margin: mm(mark - byMm),
          sentence: [
            ...runs,
            ': ',
            `from `,
            mm(mark),
            ` on ${rules.place} asks for ${rules.mark} (${rules.source}). Check your local rules.`,
          ],
        }
      else
        yield {
          ...common,
          severity: 'clear',
          ...(mark === undefined ? {} : { limit: mm(mark), margin: mm(mark - byMm) }),
          sentence: [...runs, `, within what ${rules.place} asks nothing for. Check your local rules.`],
        }
    }
  },
})
