import type { Near } from '../../survey/frame/space'
import { check, practice } from '../check'
import { marginWords } from '../margin-words'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'
import { mm, type Phrase } from '../../units/phrase'
import { areMany, manyWords } from '../many'
import { spareOf } from '../../facts/comparison'
import { nearThings } from '../../facts/near-things'
import { any, moreThanOne } from '../../units/pick'

export const aboutPair = ({ a, b }: Near) => `${a.placement.id} ${b.placement.id}`

type Overlap = Extract<Near, { kind: 'overlap' }>
const isOverlap = (near: Near): near is Overlap => near.kind === 'overlap'
const metWords = ({ a, b, intoMm }: Overlap): Phrase => [
  `${a.gear.name} and ${b.gear.name} overlap by `,
  mm(intoMm),
  '.',
]

function idsOf(met: readonly Overlap[]): ReadonlySet<string> {
  const ids = new Set<string>()
  for (const { a, b } of met) ids.add(a.placement.id).add(b.placement.id)
  return ids
}

/** Does nothing stand where something else is, and is the house's gap kept? mm. */
export const space = check({
  id: 'space',
  title: 'Space',
  question: 'Do things keep clear of each other by the house’s gap?',
  formula:
    'upright boxes, turned or on edge, with finer outlines where given; touching is not overlapping; nearer than the gap is Mind',
  source: practice('The gap is a house rule. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: { lengths: { of: { ...HEIGHTS, gear: GEAR_SIZES }, reach: 1, half: /^(length|width)Mm$/ } },
  nothing: 'There are no two things on the plan.',
  *run(survey) {
    const { all, othersToStop } = nearThings(survey)
    const { between } = survey.plan.rules.gapsMm
    if (!any(all) && moreThanOne(survey.things))
      yield {
        about: 'all',
        state: 'all',
        subject: { placementIds: [] },
        severity: 'clear',
        nearStop: { mm: othersToStop, rest: true },
        sentence: [`None of ${survey.things.length} things is nearer to another than `, mm(between), '.'],
      }
    const met = all.flatMap(({ near }) => (isOverlap(near) ? [near] : []))
    const [first] = all.filter(({ near }) => isOverlap(near))
    // A heap of things meets in more pairs than anybody reads: they are never written out one by one.
    const heaped = first && isOverlap(first.near) && areMany(met)
    if (heaped && isOverlap(first.near))
      yield {
        about: 'many stop',
        state: 'all',
        subject: { placementIds: [...idsOf(met)] },
        severity: 'stop',
        nearStop: { mm: first.toStop },
        sentence: manyWords(met.length, metWords(first.near)),
      }
    for (const { near, gap, toStop } of all) {
      if (heaped && isOverlap(near)) continue
      const common = {
        about: aboutPair(near),
        state: 'all',
        subject: { placementIds: [near.a.placement.id, near.b.placement.id] },
        nearStop: { mm: toStop },
      } as const
      if (isOverlap(near))
        yield { ...common, severity: 'stop', margin: mm(gap.measure), sentence: metWords(near) }
      else
        yield {
          ...common,
          severity: 'mind',
          measured: mm(gap.measure),
          limit: mm(gap.limit),
          margin: mm(spareOf(gap)),
          sentence: [
            `${near.a.gear.name} and ${near.b.gear.name} stand `,
            mm(gap.measure),
            ' apart; the house rule is ',
            mm(gap.limit),
            ...marginWords(gap),
          ],
        }
    }
  },
})
