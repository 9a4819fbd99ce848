import { fails, overBy, spareOf } from '../../facts/comparison'
import { barsUnder } from '../../facts/on-bars'
import type { Survey } from '../../survey/survey'
import { mm, missing, toSpare } from '../../units/phrase'
import { plural } from '../../units/words'
import { type FindingDraft, check, practice } from '../check'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'

/** What is to stay on something that comes off stands nowhere: it has to go elsewhere, or come off too. */
function* stranded({ plan, stranded: all }: Survey): Iterable<FindingDraft> {
  for (const { id, gearId } of all) {
    const name = plan.gear.find((each) => each.id === gearId)?.name ?? 'A thing'
    yield {
      about: `stranded ${id}`,
      severity: 'stop',
      state: 'all',
      subject: { placementIds: [id] },
      sentence: [
        `${name} rests on something that comes off, so it is not counted. Move it, or mark it as coming off too.`,
      ],
    }
  }
}

/** Does everything reach the bars that it is said to stand on, and are they as many as it asks for? */
export const onItsBars = check({
  id: 'on-its-bars',
  title: 'On its bars',
  question: 'Does everything reach each of its bars, and as many as its sheet requires?',
  formula: 'each bar’s centre between the thing’s ends; number of bars from … to …',
  source: practice('Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: { lengths: { of: { ...HEIGHTS, gear: GEAR_SIZES }, reach: 1 } },
  nothing: 'Nothing stands on bars.',
  *run(survey) {
    yield* stranded(survey)
    for (const thing of survey.things) {
      const on = barsUnder(survey, thing)
      if (!on) continue
      const { name, fit } = thing.gear
      const { at, short, count, bars, step, shim, toStop } = on
      const common = {
        about: thing.placement.id,
        state: 'all',
        subject: { placementIds: [thing.placement.id], barId: at.bar.id },
      } as const
      if (fails(short))
        yield {
          ...common,
          severity: 'stop',
          margin: mm(spareOf(short)),
          sentence: [
            `${name} ends `,
            missing(mm(overBy(short))),
            ` short of ${at.bar.name}, which is to hold it.`,
          ],
        }
      else if (fit.bars && bars && fails(bars))
        yield {
          ...common,
          severity: 'stop',
          sentence: [
            `${name} stands on ${count} ${plural(count, 'bar', 'bars')}; it asks for ${fit.bars.from === fit.bars.to ? fit.bars.from : `${fit.bars.from} to ${fit.bars.to}`}.`,
          ],
        }
      else if (fails(step))
        yield {
          ...common,
          severity: fails(shim) ? 'stop' : 'mind',
          nearStop: { mm: spareOf(shim) },
          measured: mm(step.measure),
          sentence: [
            `${name} stands on bars whose tops differ by `,
            mm(step.measure),
            ': it rests on the higher bars alone until the lower ones are raised.',
          ],
        }
      else
        yield {
          ...common,
          severity: 'clear',
          margin: mm(spareOf(short)),
          nearStop: { mm: toStop },
          sentence: [
            `${name} reaches its ${count === 1 ? 'bar' : `${count} bars`}, with at least `,
            toSpare(mm(spareOf(short))),
            ' past the last.',
          ],
        }
    }
  },
})
