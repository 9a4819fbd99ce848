import { GEAR_KINDS } from '../../kinds/gear-kind'
import { isPeople } from '../../survey/loads/mass-point'
import type { Finding } from '../../review/finding'
import { addTurns, type ThingAt } from '../../survey/frame/arrangement'
import { withContents } from '../../survey/loads/mass-points'
import type { Evenness } from '../../survey/statics/evenness'
import type { Survey } from '../../survey/survey'
import { MOVE_FIRST, type Candidate, type Fixes } from '../candidate'
import { lightenLayer } from '../lighten'
import { moved, takeOffFix } from '../moves'

const evennessAt = (survey: Survey, finding: Finding): Evenness | undefined =>
  survey.statics
    .evenness()
    .find((each) => each.rack.rack.id === finding.subject.rackId && each.state === finding.state)

/** The things that stand on a rack themselves, so that moving one moves the rack's load. */
const placeOnHost = (survey: Survey, { rack }: Evenness): ThingAt[] =>
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
      message: [`Let ${a.gear.name} and ${b.gear.name} change places`],
      command: { do: 'together', commands: [place(a, b), place(b, a)] },
      rank: MOVE_FIRST + 5000 + by,
    },
  ]
}

/** Of all the moves that even a load out, the smallest few are worth trying. */
const TRIED = 5

function evennessFixes(survey: Survey, finding: Finding): Candidate[] {
  const at = evennessAt(survey, finding)
  if (!at) return []
  // Even in the very middle every foot would bear more than its share: no move mends that.
  if (finding.limit && at.kg / at.rack.feet.length > finding.limit.value) return []
  const things = placeOnHost(survey, at)
  const weighs = withContents(survey.masses, ({ kg: each, factor, states }) =>
    states.includes(at.state) ? each * factor : 0,
  )
  const all = [
    ...things.flatMap((thing) => evened(survey, at, thing, weighs.get(thing) ?? 0)),
    ...things.flatMap((a, i) => things.slice(i + 1).flatMap((b) => swapped(a, b))),
  ]
  return all.toSorted((a, b) => a.rank - b.rank).slice(0, TRIED)
}

function peopleDrivingFixes({ masses }: Survey, finding: Finding): Candidate[] {
  return masses
    .filter(isPeople)
    .filter((mass) => finding.concerns?.massId === mass.id)
    .map((mass) => ({
      kind: 'change',
      message: [`${mass.label}: parked only`],
      rank: mass.kg,
      command:
        mass.of === 'load' && mass.load
          ? { do: 'setLoad', placementId: mass.thing.placement.id, load: { ...mass.load, when: 'parked' } }
          : { do: 'setWhen', placementId: mass.thing.placement.id, when: 'parked' },
    }))
}

/** Fewer people, the tent over the middle of the feet, or off with it. */
function sleepersFixes(survey: Survey, finding: Finding): Candidate[] {
  const rack = survey.racks.find((each) => each.rack.id === finding.subject.rackId)
  if (!rack) return []
  const tents = new Set(
    survey.masses.flatMap((mass) =>
      mass.of === 'load' &&
      mass.load?.what.kind === 'people' &&
      mass.racks.some(([index]) => index === rack.index)
        ? [mass.thing]
        : [],
    ),
  )
  const xs = rack.feet.map((foot) => foot.xMm)
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2
  return [...tents].flatMap((tent) => [
    ...(tent.parent ? [] : moved(survey, tent, Math.round(middle - (tent.box.x0 + tent.box.x1) / 2), 0)),
    ...(tent.parent ? [] : moved(survey, tent, 0, -Math.round((tent.box.y0 + tent.box.y1) / 2))),
    ...tent.placement.loads.flatMap((load): Candidate[] => {
      const { what } = load
      if (what.kind !== 'people' || what.count < 2) return []
      return [
        {
          kind: 'less',
          message: [`${load.name}: ${what.count - 1} instead of ${what.count}`],
          command: {
            do: 'setLoad',
            placementId: tent.placement.id,
            load: { ...load, what: { ...what, count: what.count - 1 } },
          },
          rank: what.each.kg,
        },
      ]
    }),
    takeOffFix(survey, tent),
  ])
}

function heightClearanceFixes(survey: Survey, finding: Finding): Candidate[] {
  const id = finding.subject.placementIds[0]
  const thing = id === undefined ? undefined : survey.thingById.get(id)
  if (!thing) return []
  const { placement, gear } = thing
  const flip = gear.onEdge && (placement.onEdge ? gear.heightMm < gear.widthMm : gear.widthMm < gear.heightMm)
  const mass = survey.masses.reduce(
    (sum, point) => ('thing' in point && point.thing === thing ? sum + point.kg : sum),
    0,
  )
  const low = gear.name
  const laid: Candidate = {
    kind: 'change',
    message: [placement.onEdge ? `Lay ${low} flat` : `Stand ${low} on edge`],
    command: { do: 'setOnEdge', placementId: placement.id, onEdge: !placement.onEdge },
    rank: 0,
  }
  return [
    ...(flip ? [laid] : []),
    // What is of use only where the vehicle stands may stay off until it does; a boat is not driven anywhere by that.
    ...(GEAR_KINDS[gear.kind].usedParked
      ? [
          {
            kind: 'change' as const,
            message: [`Carry ${low} only when parked`],
            command: { do: 'setWhen' as const, placementId: placement.id, when: 'parked' as const },
            rank: mass + 0.01,
          },
        ]
      : []),
    {
      kind: 'off',
      message: [`Take off ${low}`],
      command: { do: 'takeOff', placementId: placement.id },
      rank: mass,
    },
  ]
}

export const LOAD_FIXES: Readonly<Record<string, Fixes>> = {
  'counts-unsaid': lightenLayer,
  'each-rating': lightenLayer,
  evenness: evennessFixes,
  'guessed-mass': lightenLayer,
  'layer-limit': lightenLayer,
  payload: lightenLayer,
  'people-driving': peopleDrivingFixes,
  sleepers: sleepersFixes,
  'height-clearance': heightClearanceFixes,
}
