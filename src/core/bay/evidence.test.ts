import { pullKey, type BayProgress } from '../log/record'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS, hatchJob, ridgeTent } from '@/demo/plans'
import { printPlan, readPlan } from '../formats/plan-file'
import type { Plan } from '../plan/schema/plan'
import { USUAL_BAY } from '../plan/schema/house'
import { survey } from '../survey/survey'
import { evidenceRule, currentProgress } from './evidence'
import { jobSteps } from './steps/job-steps'
import type { Step } from './steps/step'
import { workedProgress } from './worked.testing'

const stepsOf = (plan: Plan): readonly Step[] => {
  const order = jobSteps(survey(plan), USUAL_BAY)
  if (!order.ok) throw new Error(order.reason)
  return order.steps
}

/** Everything of a job done and seen, as it stood. */
const allDone = (plan: Plan): BayProgress => workedProgress(survey(plan))

/** Which kinds of evidence grow old when a plan that was done becomes another. */
function oldAfter(plan: Plan, edit: (plan: Plan) => Plan): string[] {
  const now = edit(plan)
  const { again } = currentProgress(stepsOf(now), survey(now), allDone(plan))
  const kinds = stepsOf(now)
    .filter(({ id }) => again.has(id))
    .map((step) => evidenceRule(step).evidence)
  return [...new Set(kinds)].sort()
}

const RACK = ['seat and shake', 'squareness', 'torque of a rack']
const TOLD = 'told and handed over'
/** What depends on where a thing stands. */
const STOOD = ['torque of a mount', 'what was started by hand']
const firstBar = (by: number) => (plan: Plan) => ({
  ...plan,
  racks: plan.racks.map((rack, i) =>
    i > 0 || rack.kind === 'ladder'
      ? rack
      : { ...rack, bars: rack.bars.map((bar, j) => (j > 0 ? bar : { ...bar, xMm: bar.xMm + by })) },
  ),
})
const firstThing = (by: number) => (plan: Plan) => ({
  ...plan,
  placements: plan.placements.map((each, i) => (i > 0 ? each : { ...each, xMm: each.xMm + by })),
})
const speed = (by: number) => (plan: Plan) => ({
  ...plan,
  use: { ...plan.use, roadKmH: plan.use.roadKmH + by },
})

/** A value with the fields of every object in the opposite order. */
function turnedAbout(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(turnedAbout)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .reverse()
      .map(([key, each]) => [key, turnedAbout(each)]),
  )
}

describe('what evidence hangs on', () => {
  it('is the same plan whatever the order of its fields, from a file and from this very page', () => {
    for (const plan of DEMO_PLANS) {
      const again = readPlan(JSON.parse(printPlan(plan)))
      if (!again.ok) throw new Error(plan.id)
      expect(
        oldAfter(plan, () => again.plan),
        plan.id,
      ).toEqual([])
      expect(
        oldAfter(plan, () => turnedAbout(plan) as Plan),
        plan.id,
      ).toEqual([])
    }
  })
})

it('a proof that an older log ticked as put off is not done (B6)', () => {
  const all = allDone(ridgeTent)
  const logged = { ...all, proved: new Map([...all.proved, ['shake', 'notNow'] as const]) }
  const { progress, again } = currentProgress(stepsOf(ridgeTent), survey(ridgeTent), logged)
  expect(progress.done.has('prove/shake')).toBe(false)
  expect(progress.done.has('prove/seat')).toBe(true)
  // What was handed over spoke of another proof.
  expect([...again.keys()]).toEqual(['job/tell'])
})

describe('evidence grows old with what it hung on, and with nothing else (B6)', () => {
  const torqueOfMounts = stepsOf(hatchJob).some(({ id }) => id.startsWith('gear:'))
    ? ['torque of a mount']
    : []
  it.each<[string, (plan: Plan) => Plan, readonly string[]]>([
    ['nothing changed', (plan) => plan, []],
    ['another name for the job', (plan) => ({ ...plan, job: { ...plan.job, name: 'Other' } }), [TOLD]],
    [
      'a price, which no sheet prints',
      (plan) => ({ ...plan, gear: plan.gear.map((gear) => ({ ...gear, price: 1 })) }),
      [],
    ],
    ['the speed raised', speed(20), ['the drive', TOLD]],
    ['the speed lowered', speed(-20), [TOLD]],
    [
      'a bar 30 mm further',
      firstBar(30),
      [
        ...RACK,
        ...torqueOfMounts,
        'what opens or swings',
        'what was cut',
        'what was done',
        'what was loaded',
        TOLD,
      ],
    ],
    ['a bar a millimetre further', firstBar(1), [TOLD]],
    ['a load 100 mm further', firstThing(100), ['the drive', 'what opens or swings', ...STOOD, TOLD]],
    ['a load 20 mm further', firstThing(20), ['what opens or swings', ...STOOD, TOLD]],
    ['a load 8 mm further', firstThing(8), ['what opens or swings', TOLD]],
    [
      'something put into the box',
      (plan) => ({
        ...plan,
        placements: plan.placements.map((each, i) =>
          i > 0
            ? each
            : {
                ...each,
                loads: [
                  ...each.loads,
                  {
                    id: 'more',
                    name: 'More',
                    when: 'always',
                    what: { kind: 'mass', mass: { kg: 20, basis: 'weighed' } },
                  },
                ],
              },
        ),
      }),
      [TOLD],
    ],
    [
      'a heavier box',
      (plan) => ({
        ...plan,
        gear: plan.gear.map((gear) => ({ ...gear, mass: { ...gear.mass, kg: gear.mass.kg * 1.5 } })),
      }),
      ['the drive', TOLD],
    ],
    [
      'another figure for the feet',
      (plan) => ({
        ...plan,
        racks: plan.racks.map((rack) => ({
          ...rack,
          parts: rack.parts.map((part) => ({
            ...part,
            ...(part.role === 'feet' && {
              fasteners: [{ thread: 'M6', count: 4, torqueNm: { from: 2, to: 3 } }],
            }),
          })),
        })),
      }),
      ['torque of a rack', 'the count', TOLD],
    ],
    [
      'a mark that its sheet measures from',
      (plan) => ({
        ...plan,
        racks: plan.racks.map((rack) => ({ ...rack, sheetMark: { what: 'glass edge', frontMm: 231 } })),
      }),
      ['squareness', TOLD],
    ],
    [
      'the hatch described anew',
      (plan) => ({
        ...plan,
        vehicle: {
          ...plan.vehicle,
          obstacles: plan.vehicle.obstacles.map((each) =>
            each.kind === 'hatch' ? { ...each, opensDeg: each.opensDeg - 3 } : each,
          ),
        },
      }),
      ['what opens or swings', TOLD],
    ],
  ])('%s', (_, edit, kinds) => {
    expect(oldAfter(hatchJob, edit)).toEqual([...kinds].sort())
  })

  it('takes readings and words with it, and says what changed', () => {
    const now = speed(20)(ridgeTent)
    const { progress, again } = currentProgress(stepsOf(now), survey(now), allDone(ridgeTent))
    expect(again.get('prove/drive')).toBe('the speed it is to be driven at')
    expect(progress.done.has('prove/drive')).toBe(false)
    expect(progress.proved.has('drive')).toBe(false)
    expect(progress.proved.get('shake')).toBe('good')
    const moved = firstBar(30)(ridgeTent)
    const after = currentProgress(stepsOf(moved), survey(moved), allDone(ridgeTent)).progress
    expect(after.torqued.size).toBeLessThan(allDone(ridgeTent).torqued.size)
  })

  it('leaves what was ticked before this was kept, and holds on every demo job as it stands', () => {
    for (const plan of DEMO_PLANS) {
      const steps = stepsOf(plan)
      expect(currentProgress(steps, survey(plan), allDone(plan)).again.size).toBe(0)
      const untold = { ...allDone(plan), hung: new Map() }
      expect(currentProgress(steps, survey(speed(40)(plan)), untold).again.size).toBe(0)
    }
  })

  it('opens a ticked joint again when a place is pulled over its figure, and keeps the reading to be seen', () => {
    const step = stepsOf(ridgeTent).find(({ id }) => id === 'platform/torque-platform-feet-0')!
    if (step.task.kind !== 'torque') throw new Error('no joint')
    const { joint, pulls } = step.task.group
    const right = new Map(pulls.map(({ at, pass, nm }) => [pullKey(joint.id, at, pass), { nm }] as const))
    const key = pullKey(joint.id, 'LHF', 3)
    const standing = (torqued: BayProgress['torqued']) =>
      currentProgress(stepsOf(ridgeTent), survey(ridgeTent), { ...allDone(ridgeTent), torqued })
    expect(standing(right).again.has(step.id)).toBe(false)
    // A place that nobody gave is not done by a tick that was taken in from elsewhere.
    const unread = standing(new Map([...right].filter(([each]) => each !== key)))
    expect([unread.progress.done.has(step.id), unread.again.has(step.id)]).toEqual([false, false])
    const over = standing(new Map([...right, [key, { nm: 19 }]]))
    expect(over.again.get(step.id)).toBe('a reading or a count')
    expect(over.progress.done.has(step.id)).toBe(false)
    expect(over.progress.torqued.get(key)?.nm).toBe(19)
  })
})
