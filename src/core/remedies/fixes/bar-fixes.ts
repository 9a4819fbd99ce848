import { nearest } from '../../geometry/intervals'
import { wrongEnds } from '../../facts/bar-marks'
import { underBar } from '../../facts/measured'
import type { Finding } from '../../review/finding'
import { seatsOfBar } from '../../survey/bars/seat-windows'
import { towerSpacing } from '../../survey/bars/tower-spacing'
import type { Survey } from '../../survey/survey'
import { type Bar, withRise } from '../../plan/schema/rack'
import { mm } from '../../units/phrase'
import { FIT_NEXT, MOVE_FIRST, type Candidate, type Fixes } from '../candidate'
import { barShifts, barsMoved, takeOffFix, turnedAbout } from '../moves'

/** Two bars that stand in each other's place. */
const exchanged = (a: Bar, b: Bar): Candidate => ({
  kind: 'move',
  message: [`Let ${a.name} and ${b.name} change places`],
  command: {
    do: 'together',
    commands: [
      { do: 'moveBar', barId: a.id, xMm: b.xMm },
      { do: 'moveBar', barId: b.id, xMm: a.xMm },
    ],
  },
  rank: MOVE_FIRST + Math.abs(a.xMm - b.xMm),
})

function barSeatFixes(survey: Survey, finding: Finding): Candidate[] {
  const at = survey.bars.find(({ bar }) => bar.id === finding.subject.barId)
  if (!at) return barsMoved(survey)
  const wrong = wrongEnds(survey).find((each) => each.at === at)
  if (wrong && finding.concerns?.wrongEnd) return [exchanged(at.bar, wrong.inItsPlace.bar)]
  const seats = seatsOfBar(survey, at)
  const xMm = seats?.atMm ?? (seats?.within && nearest(seats.within, at.bar.xMm))
  if (xMm === undefined) return barsMoved(survey)
  const by = xMm - at.bar.xMm
  return [
    {
      kind: 'move',
      message: barShifts([{ name: at.bar.name, fromMm: at.bar.xMm, toMm: xMm }]),
      command: { do: 'moveBar', barId: at.bar.id, xMm },
      rank: MOVE_FIRST + Math.abs(by),
    },
    ...barsMoved(survey),
  ]
}

function spreadFixes(survey: Survey, finding: Finding): Candidate[] {
  const things = finding.subject.placementIds.flatMap((id) => survey.thingById.get(id) ?? [])
  return [
    ...barsMoved(survey),
    ...things.flatMap(turnedAbout),
    ...things.map((thing) => takeOffFix(survey, thing)),
  ]
}

function towerSpacingFixes(survey: Survey, finding: Finding): Candidate[] {
  const at = survey.bars.find(({ bar }) => bar.id === finding.subject.barId)
  const rack = survey.racks.find((each) => each.rack.id === at?.rack.id)
  const spacing = at && rack && towerSpacing(rack, at)
  if (!at || spacing?.kind !== 'given' || at.bar.feetYMm.length !== 2) return []
  const half = spacing.feet.towerMm / 2
  const { typed: _, ...bar } = at.bar
  return [
    {
      kind: 'move',
      message: [`Set the feet of ${at.bar.name} `, mm(spacing.feet.towerMm), ' apart, evenly'],
      command: { do: 'setBar', bar: { ...bar, feetYMm: [-half, half] } },
      rank: MOVE_FIRST + Math.abs(spacing.nowMm - spacing.feet.towerMm),
    },
  ]
}

function measuredFactsFixes(survey: Survey, finding: Finding): Candidate[] {
  const measurement = survey.plan.measurements.find(({ id }) => id === finding.subject.measurementId)
  const found = measurement?.kind === 'length' ? underBar(survey, measurement) : undefined
  if (!found) return []
  const { typed: _, ...bar } = found.at.bar
  return [
    {
      kind: 'change',
      message: ['Take the measured ', mm(found.middleMm), ` for the room under ${bar.name}`],
      command: { do: 'setBar', bar: withRise(bar, Math.max(0, found.middleMm)) },
      rank: FIT_NEXT,
    },
  ]
}

export const BAR_FIXES: Readonly<Record<string, Fixes>> = {
  'bar-seat': barSeatFixes,
  spread: spreadFixes,
  'tower-spacing': towerSpacingFixes,
  'measured-facts': measuredFactsFixes,
}
