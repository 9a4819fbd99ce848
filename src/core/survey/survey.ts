import { statesOf } from './loads/presence'
import type { Clearance, Placement } from '../plan/schema/placement'
import type { Plan } from '../plan/schema/plan'
import { barsOf } from '../plan/schema/rack'
import type { State } from '../units/scalars'
import { memo, lazy, type Memo } from '../units/memo'
import { shortOf } from '../units/tolerance'
import { arrange, type Arrangement } from './frame/arrangement'
import { bodyOutline, type BodyOutline } from './frame/body/outline'
import { allowances, loadPath, type Allowance, type LoadPath } from './load-path/load-path'
import { fitOf, type Fit } from './fit'
import { antennaTopZ } from './frame/roof-surface'
import type { MassesBefore } from './loads/reused-masses'
import { type MassPoint } from './loads/mass-point'
import { massInputs, massPoints } from './loads/mass-points'
import { motionOf, type Motion } from './motion/motion'
import { staticsOf, type Statics } from './statics/statics'

/** The highest point of vehicle, racks and gear in a state: mm over the ground. */
interface Height {
  readonly topMm: number
  readonly name: string
  readonly placementId: string | undefined
}

/** What a foot carries in each state: the load alone, and with the rack's own parts. kg; negative is uplift. */
interface FootLoad {
  readonly loadKg: Readonly<Record<State, number>>
  readonly withRackKg: Readonly<Record<State, number>>
}

/** A door against the highest point of the driving states: what is to spare, and whether that is the gap the house wants. mm. */
export interface ClearanceAt {
  readonly clearance: Clearance
  readonly spareMm: number
  readonly passes: boolean
}

/** Everything that follows from a plan. Drawings, rulers, sheets and checks read this and compute nothing of their own. */
export interface Survey extends Arrangement {
  readonly plan: Plan
  /** What stays and rests on something that comes off: it stands nowhere, and is in no sum. */
  readonly stranded: readonly Placement[]
  readonly body: BodyOutline
  readonly masses: readonly MassPoint[]
  readonly footLoads: readonly FootLoad[]
  readonly loadPath: LoadPath
  readonly allowances: readonly Allowance[]
  readonly heights: Readonly<Record<State, Height>>
  /** The highest point of the driving states: what the label on the dash says. */
  readonly drivingTop: Height
  readonly clearances: readonly ClearanceAt[]
  /** What mounts where, and what is in whose way: each part computed when it is first asked for. */
  readonly fit: Fit
  readonly statics: Statics
  readonly motion: Motion
  /** What stands on a rack in a state, carriers and contents, as it is counted: guesses with the house's margin. kg. */
  readonly onRackKg: (rackIndex: number, state: State) => number
  /** What is computed when it is first asked for, to be taken over by the survey after an edit. */
  readonly later: Later
}

interface Later {
  readonly masses: Memo<readonly MassPoint[]>
  readonly path: Memo<LoadPath>
  readonly left: Memo<readonly Allowance[]>
}

function perState<T>(of: (state: State) => T): Record<State, T> {
  return { road: of('road'), trail: of('trail'), parked: of('parked') }
}

function footLoads(arrangement: Arrangement, masses: readonly MassPoint[]): FootLoad[] {
  const loads = arrangement.feet.map(() => ({ loadKg: perState(() => 0), withRackKg: perState(() => 0) }))
  for (const mass of masses)
    for (const [foot, fraction] of mass.feet) {
      const load = loads[foot]
      if (!load) continue
      for (const state of mass.states) {
        const kg = mass.kg * mass.factor * fraction
        load.withRackKg[state] += kg
        if (mass.of !== 'part') load.loadKg[state] += kg
      }
    }
  return loads
}

function highest(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[], state: State): Height {
  let top: Height = { topMm: plan.vehicle.heightMm, name: plan.vehicle.name, placementId: undefined }
  const raise = (topMm: number, name: string) => {
    if (topMm > top.topMm) top = { topMm, name, placementId: undefined }
  }
  for (const obstacle of plan.vehicle.obstacles)
    if (obstacle.kind === 'antenna') raise(antennaTopZ(plan.vehicle, obstacle), obstacle.name)
  for (const attachment of plan.vehicle.attachments)
    if ('canopyKg' in attachment) raise(attachment.topZMm, attachment.name)
  for (const { rack, topZMm } of arrangement.racks)
    if (rack.kind !== 'ladder' || statesOf(rack.when).includes(state)) raise(topZMm, rack.name)
  for (const mass of masses) {
    if (mass.of !== 'gear' || !mass.states.includes(state) || mass.thing.outer.z1 <= top.topMm) continue
    top = { topMm: mass.thing.outer.z1, name: mass.thing.gear.name, placementId: mass.thing.placement.id }
  }
  return top
}

function onRack(masses: readonly MassPoint[], rackIndex: number, state: State): number {
  let kg = 0
  for (const mass of masses) {
    if (mass.of === 'part' || mass.of === 'holder' || mass.of === 'occupant' || !mass.states.includes(state))
      continue
    for (const [rack, share] of mass.racks) if (rack === rackIndex) kg += mass.kg * mass.factor * share
  }
  return kg
}

const NONE: readonly Placement[] = []

/** The plan as the vehicle leaves: without the racks and things that come off, and what stands on them. */
function finished(plan: Plan): { readonly plan: Plan; readonly stranded: readonly Placement[] } {
  const off = plan.racks.filter(({ status }) => status === 'comesOff')
  const gone = plan.placements.filter(({ status }) => status === 'comesOff')
  if (off.length === 0 && gone.length === 0) return { plan, stranded: NONE }
  const racks = plan.racks.filter((rack) => !off.includes(rack))
  const without = new Set(gone.map(({ id }) => id))
  const stands = ({ host }: Plan['placements'][number]): boolean =>
    host.on === 'place'
      ? !without.has(host.placementId)
      : host.on === 'bars'
        ? host.barIds.every((id) => racks.some((rack) => barsOf(rack).some((bar) => bar.id === id)))
        : racks.some(({ id }) => id === host.rackId)
  let { placements } = plan
  for (let count = -1; count !== placements.length;) {
    count = placements.length
    placements = placements.filter((each) => {
      const stays = !without.has(each.id) && stands(each)
      if (!stays) without.add(each.id)
      return stays
    })
  }
  return {
    plan: { ...plan, racks, placements },
    stranded: plan.placements.filter((each) => without.has(each.id) && each.status !== 'comesOff'),
  }
}

/** How high everything stands, and what that leaves under the doors. */
function topsOf(plan: Plan, arrangement: Arrangement, masses: readonly MassPoint[]) {
  const heights = perState((state) => highest(plan, arrangement, masses, state))
  const drivingTop = heights.road.topMm >= heights.trail.topMm ? heights.road : heights.trail
  const clearances = plan.clearances.map((clearance): ClearanceAt => {
    const spareMm = clearance.heightMm - drivingTop.topMm
    return { clearance, spareMm, passes: !shortOf(spareMm, plan.rules.gapsMm.ceiling) }
  })
  return { heights, drivingTop, clearances }
}

/**
 * The masses of a plan, later. Of what was before they hold the masses alone, where they were asked for: whoever held the
 * whole survey before would hold every survey before that.
 */
function massesLater(plan: Plan, arrangement: Arrangement, before: Survey | undefined): Later['masses'] {
  const asked = before?.later.masses.isKnown() ?? false
  const kept: MassesBefore | undefined =
    before && asked ? { plan: before.plan, racks: before.racks, masses: before.masses } : undefined
  return memo(
    before?.later.masses,
    () => massInputs(plan, arrangement),
    () => massPoints(plan, arrangement, kept),
  )
}

/**
 * Computes once all that follows from a plan, of what is on when the vehicle leaves: each part when it is first asked
 * for. Same plan in, same survey out; with the survey before an edit, what the edit left alone is the same objects too.
 */
export function survey(whole: Plan, before?: Survey): Survey {
  const { plan, stranded } = finished(whole)
  const arrangement = arrange(plan, before)
  const { vehicle, rules, use } = plan
  const { racks, things } = arrangement
  const masses = massesLater(plan, arrangement, before)
  const path = memo(
    before?.later.path,
    () => [racks, things, masses(), vehicle, rules, use],
    () => loadPath(plan, arrangement, masses()),
  )
  const left = memo(
    before?.later.left,
    () => [path()],
    () => allowances(arrangement, path()),
  )
  const feet = lazy(() => footLoads(arrangement, masses()))
  const tops = lazy(() => topsOf(plan, arrangement, masses()))
  const statics = staticsOf(arrangement, masses, path, before?.statics)
  return {
    ...arrangement,
    plan: whole,
    stranded,
    body: before?.plan.vehicle === vehicle ? before.body : bodyOutline(vehicle),
    fit: fitOf(plan, arrangement, statics, before?.fit),
    statics,
    motion: motionOf(plan, arrangement, masses, before?.motion),
    later: { masses, path, left },
    get masses() {
      return masses()
    },
    get footLoads() {
      return feet()
    },
    get loadPath() {
      return path()
    },
    get allowances() {
      return left()
    },
    get heights() {
      return tops().heights
    },
    get drivingTop() {
      return tops().drivingTop
    },
    get clearances() {
      return tops().clearances
    },
    onRackKg: (rackIndex, state) => onRack(masses(), rackIndex, state),
  }
}
