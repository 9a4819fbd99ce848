import { axleVerdicts } from '../../facts/axles'
import { bendings } from '../../facts/bending'
import { overBy } from '../../facts/comparison'
import { mostOver } from '../../facts/judge-comparison'
import { upliftsAtRest, upliftsInMotion } from '../../facts/uplifts'
import type { Finding } from '../../review/finding'
import type { ThingAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { TOLERANCE } from '../../units/tolerance'
import type { Candidate, Fixes } from '../candidate'
import { takeOffFix } from '../moves'
import { heaviestRoots, lessUntil, slides, type Over } from '../slides'

/** Whether a thing bears on a rack, or on one of its bars. */
const bearsOn =
  (survey: Survey, { rackId, barId }: { readonly rackId?: string; readonly barId?: string }) =>
  (thing: ThingAt): boolean => {
    const { host } = thing.placement
    if (host.on === 'bars')
      return barId === undefined
        ? survey.bars.some(({ bar, rack }) => rack.id === rackId && host.barIds.includes(bar.id))
        : host.barIds.includes(barId)
    return host.on === 'deck' && host.rackId === rackId
  }

/** Moves of what bears there, and each of it off. */
function movedOrOff(survey: Survey, on: Parameters<typeof bearsOn>[1], over: Over): readonly Candidate[] {
  const things = heaviestRoots(survey, bearsOn(survey, on))
  return [
    ...things.flatMap((thing) => slides(survey, thing, over)),
    ...things.map((thing) => takeOffFix(survey, thing)),
  ]
}

/** The load in between the feet, until the foot is lifted no more, or by no more than it holds. */
function upliftFixes(survey: Survey, finding: Finding): readonly Candidate[] {
  const { footId } = finding.subject
  const foot = survey.feet.find(({ id }) => id === footId)
  const rackId = survey.racks.find(({ index }) => index === foot?.rackIndex)?.rack.id
  if (!foot || rackId === undefined) return []
  const holdsKg =
    finding.severity === 'stop'
      ? (upliftsAtRest(survey).lifted.find((each) => each.foot.id === footId)?.holds?.limit ?? 0)
      : 0
  return movedOrOff(survey, { rackId }, ({ footLoads }) => {
    const load = footLoads[foot.index]?.loadKg
    return load ? -holdsKg - Math.min(load.road, load.trail, load.parked) - TOLERANCE.noughtKg : 0
  })
}

function upliftInMotionFixes(survey: Survey, finding: Finding): readonly Candidate[] {
  const { rackId } = finding.subject
  if (rackId === undefined) return []
  const stops = finding.severity === 'stop'
  return movedOrOff(survey, { rackId }, (after) => {
    const lifted = upliftsInMotion(after).find(
      ({ at, state }) => at.rack.id === rackId && state === finding.state,
    )
    return lifted ? overBy(stops && lifted.holds ? lifted.holds : lifted.lifts) : 0
  })
}

/** What bends a bar nearer to its feet, less of it, or off. */
function bendingFixes(survey: Survey, finding: Finding): readonly Candidate[] {
  const { barId } = finding.subject
  if (barId === undefined) return []
  const over: Over = (after) => {
    const found = bendings(after).find(({ at }) => at.bar.id === barId)
    if (!found) return 0
    const { room, stress } = found
    return Math.max(room ? overBy(room) : 0, stress ? overBy(stress.guarded) : 0)
  }
  return [
    ...(finding.severity === 'stop' ? lessUntil(survey, over) : []),
    ...movedOrOff(survey, { barId }, over),
  ]
}

/** Less of what burdens an axle, further from it, or off. */
function axleFixes(survey: Survey, finding: Finding): readonly Candidate[] {
  const now = axleVerdicts(survey).find(
    ({ axle, state }) => state === finding.state && finding.concerns?.axle === axle,
  )
  if (!now) return []
  const over: Over = (after) => {
    const found = axleVerdicts(after).find(({ axle, state }) => axle === now.axle && state === now.state)
    return found ? Math.max(mostOver(found.comparison), found.countedKg - found.comparison.limit) : 0
  }
  const things = heaviestRoots(survey, () => true)
  return [
    ...lessUntil(survey, over),
    ...things.flatMap((thing) => slides(survey, thing, over)),
    ...things.map((thing) => takeOffFix(survey, thing)),
  ]
}

export const FORCE_FIXES: Readonly<Record<string, Fixes>> = {
  axles: axleFixes,
  'bar-bending': bendingFixes,
  uplift: upliftFixes,
  'uplift-in-motion': upliftInMotionFixes,
}
