import type { Bar } from '../../plan/schema/rack'
import { overAntennas } from '../../facts/antennas'
import { fails, overBy } from '../../facts/comparison'
import { nearestFoot } from '../../facts/foot-clearances'
import { barsUnder } from '../../facts/on-bars'
import { standsIn } from '../../facts/over-roof'
import { pastVehicle } from '../../facts/past-vehicle'
import { sideOverhangOf } from '../../facts/side-overhangs'
import { middleY, tents } from '../../facts/tents'
import { worstWidth } from '../../facts/usable-widths'
import type { Finding } from '../../review/finding'
import { rootOf, type ThingAt } from '../../survey/frame/arrangement'
import { contactYs } from '../../survey/mounting/contacts'
import type { Survey } from '../../survey/survey'
import { mm } from '../../units/phrase'
import { upToMm } from '../../units/tolerance'
import { FIT_NEXT, ofThing, type Candidate, type Fixes, type RemedyStock } from '../candidate'
import { flipped, moved, takeOffFix, turnedAbout } from '../moves'
import { slides } from '../slides'

/** What belongs to a bar itself, and not to where it stands. */
const ITS_OWN = /^(lengthMm|usableMm|capMm|profile)/

/** How the lengths of an exchanged bar are known: its own as of the one that comes, its place as before. */
const knownOf = (here: NonNullable<Bar['known']>, { known = {} }: Bar): NonNullable<Bar['known']> =>
  Object.fromEntries([
    ...Object.entries(here).filter(([field]) => !ITS_OWN.test(field)),
    ...Object.entries(known).filter(([field]) => ITS_OWN.test(field)),
  ])

/** Swap bars for the shortest ones in stock that are long or wide enough, on the same feet. */
function longerBars(
  survey: Survey,
  barIds: readonly string[],
  stock: RemedyStock,
  enough: (bar: Bar) => boolean,
): Candidate[] {
  const longer = (stock.bars ?? []).filter(enough).toSorted((a, b) => a.lengthMm - b.lengthMm)[0]
  const bars = survey.bars.filter(({ bar }) => barIds.includes(bar.id) && !enough(bar))
  if (!longer || bars.length === 0) return []
  return [
    {
      kind: 'fit',
      message: ['Swap for bars of ', mm(longer.lengthMm), ' on the same feet'],
      command: {
        do: 'together',
        commands: bars.map(({ bar: { typed: _, known, ...bar } }) => ({
          do: 'setBar',
          bar: {
            ...bar,
            lengthMm: longer.lengthMm,
            usableMm: longer.usableMm,
            profile: longer.profile,
            capMm: longer.capMm ?? 0,
            known: knownOf({ ...known }, longer),
          },
        })),
      },
      rank: FIT_NEXT + 1000,
    },
  ]
}

function antennaFixes(survey: Survey, thing: ThingAt, finding: Finding): Candidate[] {
  const clear = overAntennas(survey)
    .filter(({ antenna }) => antenna.id === finding.subject.obstacleId)
    .flatMap(({ over }) => over)
    .find(({ placementId }) => placementId === thing.placement.id)?.clearMm
  if (!clear) return []
  const root = rootOf(thing)
  return [
    ...moved(survey, root, -upToMm(clear.forward), 0),
    ...moved(survey, root, upToMm(clear.rearward), 0),
    ...moved(survey, root, 0, upToMm(clear.right)),
    ...moved(survey, root, 0, -upToMm(clear.left)),
    takeOffFix(survey, root),
  ]
}

function clearOfFeetFixes(survey: Survey, thing: ThingAt): Candidate[] {
  const near = nearestFoot(survey, thing)
  if (!near) return []
  const apart = near.least.limit
  return [
    ...moved(survey, thing, 0, -upToMm(near.contactY - (near.footY - apart))),
    ...moved(survey, thing, 0, upToMm(near.footY + apart - near.contactY)),
    takeOffFix(survey, thing),
  ]
}

function onItsBarsFixes(survey: Survey, thing: ThingAt): Candidate[] {
  const on = barsUnder(survey, thing)
  if (!on) return []
  const byMm = overBy(on.short)
  const reached = survey.bars.filter(
    ({ bar, rack }) => rack.id === on.at.rack.id && bar.xMm >= thing.box.x0 && bar.xMm <= thing.box.x1,
  )
  return [
    ...(byMm > 0 ? moved(survey, thing, (on.forward ? -1 : 1) * upToMm(byMm), 0) : []),
    ...(reached.length > 1
      ? [
          {
            kind: 'fit' as const,
            message: [`Mount ${thing.gear.name} on ${reached.map(({ bar }) => bar.name).join(' and ')}`],
            command: {
              do: 'rehost' as const,
              placementId: thing.placement.id,
              host: { on: 'bars' as const, barIds: reached.map(({ bar }) => bar.id) },
              xMm: thing.placement.xMm,
              yMm: thing.placement.yMm,
            },
            rank: FIT_NEXT,
          },
        ]
      : []),
    takeOffFix(survey, thing),
  ]
}

function oneBarFixes(survey: Survey, thing: ThingAt): Candidate[] {
  const twist = survey.statics.twists().find((each) => each.placementId === thing.placement.id)
  return twist && !thing.parent ? moved(survey, thing, -Math.round(twist.offMm), 0) : []
}

function overRoofFixes(survey: Survey, thing: ThingAt): Candidate[] {
  const box = standsIn(survey, thing)[0]?.box
  return [
    ...(box
      ? [
          ...moved(survey, thing, upToMm(box.x1 - thing.box.x0), 0),
          ...moved(survey, thing, -upToMm(thing.box.x1 - box.x0), 0),
          ...moved(survey, thing, 0, upToMm(box.y1 - thing.box.y0)),
          ...moved(survey, thing, 0, -upToMm(thing.box.y1 - box.y0)),
        ]
      : [
          ...moved(
            survey,
            thing,
            upToMm(Math.max(0, survey.plan.vehicle.roof.toXMm + 200 - thing.box.x0)),
            0,
          ),
        ]),
    ...turnedAbout(thing),
    ...flipped(thing),
    takeOffFix(survey, thing),
  ]
}

function sideOverhangFixes(survey: Survey, thing: ThingAt, _: Finding, stock: RemedyStock): Candidate[] {
  const worst = sideOverhangOf(survey, thing)
  if (!worst || thing.placement.host.on !== 'bars') return []
  const { barIds } = thing.placement.host
  const needed = worst.at.bar.lengthMm + 2 * overBy(worst.compared)
  return [
    ...moved(survey, thing, 0, -(thing.box.y0 + thing.box.y1)),
    ...longerBars(survey, barIds, stock, ({ lengthMm }) => lengthMm >= needed - 1e-6),
    takeOffFix(survey, thing),
  ]
}

/** Each of what stands on a bar turned or on edge, so that it takes less of it, or off. */
function sideBySideFixes(survey: Survey, { subject }: Finding): Candidate[] {
  const things = subject.placementIds.flatMap((id) => survey.thingById.get(id) ?? [])
  return [
    ...things.flatMap(turnedAbout),
    ...things.flatMap(flipped),
    ...things.map((thing) => takeOffFix(survey, thing)),
  ]
}

function usableWidthFixes(survey: Survey, thing: ThingAt, _: Finding, stock: RemedyStock): Candidate[] {
  const worst = worstWidth(survey, thing)
  if (!worst) return []
  return [
    ...moved(survey, thing, 0, (worst.side === 'left' ? 1 : -1) * upToMm(overBy(worst.past))),
    ...turnedAbout(thing),
    ...flipped(thing),
    ...longerBars(
      survey,
      thing.placement.host.on === 'bars' ? thing.placement.host.barIds : [],
      stock,
      ({ usableMm }) => usableMm >= Math.max(...contactYs(thing).map(Math.abs)) * 2,
    ),
    takeOffFix(survey, thing),
  ]
}

/** What a tent opens into, out of its floor's way. */
function outOfTheFloor(survey: Survey, tent: ThingAt, finding: Finding): Candidate[] {
  const other = finding.subject.placementIds.flatMap((id) => survey.thingById.get(id) ?? [])[1]
  if (!other) return []
  return slides(survey, rootOf(other), (after) => {
    const meets = tents(after).find(({ thing }) => thing.placement.id === tent.placement.id)?.meets ?? []
    const met = meets.find((each) => each.other.placement.id === other.placement.id)
    return met?.with === 'floor' ? Math.max(-met.floorMm, Number.MIN_VALUE) : 0
  })
}

function tentFixes(survey: Survey, thing: ThingAt, finding: Finding): Candidate[] {
  const facts = tents(survey).find((each) => each.thing === thing)
  if (!facts) return []
  const { cover } = facts
  return [
    ...outOfTheFloor(survey, thing, finding),
    ...(cover && fails(cover) ? moved(survey, thing, upToMm(overBy(cover)), 0) : []),
    ...moved(survey, thing, 0, -middleY(thing)),
    ...turnedAbout(thing),
  ]
}

function loadOverhangFixes(survey: Survey, finding: Finding): Candidate[] {
  const past = pastVehicle(survey).find(({ end }) => finding.id === `load-overhang ${end}`)
  if (!past) return []
  const root = rootOf(past.thing)
  const allowed = past.rules ? ((past.most ?? past.mark)?.limit ?? 0) : past.anybody.limit
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

export const PLACE_FIXES: Readonly<Record<string, Fixes>> = {
  antenna: ofThing(antennaFixes),
  'clear-of-feet': ofThing(clearOfFeetFixes),
  'on-its-bars': ofThing(onItsBarsFixes),
  'one-bar': ofThing(oneBarFixes),
  'over-roof': ofThing(overRoofFixes),
  'side-by-side': sideBySideFixes,
  'side-overhang': ofThing(sideOverhangFixes),
  'usable-width': ofThing(usableWidthFixes),
  tent: ofThing(tentFixes),
  'load-overhang': loadOverhangFixes,
}
