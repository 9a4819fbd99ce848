import { TOLERANCE } from '../../units/tolerance'
import type { ThingAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { check, practice, type Said } from '../check'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'
import { mm } from '../../units/phrase'

/** How far a thing falls short of the bar that it reaches least: mm, and to which end. */
export function missing(survey: Survey, thing: ThingAt) {
  const { host } = thing.placement
  if (host.on !== 'bars') return undefined
  return survey.bars
    .filter(({ bar }) => host.barIds.includes(bar.id))
    .map((at) => {
      const ahead = thing.box.x0 - at.bar.xMm
      const behind = at.bar.xMm - thing.box.x1
      return { at, byMm: Math.max(ahead, behind), forward: ahead > behind }
    })
    .reduce<{ at: (typeof survey.bars)[number]; byMm: number; forward: boolean } | undefined>(
      (so, each) => (so && so.byMm >= each.byMm ? so : each),
      undefined,
    )
}

/** Whether a thing ends short of a bar that is to hold it. */
export function endsShort({ bars }: Survey, { placement: { host }, box }: ThingAt): boolean {
  if (host.on !== 'bars') return false
  for (const { bar } of bars)
    if (Math.max(box.x0 - bar.xMm, bar.xMm - box.x1) > TOLERANCE.lengthMm && host.barIds.includes(bar.id))
      return true
  return false
}

/** What shims or legs may still make up between the tops of bars. Common practice, no source. mm. */
const SHIM_MM = 20

/** How far the tops of the bars that hold a thing differ. mm. */
function stepOf(survey: Survey, { placement: { host } }: ThingAt): number {
  if (host.on !== 'bars') return 0
  const tops = survey.bars.filter(({ bar }) => host.barIds.includes(bar.id)).map(({ box }) => box.z1)
  return tops.length === 0 ? 0 : Math.max(...tops) - Math.min(...tops)
}

/** How far a thing is from ending short of a bar, and from standing on bars whose tops differ too much. mm. */
function roomsOf(survey: Survey, thing: ThingAt, pastMm: number) {
  const { host } = thing.placement
  const step = SHIM_MM - stepOf(survey, thing)
  const stoodOn = new Set(
    survey.bars.flatMap(({ bar, attachment }) =>
      host.on === 'bars' && host.barIds.includes(bar.id) ? [attachment] : [],
    ),
  )
  const apart = stoodOn.size > 1 ? step : Infinity
  return { gear: pastMm, bar: step, rack: Infinity, vehicle: apart, attachment: apart }
}

/** What is to stay on something that comes off stands nowhere: it has to go elsewhere, or come off too. */
function* stranded({ plan, stranded: all }: Survey): Iterable<Said> {
  for (const { id, gearId } of all) {
    const name = plan.gear.find((each) => each.id === gearId)?.name ?? 'A thing'
    yield {
      about: `stranded ${id}`,
      severity: 'stop',
      state: 'all',
      subject: { placementIds: [id] },
      sentence: [
        `${name} rests on something that comes off: it is counted nowhere. Put it on what stays, or say that it comes off too.`,
      ],
    }
  }
}

/** Does everything reach the bars that it is said to stand on, and are they as many as it asks for? */
export const onItsBars = check({
  id: 'on-its-bars',
  title: 'On its bars',
  question: 'Does everything reach every bar that holds it, and are they as many as its sheet asks?',
  formula: 'each bar’s centre between the thing’s ends; number of bars from … to …',
  source: practice('Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: { of: { ...HEIGHTS, gear: GEAR_SIZES }, reach: 1 },
  nothing: 'Nothing stands on bars.',
  *run(survey) {
    yield* stranded(survey)
    for (const thing of survey.things) {
      const { host } = thing.placement
      const short = missing(survey, thing)
      if (!short || host.on !== 'bars') continue
      const { name, fit } = thing.gear
      const subject = { placementIds: [thing.placement.id], barId: short.at.bar.id }
      const common = {
        about: thing.placement.id,
        state: 'all',
        subject,
      } as const
      const count = host.barIds.length
      if (short.byMm > TOLERANCE.lengthMm)
        yield {
          ...common,
          severity: 'stop',
          margin: mm(-short.byMm),
          sentence: [`${name} ends `, mm(short.byMm), ` short of ${short.at.bar.name}, which is to hold it.`],
        }
      else if (fit.bars && (count < fit.bars.from || count > fit.bars.to))
        yield {
          ...common,
          severity: 'stop',
          sentence: [
            `${name} stands on ${count} ${count === 1 ? 'bar' : 'bars'}; it asks for ${fit.bars.from === fit.bars.to ? fit.bars.from : `${fit.bars.from} to ${fit.bars.to}`}.`,
          ],
        }
      else if (stepOf(survey, thing) > survey.plan.rules.tolerancesMm.legs + TOLERANCE.lengthMm)
        yield {
          ...common,
          severity: stepOf(survey, thing) > SHIM_MM ? 'stop' : 'mind',
          toStop: SHIM_MM - stepOf(survey, thing),
          measured: mm(stepOf(survey, thing)),
          sentence: [
            `${name} stands on bars whose tops differ by `,
            mm(stepOf(survey, thing)),
            ': it rests on the higher ones alone until the lower are brought up.',
          ],
        }
      else
        yield {
          ...common,
          severity: 'clear',
          margin: mm(0 - short.byMm),
          toStop: roomsOf(survey, thing, -short.byMm),
          sentence: [
            `${name} reaches its ${count === 1 ? 'bar' : `${count} bars`}, with at least `,
            mm(-short.byMm),
            ' past the last.',
          ],
        }
    }
  },
})
