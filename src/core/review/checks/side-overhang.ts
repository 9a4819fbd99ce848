import { TOLERANCE } from '../../units/tolerance'
import type { BarAt, ThingAt } from '../../survey/frame/arrangement'
import { barEnds } from '../../survey/bars/bar-ends'
import type { Survey } from '../../survey/survey'
import { check, practice } from '../check'
import { mm } from '../../units/phrase'

/** What a bar runs past its foot on one side: from the foot's edge, or its centre, to just inside the cap. mm. */
function runPast({ bar, rack }: BarAt, side: 'left' | 'right'): number {
  const { leftMm, rightMm } = barEnds(bar)
  return (side === 'left' ? leftMm : rightMm) - (bar.capMm ?? 0) - (rack.footWidthMm ?? 0) / 2
}

const sideOf = ({ box }: ThingAt): 'left' | 'right' => (box.y0 + box.y1 < 0 ? 'left' : 'right')

export function worstBar(survey: Survey, thing: ThingAt): { at: BarAt; haveMm: number } | undefined {
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

/** Do the bars run far enough past their feet for what loads from the side? mm. */
export const sideOverhang = check({
  id: 'side-overhang',
  title: 'Overhang for side loading',
  question: 'Do the bars run far enough past their feet for what is loaded from the side?',
  formula:
    'from the foot’s edge (its centre where the width is unknown) to just inside the cap ≥ what the sheet asks',
  source: practice('Side-loading boat carriers need overhang. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: {
    of: { bar: /^(lengthMm|capMm|feetYMm)/, rack: /^footWidthMm$/, gear: /^fit\.overhangMm$/ },
    reach: 1,
  },
  nothing: 'Nothing asks for overhang.',
  *run(survey) {
    for (const thing of survey.things) {
      const want = thing.gear.fit.overhangMm
      const worst = want === undefined ? undefined : worstBar(survey, thing)
      if (want === undefined || !worst) continue
      const from = worst.at.rack.footWidthMm === undefined ? 'the foot’s centre' : 'the foot’s edge'
      const left = worst.haveMm - want
      const common = {
        about: thing.placement.id,
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
})
