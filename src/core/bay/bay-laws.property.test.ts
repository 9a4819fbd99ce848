import { pullKey, type BayProgress } from '../log/record'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { runs } from '@/core/runs.testing'
import { madePlans } from '../plan/made-plans.testing'
import type { Plan } from '../plan/schema/plan'
import { review } from '../review/review'
import { USUAL_BAY } from '../plan/schema/house'
import { survey, type Survey } from '../survey/survey'
import { evidenceRule, currentProgress } from './evidence'
import { sessionOf } from './session'
import { lastPass } from './torque/passes'
import { jobSteps } from './steps/job-steps'
import type { Step } from './steps/step'
import { rangeOf } from './torque/reading'
import { workedEvents, type WorkedEvent } from './worked'
import { loggedBy } from './worked.testing'

const RUNS = { numRuns: runs(800) }
/** Jobs of the demo, and jobs made from the kinds. */
const jobs: fc.Arbitrary<Plan> = fc.oneof(fc.constantFrom(...DEMO_PLANS), madePlans)

const stepsOf = (surveyed: Survey): readonly Step[] => {
  const order = jobSteps(surveyed, USUAL_BAY)
  return order.ok ? order.steps : []
}
const doneIn = (steps: readonly Step[], surveyed: Survey, logged: BayProgress) =>
  currentProgress(steps, surveyed, logged).progress.done

describe('laws of the bay, on made jobs', () => {
  it('no reading outside its range is ever done, whoever ticks it and whatever else is said', () => {
    let assessment = 0
    let refused = 0
    fc.assert(
      fc.property(
        jobs,
        fc.array(fc.constantFrom(1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 0.7, 1.3), {
          minLength: 40,
          maxLength: 60,
        }),
        (plan, values) => {
          const surveyed = survey(plan)
          const steps = stepsOf(surveyed)
          const wanted = new Map(
            steps.flatMap(({ task }) =>
              task.kind === 'torque'
                ? task.group.pulls.map(
                    ({ at, pass, nm }) => [pullKey(task.group.joint.id, at, pass), nm] as const,
                  )
                : [],
            ),
          )
          let turn = 0
          const events = workedEvents(surveyed, USUAL_BAY).map((event): WorkedEvent => {
            if (event.kind !== 'torqued') return event
            turn += 1
            const nm = wanted.get(pullKey(event.jointId, event.spot, event.pass))
            return nm === undefined
              ? event
              : { ...event, nm: nm * (values[turn % values.length] ?? 1), how: 'reading' }
          })
          const about = steps.map(({ id, title }): WorkedEvent => ({
            kind: 'deviated',
            stepId: id,
            title,
            reason: 'whatever',
            about: [],
          }))
          const logged = loggedBy([...about, ...events])
          const done = doneIn(steps, surveyed, logged)
          for (const step of steps) {
            if (step.task.kind !== 'torque') continue
            if (!done.has(step.id)) {
              refused += 1
              continue
            }
            const { group } = step.task
            const range = rangeOf(group.joint)
            for (const { at, pass } of group.pulls) {
              const nm = logged.torqued.get(pullKey(group.joint.id, at, pass))?.nm
              if (nm === undefined || !range || group.joint.torque.kind !== 'sheet') continue
              assessment += 1
              expect(nm, `${step.id} ${at}`).toBeLessThanOrEqual(range.toNm * 1.000001)
              if (pass === lastPass(group)) expect(nm).toBeGreaterThanOrEqual(range.fromNm * 0.999999)
            }
          }
        },
      ),
      // Few of the jobs have sheets that give a figure.
      { numRuns: Math.max(RUNS.numRuns, 60) },
    )
    expect(Math.min(assessment, refused)).toBeGreaterThan(0)
  })

  it('any beginning of a log is a state, and no later beginning knows less', () => {
    fc.assert(
      fc.property(jobs, fc.nat(100), (plan, share) => {
        const surveyed = survey(plan)
        const steps = stepsOf(surveyed)
        const assessment = review(surveyed)
        const events = workedEvents(surveyed, USUAL_BAY)
        const upTo = (length: number) =>
          sessionOf(steps, surveyed, assessment, loggedBy(events.slice(0, length)))
        const cut = Math.floor((events.length * share) / 100)
        const [early, late] = [upTo(cut), upTo(events.length)]
        expect(early.done).toBeLessThanOrEqual(late.done)
        expect(late.done).toBe(steps.length)
        expect(early.left.two).toBeLessThanOrEqual(early.left.one + 1e-9)
      }),
      RUNS,
    )
  })

  it('ticks stay as they are when another part gains a joint', () => {
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_PLANS), fc.nat(9), (plan, which) => {
        const surveyed = survey(plan)
        const parts = plan.racks.flatMap((rack, r) => rack.parts.map((part, p) => ({ r, p, part })))
        const gains = parts[which % Math.max(1, parts.length)]
        if (!gains) return
        const now: Plan = {
          ...plan,
          racks: plan.racks.map((rack, r) => ({
            ...rack,
            parts: rack.parts.map((part, p) =>
              r === gains.r && p === gains.p
                ? { ...part, fasteners: [...(part.fasteners ?? []), { thread: 'M5', count: 2 }] }
                : part,
            ),
          })),
        }
        const later = survey(now)
        const logged = loggedBy(workedEvents(surveyed, USUAL_BAY))
        const open = stepsOf(later).filter(({ id }) => !doneIn(stepsOf(later), later, logged).has(id))
        for (const { id } of open)
          // Its own new joint is open; what is printed and counted is too; every other tick stays.
          expect(
            id === 'job/tell' || id === 'job/count' || id.includes(`-${gains.part.id}-`),
            `${plan.id}: ${id}`,
          ).toBe(true)
        expect(open.some(({ id }) => id.includes(`-${gains.part.id}-`))).toBe(true)
      }),
      { numRuns: runs(300) },
    )
  })

  /** Which evidence an edit makes old, and no other: the table, both ways. */
  const EDITS: readonly {
    readonly what: string
    readonly edit: (plan: Plan) => Plan
    readonly old: readonly string[]
  }[] = [
    {
      what: 'a speed of 20 km/h more',
      edit: (plan) => ({ ...plan, use: { ...plan.use, roadKmH: plan.use.roadKmH + 20 } }),
      old: ['the drive', 'told and handed over'],
    },
    {
      what: 'a speed of 20 km/h less',
      edit: (plan) => ({ ...plan, use: { ...plan.use, roadKmH: Math.max(10, plan.use.roadKmH - 20) } }),
      old: ['told and handed over'],
    },
    {
      what: 'another name on the sheet',
      edit: (plan) => ({ ...plan, job: { ...plan.job, name: `${plan.job.name.slice(0, 40)} once more` } }),
      old: ['told and handed over'],
    },
    {
      what: 'a price',
      edit: (plan) => ({
        ...plan,
        gear: plan.gear.map((gear) => ({ ...gear, price: (gear.price ?? 0) + 1 })),
      }),
      old: [],
    },
  ]

  it.each(EDITS.map((each) => [each.what, each] as const))(
    '%s makes old what hangs on it, and nothing else',
    (_, { edit, old }) => {
      fc.assert(
        fc.property(jobs, (plan) => {
          const now = edit(plan)
          const later = survey(now)
          const steps = stepsOf(later)
          const { again } = currentProgress(steps, later, loggedBy(workedEvents(survey(plan), USUAL_BAY)))
          const kinds = new Set(
            steps.flatMap((step) => (again.has(step.id) ? [evidenceRule(step).evidence] : [])),
          )
          // What is wanted old is, wherever the job has such a step at all.
          const has = old.filter((evidence) => steps.some((step) => evidenceRule(step).evidence === evidence))
          expect([...kinds].sort()).toEqual([...has].sort())
        }),
        RUNS,
      )
    },
  )

  it('a bar moved by 30 mm makes old what stands on its place, and leaves every other rack’s joints', () => {
    fc.assert(
      fc.property(jobs, fc.nat(3), (plan, which) => {
        const racks = plan.racks.flatMap((rack, i) =>
          rack.kind === 'ladder' || rack.bars.length === 0 ? [] : [i],
        )
        const at = racks[which % Math.max(1, racks.length)]
        if (at === undefined) return
        const now: Plan = {
          ...plan,
          racks: plan.racks.map((rack, i) =>
            i !== at || rack.kind === 'ladder'
              ? rack
              : { ...rack, bars: rack.bars.map((bar, b) => (b === 0 ? { ...bar, xMm: bar.xMm - 30 } : bar)) },
          ),
        }
        const later = survey(now)
        const steps = stepsOf(later)
        const { again } = currentProgress(steps, later, loggedBy(workedEvents(survey(plan), USUAL_BAY)))
        const moved = plan.racks[at]?.id
        for (const step of steps) {
          const { task } = step
          if (task.kind !== 'torque' || task.group.joint.owner.of !== 'part') continue
          expect(again.has(step.id), step.id).toBe(step.rackId === moved)
        }
      }),
      RUNS,
    )
  })
})
