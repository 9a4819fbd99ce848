import { NOTHING_DONE, pullKey, signKey, type BayProgress } from '../log/record'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { CHECKS } from '../review/checks'
import { USUAL_BAY } from '../plan/schema/house'
import { survey } from '../survey/survey'
import { drillFindings, drillPlans } from './drilling/drill-plan'
import { partsCheck } from './parts/parts-check'
import { askedOf } from './proof'
import { BAY_RULES } from './rules'
import { stepFindings } from './step-findings'
import { jobSteps } from './steps/job-steps'

/** Everything that a demo job's bay can be made to say: counts short, places over and under, bars out, proof not good. */
function findingText(plan: (typeof DEMO_PLANS)[number]): string[] {
  const surveyed = survey(plan)
  const order = jobSteps(surveyed, USUAL_BAY)
  if (!order.ok) return []
  const bad: BayProgress = {
    ...NOTHING_DONE,
    counted: new Map(partsCheck(surveyed).lines.map(({ id }) => [id, 0])),
    marks: new Map(
      order.steps.flatMap(({ task }) =>
        task.kind === 'marks'
          ? task.asks.map(({ id, mark, marks }) => [id, marks.find((each) => each !== mark) ?? ''] as const)
          : [],
      ),
    ),
    torqued: new Map(
      order.steps.flatMap(({ task }) =>
        task.kind === 'torque'
          ? task.group.pulls.map(
              ({ at, pass }, i) =>
                [pullKey(task.group.joint.id, at, pass), { nm: i % 2 === 0 ? 0.5 : 900 }] as const,
            )
          : [],
      ),
    ),
    wrong: new Map(
      order.steps.flatMap(({ task }) =>
        task.kind === 'torque'
          ? task.group.spots.map((spot) => [signKey(task.group.joint.id, spot), 'not right'] as const)
          : [],
      ),
    ),
    measured: new Map(
      order.steps.flatMap(({ id, task }) =>
        task.kind === 'measure'
          ? task.pairs.map((ask) => [`${id} ${ask.id}`, { spreadLeft: [500], spreadRight: [600] }] as const)
          : [],
      ),
    ),
    proved: new Map(
      order.steps.flatMap(({ task }) =>
        task.kind === 'prove' ? askedOf(task.item).map(({ id }) => [id, 'notGood'] as const) : [],
      ),
    ),
    channels: new Map(
      order.steps.flatMap(({ task }) =>
        task.kind === 'channel'
          ? [
              [
                task.channel.barId,
                [
                  { what: 'a plate', fromLowMm: 1, fixed: true },
                  { what: 'a plate', fromLowMm: 1500, fixed: true },
                ],
              ] as const,
            ]
          : [],
      ),
    ),
  }
  return [
    ...order.steps.flatMap((step) => stepFindings(step, surveyed, bad).map(({ rule }) => rule)),
    ...drillPlans(surveyed).flatMap((each) => drillFindings(each).map(({ rule }) => rule)),
  ]
}

describe('the rules of the bay', () => {
  const said = new Set(DEMO_PLANS.flatMap(findingText))

  it('explain every rule that the bay speaks by', () => {
    const cached = new Set(BAY_RULES.map(({ id }) => id))
    for (const rule of said) expect(cached.has(rule), rule).toBe(true)
  })

  it('and each of them can be made to speak, but for drilling, lost steps and starting lengths, which no demo job has', () => {
    const silent = BAY_RULES.map(({ id }) => id).filter((id) => !said.has(id))
    expect(silent).toEqual(['step-order', 'starting-length', 'drilling'])
  })

  it('have names of their own among all rules', () => {
    const ids = [...CHECKS, ...BAY_RULES].map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
  })
})
