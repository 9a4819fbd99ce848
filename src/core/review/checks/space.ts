import type { Near } from '../../survey/frame/space'
import { check, practice } from '../check'
import { mm } from '../../units/phrase'

export const aboutPair = ({ a, b }: Near) => `${a.placement.id} ${b.placement.id}`

/** Does nothing stand where something else is, and is the house's gap kept? mm. */
export const space = check({
  id: 'space',
  title: 'Space',
  question: 'Does nothing stand where something else is, with the house’s gap between things?',
  formula:
    'upright boxes, turned or on edge, with finer outlines where given; touching is not overlapping; nearer than the gap is Mind',
  source: practice('The gap is a house rule. Common practice, no source.'),
  law: 'notOfMass',
  nothing: 'There are no two things on the plan.',
  *run(survey) {
    const gap = survey.plan.rules.gapsMm.between
    const all = survey.fit.near()
    if (all.length === 0 && survey.things.length > 1)
      yield {
        about: 'all',
        state: 'all',
        subject: { placementIds: [] },
        severity: 'clear',
        sentence: [`None of ${survey.things.length} things is nearer to another than `, mm(gap), '.'],
      }
    for (const near of all) {
      const [a, b] = [near.a.gear.name, near.b.gear.name]
      const common = {
        about: aboutPair(near),
        state: 'all',
        subject: { placementIds: [near.a.placement.id, near.b.placement.id] },
      } as const
      if (near.kind === 'overlap')
        yield {
          ...common,
          severity: 'stop',
          margin: mm(-near.intoMm),
          sentence: [`${a} and ${b} are in each other’s way by `, mm(near.intoMm), '.'],
        }
      else
        yield {
          ...common,
          severity: 'mind',
          measured: mm(near.gapMm),
          limit: mm(gap),
          margin: mm(near.gapMm - gap),
          sentence: [`${a} and ${b} stand `, mm(near.gapMm), ' apart; the house wants ', mm(gap), '.'],
        }
    }
  },
})
