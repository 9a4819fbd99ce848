import { TOLERANCE } from '../../units/tolerance'
import type { BarAt, ThingAt } from '../../survey/arrangement'
import { barEnds } from '../../survey/bar-ends'
import type { Survey } from '../../survey/survey'
import { check, practice, type Candidate, type RemedyStock } from '../check'
import type { Finding } from '../finding'
import { mm } from '../phrase'
import { longerBars } from '../remedies/longer-bars'
import { moved, takenOff } from '../remedies/moves'

/** What a bar runs past its foot on one side: from the foot's edge, or its centre, to just inside the cap. mm. */
function runPast({ bar, rack }: BarAt, side: 'left' | 'right'): number {
  const { leftMm, rightMm } = barEnds(bar)
  return (side === 'left' ? leftMm : rightMm) - (bar.capMm ?? 0) - (rack.footWidthMm ?? 0) / 2
}

const sideOf = ({ box }: ThingAt): 'left' | 'right' => (box.y0 + box.y1 < 0 ? 'left' : 'right')

function worstBar(survey: Survey, thing: ThingAt): { at: BarAt; haveMm: number } | undefined {
  const { host } = thing.placement
  if (host.on !== 'bars') return undefined
  return survey.bars
    .filter(({ bar }) => host.barIds.includes(bar.id))
    .map((at) => ({ at, haveMm: runPast(at, sideOf(thing)) }))
    .reduce<{ at: BarAt; haveMm: number } | undefined>(
      (so, each) => (so && so.haveMm <= each.haveMm ? so : each),
      undefined,
    )
}

function remedies(survey: Survey, finding: Finding, stock: RemedyStock): Candidate[] {
  const thing = survey.thingById.get(finding.subject.placementIds[0] ?? '')
  const worst = thing && worstBar(survey, thing)
  const want = thing?.gear.fit.overhangMm
  if (!thing || !worst || want === undefined || thing.placement.host.on !== 'bars') return []
  const { barIds } = thing.placement.host
  const needed = worst.at.bar.lengthMm + 2 * (want - worst.haveMm)
  return [
    ...moved(survey, thing, 0, -(thing.box.y0 + thing.box.y1)),
    ...longerBars(survey, barIds, stock, ({ lengthMm }) => lengthMm >= needed - 1e-6),
    takenOff(survey, thing),
  ]
}

/** Do the bars run far enough past their feet for what loads from the side? mm. */
export const sideOverhang = check({
  id: 'side-overhang',
  title: 'Overhang for side loading',
  question: 'Do the bars run far enough past their feet for what is loaded from the side?',
  formula:
    'from the foot’s edge (its centre where the width is unknown) to just inside the cap ≥ what the sheet asks',
  source: practice('Side-loading boat carriers need overhang. Common practice, no source.'),
  law: 'notOfMass',
  nothing: 'Nothing asks for overhang.',
  *run(survey) {
    for (const thing of survey.things) {
      const want = thing.gear.fit.overhangMm
      const worst = want === undefined ? undefined : worstBar(survey, thing)
      if (want === undefined || !worst) continue
      const from = worst.at.rack.footWidthMm === undefined ? 'the foot’s centre' : 'the foot’s edge'
      const left = worst.haveMm - want
      const common = {
        id: `side-overhang ${thing.placement.id}`,
        rule: 'side-overhang',
        state: 'all',
        subject: { placementIds: [thing.placement.id], barId: worst.at.bar.id },
        measured: mm(worst.haveMm),
        limit: mm(want),
        margin: mm(left),
      } as const
      yield {
        ...common,
        severity: left < -TOLERANCE.lengthMm ? 'stop' : 'clear',
        sentence: [
          `${worst.at.bar.name} runs `,
          mm(worst.haveMm),
          ` past its foot on the ${sideOf(thing)}, from ${from} to inside the cap; ${thing.gear.name} needs `,
          mm(want),
          '.',
        ],
      }
    }
  },
  remedies,
})
