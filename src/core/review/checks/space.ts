import type { Near } from '../../survey/frame/space'
import type { Survey } from '../../survey/survey'
import { check, practice } from '../check'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'
import { mm, type Phrase } from '../../units/phrase'
import { manyWords, SINGLE_UP_TO } from '../many'

export const aboutPair = ({ a, b }: Near) => `${a.placement.id} ${b.placement.id}`

type Overlap = Extract<Near, { kind: 'overlap' }>
const isOverlap = (near: Near): near is Overlap => near.kind === 'overlap'
const metWords = ({ a, b, intoMm }: Overlap): Phrase => [
  `${a.gear.name} and ${b.gear.name} are in each other’s way by `,
  mm(intoMm),
  '.',
]

function idsOf(met: readonly Overlap[]): ReadonlySet<string> {
  const ids = new Set<string>()
  for (const { a, b } of met) ids.add(a.placement.id).add(b.placement.id)
  return ids
}

/** How near things of different racks may come to each other when what one of the racks stands on is off. mm. */
function roomOf({ racks }: Survey, gapMm: number) {
  const stoodOn = new Set(racks.flatMap(({ attachments }) => attachments))
  const apart = stoodOn.size > 1 ? gapMm : Infinity
  return { gear: gapMm, bar: gapMm, rack: gapMm, vehicle: apart, attachment: apart }
}

/** Does nothing stand where something else is, and is the house's gap kept? mm. */
export const space = check({
  id: 'space',
  title: 'Space',
  question: 'Does nothing stand where something else is, with the house’s gap between things?',
  formula:
    'upright boxes, turned or on edge, with finer outlines where given; touching is not overlapping; nearer than the gap is Mind',
  source: practice('The gap is a house rule. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  turnedBy: { lengths: { of: { ...HEIGHTS, gear: GEAR_SIZES }, reach: 1, half: /^(length|width)Mm$/ } },
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
        toStop: roomOf(survey, gap),
        rest: true,
        sentence: [`None of ${survey.things.length} things is nearer to another than `, mm(gap), '.'],
      }
    const met = all.filter(isOverlap)
    const [first] = met
    // A heap of things meets in more pairs than anybody reads: they are never written out one by one.
    const heaped = first && met.length > SINGLE_UP_TO
    if (heaped)
      yield {
        about: 'many stop',
        state: 'all',
        subject: { placementIds: [...idsOf(met)] },
        severity: 'stop',
        toStop: roomOf(survey, -first.intoMm),
        sentence: manyWords(met.length, metWords(first)),
      }
    for (const near of heaped ? all.filter((each) => !isOverlap(each)) : all) {
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
          toStop: roomOf(survey, -near.intoMm),
          sentence: metWords(near),
        }
      else
        yield {
          ...common,
          severity: 'mind',
          measured: mm(near.gapMm),
          limit: mm(gap),
          margin: mm(near.gapMm - gap),
          toStop: roomOf(survey, near.gapMm),
          sentence: [`${a} and ${b} stand `, mm(near.gapMm), ' apart; the house wants ', mm(gap), '.'],
        }
    }
  },
})
