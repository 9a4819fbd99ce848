import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { runs } from '@/core/runs.testing'
import { DEMO_PLANS, boatAndBox, hatchJob } from '@/demo/plans'
import { replay } from '../log/replay'
import { NOTHING_DONE, type BayProgress } from '../log/record'
import { USUAL_BAY } from '../plan/schema/house'
import { madePlans } from '../plan/made-plans.testing'
import type { Plan } from '../plan/schema/plan'
import { survey, type Survey } from '../survey/survey'
import { currentProgress } from './evidence'
import { jobSteps } from './steps/job-steps'
import type { Step, Task } from './steps/step'
import { lastPass } from './torque/passes'
import { workedEvents, type WorkedEvent } from './worked'

/** What a job's log says after these. */
const after = (events: readonly WorkedEvent[]): BayProgress =>
  replay(
    events.map((event, i) => ({ ...event, id: String(i), at: '', vehicleId: 'v', jobId: 'j', turn: i + 1 })),
  ).jobs.get('j') ?? NOTHING_DONE

function stepsOf(surveyed: Survey): readonly Step[] {
  const order = jobSteps(surveyed, USUAL_BAY)
  if (!order.ok) throw new Error(order.reason)
  return order.steps
}

const doneOn = (surveyed: Survey, steps: readonly Step[], events: readonly WorkedEvent[]) =>
  currentProgress(steps, surveyed, after(events)).progress.done

/** Whether an entry is evidence that a step stands on. A pull of an earlier pass is not: the last one counts. */
function standsOn({ id, task }: Step, event: WorkedEvent): boolean {
  switch (task.kind) {
    case 'count':
      return event.kind === 'counted'
    case 'weigh':
      return event.kind === 'weighed' && event.targetId === task.targetId
    case 'measure':
      return event.kind === 'measured' && event.stepId === id
    case 'channel':
      return event.kind === 'channelSeen' && event.barId === task.channel.barId
    case 'prove':
      return (
        event.kind === 'proved' &&
        [task.item.id, ...(task.item.cases ?? []).map((each) => each.id)].includes(event.item)
      )
    case 'tell':
      return event.kind === 'told'
    case 'marks':
      return event.kind === 'marksSeen' && event.stepId === id
    case 'torque': {
      const { group } = task
      return (
        (event.kind === 'torqued' && event.jointId === group.joint.id && event.pass === lastPass(group)) ||
        (event.kind === 'signSeen' && event.jointId === group.joint.id)
      )
    }
    case 'do':
    case 'start':
    case 'cut':
    case 'confirm':
      return false
  }
}

let taken = 0
const kinds = new Set<Task['kind']>()

/** Takes every evidence away by itself: its step opens, what was handed over too, and nothing else. */
function holdsFor(plan: Plan, only: (i: number) => boolean = () => true): void {
  const surveyed = survey(plan)
  const steps = stepsOf(surveyed)
  const events = workedEvents(surveyed, USUAL_BAY)
  const all = doneOn(surveyed, steps, events)
  let i = 0
  for (const step of steps) {
    if (!all.has(step.id)) continue
    for (const event of events.filter((each) => standsOn(step, each))) {
      i += 1
      if (!only(i)) continue
      taken += 1
      kinds.add(step.task.kind)
      const left = doneOn(
        surveyed,
        steps,
        events.filter((each) => each !== event),
      )
      const opened = [...all].filter((id) => !left.has(id))
      const at = `${plan.id} ${step.id} without ${JSON.stringify(event)}`
      expect(opened, at).toContain(step.id)
      expect(
        opened.filter((id) => id !== step.id && id !== 'job/tell'),
        at,
      ).toEqual([])
    }
  }
  const ticks = events.filter(({ kind }) => kind === 'stepDone')
  const byWord = steps.flatMap((step) =>
    all.has(step.id) && !events.some((event) => standsOn(step, event)) ? [step.id] : [],
  )
  expect([...doneOn(surveyed, steps, ticks)].sort(), `${plan.id} by ticks alone`).toEqual([...byWord].sort())
}

describe('a tick stands on its evidence (B2b)', () => {
  it('in every job of the demo', () => {
    for (const plan of DEMO_PLANS) holdsFor(plan, (i) => i % 3 === 0)
    expect(taken).toBeGreaterThan(150)
  })

  it('in made jobs', () => {
    fc.assert(
      fc.property(madePlans, (plan) => {
        const order = jobSteps(survey(plan), USUAL_BAY)
        if (order.ok) holdsFor(plan, (i) => i % 5 === 0)
      }),
      { numRuns: Math.max(10, runs(300)), endOnFailure: true },
    )
    expect([...kinds].sort()).toEqual([
      'channel',
      'count',
      'marks',
      'measure',
      'prove',
      'tell',
      'torque',
      'weigh',
    ])
  })
})

describe('a tick hangs on what it speaks of (B2c)', () => {
  /** The steps that were done of a plan and are open on another. */
  function openedBy(plan: Plan, edit: (plan: Plan) => Plan): string[] {
    const before = survey(plan)
    const now = survey(edit(plan))
    const { again } = currentProgress(stepsOf(now), now, after(workedEvents(before, USUAL_BAY)))
    return [...again.keys()]
  }
  const onRacks = (change: (rack: Plan['racks'][number]) => Plan['racks'][number]) => (plan: Plan) => ({
    ...plan,
    racks: plan.racks.map(change),
  })
  const bars40 = onRacks((rack) =>
    'bars' in rack ? { ...rack, bars: rack.bars.map((bar) => ({ ...bar, xMm: bar.xMm + 40 })) } : rack,
  )
  const otherFeet = onRacks((rack) => ({
    ...rack,
    parts: rack.parts.map((part) => (part.role === 'feet' ? { ...part, name: 'Other feet' } : part)),
  }))
  const moved = (by: number) => (plan: Plan) => ({
    ...plan,
    placements: plan.placements.map((each, i) => (i > 0 ? each : { ...each, xMm: each.xMm + by })),
  })
  const exchanged = (plan: Plan): Plan => ({
    ...plan,
    gear: plan.gear.map((gear, i) => (i > 0 ? gear : { ...gear, name: 'Chest of 40 kg' })),
  })
  const first = hatchJob.placements[0]!
  const ofFirst = (plan: Plan) =>
    `gear:${plan.placements.find(({ gearId }) => gearId === plan.gear[0]?.id)?.id}/`

  it('bars that moved open where they were placed, the channel, the strips and their measuring', () => {
    const opened = openedBy(hatchJob, bars40)
    const rack = hatchJob.racks.find(({ kind }) => kind === 'bars')!.id
    for (const key of ['place', 'square', 'strips', 'caps']) expect(opened).toContain(`${rack}/${key}`)
    expect(opened.some((id) => id.startsWith('channel/'))).toBe(true)
    expect(opened).not.toContain(`${rack}/prepare`)
  })

  it('feet that were exchanged open all that was done with them', () => {
    const opened = openedBy(boatAndBox, otherFeet)
    for (const key of ['sub-assembly', 'feet-on-bars', 'lift-on', 'start-by-hand', 'place', 'covers'])
      expect(opened).toContain(`wing/${key}`)
    expect(opened.some((id) => id.startsWith('wing/torque-'))).toBe(true)
  })

  it('a thing that was moved, or exchanged for another, is started and tightened again', () => {
    const ofMoved = openedBy(hatchJob, moved(300)).filter((id) => id.startsWith(`gear:${first.id}/`))
    expect(ofMoved).toContain(`gear:${first.id}/set`)
    expect(ofMoved.some((id) => id.includes('torque'))).toBe(true)
    const of = openedBy(hatchJob, exchanged).filter((id) => id.startsWith(ofFirst(hatchJob)))
    expect(of).toContain(`${ofFirst(hatchJob)}set`)
  })

  it('a step of a part’s own with another text is done again', () => {
    const plan = DEMO_PLANS.find(({ racks }) =>
      racks.some(({ parts }) => parts.some(({ work }) => work?.steps?.length)),
    )!
    const edit = onRacks((rack) => ({
      ...rack,
      parts: rack.parts.map((part) => ({
        ...part,
        ...(part.work && {
          work: {
            ...part.work,
            steps: (part.work.steps ?? []).map((step) => ({ ...step, detail: 'Anew.' })),
          },
        }),
      })),
    }))
    expect(openedBy(plan, edit).some((id) => id.split('/').length === 3)).toBe(true)
  })

  it('what was told holds though its words read otherwise by now, and not where fewer were told', () => {
    const surveyed = survey(boatAndBox)
    const steps = stepsOf(surveyed)
    const events = workedEvents(surveyed, USUAL_BAY)
    const reworded = events.map((event) =>
      event.kind === 'told' ? { ...event, what: `Earlier: ${event.what}` } : event,
    )
    expect(doneOn(surveyed, steps, reworded).has('job/tell')).toBe(true)
    const none = events.filter(({ kind }) => kind !== 'told')
    expect(doneOn(surveyed, steps, none).has('job/tell')).toBe(false)
  })

  it('a part more is counted too', () => {
    const edit = onRacks((rack) => ({
      ...rack,
      parts: rack.parts.map((part) => ({
        ...part,
        fasteners: [...(part.fasteners ?? []), { thread: 'M8', count: 3 }],
      })),
    }))
    expect(openedBy(boatAndBox, edit)).toContain('job/count')
  })
})
