import { pullKey, signKey, type BayProgress, type Hung } from '../log/record'
import { packed } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { answerOf } from './answers'
import { holdsOf, isUngiven } from './holds'
import { factText, printOf } from '../log/fact-print'
import { askedOf } from './proof'
import { stepFindings } from './step-findings'
import type { Step } from './steps/step'

/** One value that evidence hangs on, by a name that stays. Lengths in mm, masses in kg, speeds in km/h. */
interface Fact {
  readonly key: string
  readonly value: number | string
}

/** A kind of fact: how it reads, where it is found, and which change of it makes evidence old. */
interface FactKind {
  readonly say: string
  readonly of: (step: Step, survey: Survey, progress: BayProgress) => readonly Fact[]
  /** Whether the evidence is old for this change; without a value before, something was added. */
  readonly old: (before: number | string | undefined, now: number | string) => boolean
}

const movedBy =
  (toleranceMm: number): FactKind['old'] =>
  (before, now) =>
    typeof before !== 'number' || typeof now !== 'number' || Math.abs(now - before) > toleranceMm

const differs: FactKind['old'] = (before, now) => before !== now

const barsOf = ({ rackId }: Step, { bars }: Survey) =>
  bars.filter(({ rack }) => rackId === undefined || rack.id === rackId)

const outside = ({ things }: Survey) => things.filter((thing) => !packed(thing))

const middles = (survey: Survey): Fact[] =>
  outside(survey).flatMap(({ placement, box }) => [
    { key: `${placement.id} x`, value: (box.x0 + box.x1) / 2 },
    { key: `${placement.id} y`, value: (box.y0 + box.y1) / 2 },
    { key: `${placement.id} z`, value: box.z1 },
  ])

/** So much a bar or a foot may be out before what was seen of it is seen again, mm. Common practice, no source. */
const PLACE_MM = 3
/** So much a load may stand elsewhere before it is driven again, mm. */
const DRIVEN_MM = 50
/** So much nearer something may come to what opens or swings, mm. */
const SWING_MM = 5

/** What a plan holds and no sheet prints. */
const NOT_PRINTED: ReadonlySet<string> = new Set(['price', 'typed', 'have'])

const FACTS = {
  figure: {
    say: 'the joint’s own sheet',
    of: ({ task }) => {
      if (task.kind !== 'torque') return []
      const { fastener } = task.group.joint
      const { thread, torqueNm, atMostNm, count } = fastener
      return [
        {
          key: 'figure',
          value: [thread, count, torqueNm?.from ?? '', torqueNm?.to ?? '', atMostNm ?? ''].join(' '),
        },
      ]
    },
    old: differs,
  },
  bars: {
    say: 'where the bars stand',
    of: (step, survey) => barsOf(step, survey).map(({ bar }) => ({ key: bar.id, value: bar.xMm })),
    old: movedBy(PLACE_MM),
  },
  feet: {
    say: 'where the feet stand',
    of: ({ rackId }, { feet, racks }) => {
      const own = racks.find(({ rack }) => rack.id === rackId)?.feet ?? feet
      return own.map(({ id, yMm }) => ({ key: id, value: yMm }))
    },
    old: movedBy(PLACE_MM),
  },
  speed: {
    say: 'the speed it is to be driven at',
    of: (_step, { plan }) => [{ key: 'speed', value: plan.use.roadKmH }],
    old: (before, now) => typeof before !== 'number' || typeof now !== 'number' || now > before + 0.5,
  },
  outside: {
    say: 'what stands outside',
    of: (_step, survey) => middles(survey),
    old: movedBy(DRIVEN_MM),
  },
  load: {
    say: 'what stands on the bars, heavier by more than a tenth',
    of: (_step, survey) => [
      { key: 'load', value: outside(survey).reduce((sum, { gear }) => sum + gear.mass.kg, 0) },
    ],
    old: (before, now) => typeof before !== 'number' || typeof now !== 'number' || now > before * 1.1,
  },
  swing: {
    say: 'what stands in its way',
    of: (step, survey) => [
      ...middles(survey),
      ...survey.bars.map(({ bar }) => ({ key: bar.id, value: bar.xMm })),
    ],
    old: movedBy(SWING_MM),
  },
  opening: {
    say: 'what opens, as it is described',
    of: (_step, { plan }) =>
      plan.vehicle.obstacles.map((each) => ({ key: each.id, value: printOf(factText(each)) })),
    old: differs,
  },
  printed: {
    say: 'what the sheet prints',
    of: (step, { plan }, progress) => {
      const seen = {
        done: [...progress.done].filter((id) => id !== step.id).sort(),
        pulled: [...progress.torqued].sort(byKey),
        proved: [...progress.proved].sort(byKey),
        answers: [...progress.answers].sort(byKey).flatMap(([, list]) => list.map(({ id }) => id)),
        differs: progress.deviations.filter(({ stepId }) => stepId !== step.id).map(({ id }) => id),
      }
      return [
        {
          key: 'plan',
          value: printOf(factText(plan, NOT_PRINTED)),
        },
        { key: 'bay', value: printOf(factText(seen)) },
      ]
    },
    old: differs,
  },
} as const satisfies Readonly<Record<string, FactKind>>
type FactName = keyof typeof FACTS

function byKey([a]: readonly [string, unknown], [b]: readonly [string, unknown]): number {
  return a < b ? -1 : a > b ? 1 : 0
}

/** What each kind of evidence hangs on: the one table of it. What is not in it does not grow old. */
export const HANGS_ON: readonly {
  readonly evidence: string
  readonly is: (step: Step) => boolean
  readonly on: readonly FactName[]
}[] = [
  {
    evidence: 'torque of a rack',
    is: ({ task }) => task.kind === 'torque' && task.group.joint.owner.of === 'part',
    on: ['figure', 'bars', 'feet'],
  },
  {
    evidence: 'torque of a mount',
    is: ({ task }) => task.kind === 'torque' && task.group.joint.owner.of === 'gear',
    on: ['figure', 'bars'],
  },
  { evidence: 'squareness', is: ({ task }) => task.kind === 'measure', on: ['bars'] },
  { evidence: 'seat and shake', is: proves(/^(seat|shake|second-click)$/), on: ['bars', 'feet'] },
  {
    evidence: 'what opens or swings',
    is: proves(/^(hatch|tailgate|sunroof|antenna)-|^doors$/),
    on: ['opening', 'swing'],
  },
  { evidence: 'the drive', is: proves(/^(drive|after-drive)$/), on: ['speed', 'outside', 'load'] },
  { evidence: 'told and handed over', is: ({ task }) => task.kind === 'tell', on: ['printed'] },
]

function proves(items: RegExp) {
  return ({ task }: Step): boolean => task.kind === 'prove' && items.test(task.item.id)
}

const rowsFor = (step: Step): readonly FactName[] => HANGS_ON.find(({ is }) => is(step))?.on ?? []

/** What a step's being done hangs on as the plan is now: kept with the tick. */
export function hangsNow(step: Step, survey: Survey, progress: BayProgress): Hung {
  return Object.fromEntries(
    rowsFor(step).flatMap((name) =>
      FACTS[name].of(step, survey, progress).map(({ key, value }) => [`${name} ${key}`, value]),
    ),
  )
}

/** What has changed of what a tick hung on, in words; nothing while it still holds. A tick from before this was kept holds. */
function grownOld(
  step: Step,
  survey: Survey,
  progress: BayProgress,
  hung: Hung | undefined,
): string | undefined {
  if (!hung) return undefined
  for (const name of rowsFor(step)) {
    const kind: FactKind = FACTS[name]
    for (const { key, value } of kind.of(step, survey, progress))
      if (kind.old(hung[`${name} ${key}`], value)) return kind.say
  }
  return undefined
}

/** A job's progress as it holds today: what has grown old is open again, with what changed. */
interface HeldProgress {
  readonly progress: BayProgress
  /** The steps to be done again, by id, each with what changed since. */
  readonly again: ReadonlyMap<string, string>
}

/** Whether somebody said that a step differs before such words named what they are about. */
const unnamedWord = ({ id }: Step, { deviations }: BayProgress): boolean =>
  deviations.some(({ stepId, about }) => stepId === id && about === undefined)

/**
 * Whether a step that was ticked has a Stop of its own now: a place pulled again and over its figure, bars taped anew and
 * out. A word from before deviations named what they are about still covers its step, but never a joint over its figure.
 */
function stopsNow(step: Step, survey: Survey, progress: BayProgress): boolean {
  const findings = stepFindings(step, survey, progress)
  const open = holdsOf(step, survey, findings, progress).filter(({ id }) =>
    findings.some((finding) => finding.id === id),
  )
  return open.some(({ coverable }) => !coverable || !unnamedWord(step, progress))
}

/** Entries of older logs ticked a proof that was only put off: nobody has given it. */
const putOff = ({ task }: Step, { proved }: BayProgress): boolean =>
  task.kind === 'prove' &&
  [task.item.id, ...askedOf(task.item).map(({ id }) => id)].some((id) => proved.get(id) === 'notNow')

/** A tick taken in from elsewhere stands for no place of a joint that nobody pulled, read or answered for. */
const unpulled = (step: Step, survey: Survey, progress: BayProgress): boolean =>
  step.task.kind === 'torque' &&
  !unnamedWord(step, progress) &&
  holdsOf(step, survey, [], progress).some(isUngiven)

/** Takes out of a job's progress what no longer holds on this plan, step after step. The log keeps it all. */
export function heldProgress(steps: readonly Step[], survey: Survey, logged: BayProgress): HeldProgress {
  const again = new Map<string, string>()
  const [done, torqued, measured, proved, answers, signs] = [
    new Set(logged.done),
    new Map(logged.torqued),
    new Map(logged.measured),
    new Map(logged.proved),
    new Map(logged.answers),
    new Set(logged.signs),
  ]
  // A later step is judged by what the earlier ones have left standing.
  const progress: BayProgress = { ...logged, done, torqued, measured, proved, answers, signs }
  for (const step of steps) {
    const ticked = done.has(step.id)
    const answer = answerOf(step, progress)
    if (!ticked && answer?.answer !== 'alreadyOn') continue
    if (putOff(step, progress) || (ticked && unpulled(step, survey, progress))) {
      done.delete(step.id)
      continue
    }
    if (ticked && stopsNow(step, survey, progress)) {
      // What stops it stays to be seen.
      again.set(step.id, 'a reading or a count')
      done.delete(step.id)
      continue
    }
    const changed = grownOld(step, survey, progress, ticked ? logged.hung.get(step.id) : answer?.hung)
    if (changed === undefined) continue
    again.set(step.id, changed)
    done.delete(step.id)
    answers.delete(step.id)
    const { task } = step
    if (task.kind === 'torque')
      for (const { at, pass } of task.group.pulls) {
        torqued.delete(pullKey(task.group.joint.id, at, pass))
        signs.delete(signKey(task.group.joint.id, at))
      }
    if (task.kind === 'measure') for (const { id } of task.pairs) measured.delete(`${step.id} ${id}`)
    if (task.kind === 'prove') for (const { id } of askedOf(task.item)) proved.delete(id)
  }
  return done.size === logged.done.size && again.size === 0
    ? { progress: logged, again }
    : { progress, again }
}
