import { type Candidate, MOVE_FIRST } from '../candidate'
import { type Survey } from '../../survey/survey'
import { type Finding } from '../../review/finding'
import { type Evenness } from '../../survey/statics/evenness'
import { type ThingAt, addTurns } from '../../survey/frame/arrangement'
import { moved } from '../moves'
import { withContents } from '../../survey/loads/mass-points'

const evennessAt = (survey: Survey, finding: Finding): Evenness | undefined =>
  survey.statics
    .evenness()
    .find((each) => each.rack.rack.id === finding.subject.rackId && each.state === finding.state)

/** The things that stand on a rack themselves, so that moving one moves the rack's load. */
const standingOn = (survey: Survey, { rack }: Evenness): ThingAt[] =>
  survey.things.filter(({ placement: { host } }) =>
    host.on === 'bars'
      ? rack.bars.some(({ bar }) => host.barIds.includes(bar.id))
      : host.on === 'deck' && host.rackId === rack.rack.id,
  )

/** Move one thing so far that the whole stands over the middle of the feet: along, across, or both; or half as far where that is too far. */
function evened(survey: Survey, at: Evenness, thing: ThingAt, mass: number): Candidate[] {
  if (mass <= 0) return []
  const dx = Math.round(((at.middle.xMm - at.centre.xMm) * at.kg) / mass)
  const dy = Math.round(((at.middle.yMm - at.centre.yMm) * at.kg) / mass)
  const half = (value: number) => Math.round(value / 2)
  return [
    ...moved(survey, thing, dx, 0),
    ...moved(survey, thing, 0, dy),
    ...(dx !== 0 && dy !== 0 ? moved(survey, thing, dx, dy) : []),
    ...moved(survey, thing, half(dx), half(dy)),
  ]
}

/** Two things of one rack change places. */
function swapped(a: ThingAt, b: ThingAt): Candidate[] {
  const place = (thing: ThingAt, to: ThingAt) =>
    ({
      do: 'move',
      placementId: thing.placement.id,
      xMm: to.placement.xMm,
      yMm: to.placement.yMm,
    }) as const
  if (JSON.stringify(a.placement.host) !== JSON.stringify(b.placement.host)) return []
  if (addTurns(a.turn, b.turn) % 180 !== 0 && a.turn !== b.turn) return []
  const by = Math.hypot(a.placement.xMm - b.placement.xMm, a.placement.yMm - b.placement.yMm)
  return [
    {
      kind: 'move',
      message: [`Let ${a.gear.name.toLowerCase()} and ${b.gear.name.toLowerCase()} change places`],
      command: { do: 'together', commands: [place(a, b), place(b, a)] },
      rank: MOVE_FIRST + 5000 + by,
    },
  ]
}

/** Of all the moves that even a load out, the smallest few are worth trying. */
const TRIED = 5

export function evennessFixes(survey: Survey, finding: Finding): Candidate[] {
  const at = evennessAt(survey, finding)
  if (!at) return []
  // Even in the very middle every foot would bear more than its share: no move mends that.
  if (finding.limit && at.kg / at.rack.feet.length > finding.limit.value) return []
  const things = standingOn(survey, at)
  const weighs = withContents(survey.masses, ({ kg: each, factor, states }) =>
    states.includes(at.state) ? each * factor : 0,
  )
  const all = [
    ...things.flatMap((thing) => evened(survey, at, thing, weighs.get(thing) ?? 0)),
    ...things.flatMap((a, i) => things.slice(i + 1).flatMap((b) => swapped(a, b))),
  ]
  return all.toSorted((a, b) => a.rank - b.rank).slice(0, TRIED)
}
