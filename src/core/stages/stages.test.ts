import { expect, it } from 'vitest'
import { DEMO_PLANS } from '../../demo/plans'
import { dueOf } from '../bay/due'
import { isDone } from '../bay/answers'
import { sessionOf } from '../bay/session'
import { jobSteps } from '../bay/steps/job-steps'
import { workedProgress } from '../bay/worked.testing'
import type { LogEvent } from '../log/event'
import { apply } from '../plan/commands/apply'
import { bayRulesOf } from '../plan/schema/house'
import { newPlan } from '../plan/starting/new-plan'
import type { Plan } from '../plan/schema/plan'
import { assessWithFixes } from '../remedies/assess-with-fixes'
import { assess } from '../review/assess'
import { phraseText } from '../units/phrase'
import { nextThing } from './next-thing'
import { STAGES } from './stage-of'
import { stageWords } from './stage-state'
import { type Logged, openRows, stagesOf } from './stages'

const TODAY = '2026-11-27'

/** What the log would say of a job whose steps are done up to one. */
function worked(plan: Plan, upTo: (stepId: string) => boolean, events: readonly LogEvent[] = []): Logged {
  const assessment = assess(plan)
  const order = jobSteps(assessment.survey, bayRulesOf(plan.rules), new Set())
  if (!order.ok) throw new Error(order.reason)
  const progress = workedProgress(assessment.survey, upTo)
  const session = sessionOf(order.steps, assessment.survey, assessment.review, progress)
  expect(session.steps.filter(({ step }) => upTo(step.id)).every(({ step }) => isDone(step, progress))).toBe(
    true,
  )
  return { at: 'read', session, due: dueOf(events, bayRulesOf(plan.rules), [plan]), today: TODAY }
}

const fresh = (plan: Plan) => worked(plan, () => false)
const textsOf = (plan: Plan, logged: Logged = fresh(plan)) => {
  const { stage, say, key } = nextThing(assess(plan), logged)
  return [stage, phraseText(say), key] as const
}
const demo = (name: string) => DEMO_PLANS.find(({ job }) => job.name === name)!

it('counts every open finding at one stage', () => {
  for (const plan of DEMO_PLANS) {
    const assessment = assess(plan)
    const stages = stagesOf(assessment, { at: 'unread' })
    const gravest = openRows(assessment).filter(({ severity }) => severity === 'stop').length
    const shown = STAGES.map((stage) => stages[stage]).reduce(
      (sum, state) => sum + (state.at === 'stop' ? state.count : 0),
      0,
    )
    expect([plan.job.name, shown]).toEqual([plan.job.name, gravest])
  }
})

it('says the state of each stage in a few words', () => {
  const words = (plan: Plan, logged: Logged = fresh(plan)) => {
    const stages = stagesOf(assess(plan), logged)
    return STAGES.map((stage) => stageWords(stage, stages[stage]))
  }
  expect(words(demo('Awning and hatch ladder'))).toEqual([
    '2 to find out',
    'nothing open',
    '2 Stops',
    '1 to mind',
    '0 of 34',
    '',
    '',
  ])
  const van = demo('Yard van, full summer load')
  expect(
    words(
      van,
      worked(van, () => true),
    ).slice(4),
  ).toEqual(['done', 'handed over', ''])
  const unread: Logged = { at: 'unread' }
  expect(words(van, unread).slice(4)).toEqual(['', '', ''])
  const bare = newPlan({ id: 'bare', job: { name: 'Bare' }, vehicle: van.vehicle, racks: [] })
  expect(words(bare)).toEqual(['', 'none yet', 'nothing yet', '', '', '', ''])
  const holdless = { ...van.vehicle, attachments: [] }
  expect(words(newPlan({ id: 'x', job: { name: 'X' }, vehicle: holdless, racks: [] }))[0]).toBe(
    'holds no rack',
  )
  expect(stageWords('log', { at: 'due', on: '2026-01-02', overdue: true })).toBe('overdue, 2026-01-02')
})

it.each([
  ['A boat and the long box', 'load', 'See it'],
  ['Double boat over cab and bed', 'fit', 'Lay out and count the parts'],
  ['Ridge camp, tent for two', 'load', 'See it'],
  ['Survey kit up the ridge road', 'load', 'See it'],
  ['Two bikes on the hatchback', 'racks', 'Door-frame feet, on the road'],
  ['Yard van, full summer load', 'fit', 'Lay out and count the parts'],
  ['Awning and hatch ladder', 'load', 'See it'],
  ['Frame rack for the survey', 'load', 'Working load limit of one strap on Gear bag'],
  ['Wide box under the hatch', 'load', 'See it'],
  ['Long box on a short roof', 'load', 'See it'],
  ['Box, bike and boat on one spread', 'load', 'See it'],
  ['Bed tent over the tailgate', 'fit', 'Lay out and count the parts'],
  ['Pod with thin clamps on heavy bars', 'load', 'See it'],
  ['Ladder and timber on the canopy', 'load', 'See it'],
])('next in %s: at %s, %s', (name, stage, key) => {
  expect(textsOf(demo(name))).toEqual([stage, expect.any(String), key])
})

it('has every job of the demo in that table', () => {
  expect(DEMO_PLANS).toHaveLength(14)
})

it.each(
  DEMO_PLANS.filter((plan) => assess(plan).review.verdict === 'stop').map(
    (plan) => [plan.job.name, plan] as const,
  ),
)('after the first fix of a Stop the next thing is another one: %s', (_, plan) => {
  const assessment = assessWithFixes(plan)
  const { finding } = nextThing(assessment, fresh(plan))
  const [fix] = assessment.remedies(finding!, { parts: [] })
  if (!fix) {
    // Nothing on this plan clears it: the next thing is still this Stop, and stays in sight.
    expect(finding?.severity).toBe('stop')
    return
  }
  const done = apply(plan, fix.command)
  if (!done.ok) throw new Error(done.reason)
  expect(nextThing(assess(done.plan), fresh(done.plan)).finding?.id).not.toBe(finding?.id)
})

it('goes from a bare car to a rack, gear, the bay, the handover and what is due', () => {
  const van = demo('Yard van, full summer load')
  const bare = newPlan({ id: van.id, job: van.job, vehicle: van.vehicle, racks: [] })
  expect(textsOf(bare).slice(0, 1)).toEqual(['racks'])
  const holdless = newPlan({ id: 'x', job: van.job, vehicle: { ...van.vehicle, attachments: [] }, racks: [] })
  expect(textsOf(holdless)).toEqual([
    'vehicle',
    `Nothing on ${van.vehicle.name} holds a rack yet.`,
    'Enter an attachment',
  ])
  const racked = apply(bare, { do: 'addRack', rack: van.racks[0]! })
  if (!racked.ok) throw new Error(racked.reason)
  expect(textsOf(racked.plan)).toEqual(['load', 'The rack is empty.', 'Choose from the shelf'])

  const assessment = assess(van)
  const order = jobSteps(assessment.survey, bayRulesOf(van.rules), new Set())
  if (!order.ok) throw new Error(order.reason)
  const ids = order.steps.map(({ id }) => id)
  for (const [i, { title }] of order.steps.entries()) {
    const before = new Set(ids.slice(0, i))
    if (i === 1 || i === 9 || i === ids.length - 1)
      expect(
        textsOf(
          van,
          worked(van, (each) => before.has(each)),
        ),
      ).toEqual([
        order.steps[i]?.task.kind === 'tell' ? 'handover' : 'fit',
        `${title}.`,
        `Step ${i + 1} of ${ids.length}`,
      ])
  }
  expect(
    textsOf(
      van,
      worked(van, () => true),
    ),
  ).toEqual(['log', 'Handed over, and nothing is due.', 'See its log'])
  const due = { id: 'd', on: '2027-03-12', what: 'Point feet', why: 're-tighten', km: undefined }
  const over = worked(van, () => true)
  if (over.at !== 'read') throw new Error('read')
  expect(textsOf(van, { ...over, due: [{ ...due, on: '2027-06-01' }, due] })).toEqual([
    'log',
    'Handed over. Point feet, due on 2027-03-12.',
    'See the due date',
  ])
})

it('lets the bay go on over an open question once it has begun, and never over a Stop', () => {
  const bikes = demo('Two bikes on the hatchback')
  expect(textsOf(bikes, { at: 'unread' })[0]).toBe('racks')
  const [first] = (worked(bikes, () => false) as Extract<Logged, { at: 'read' }>).session!.steps
  expect(
    textsOf(
      bikes,
      worked(bikes, (id) => id === first?.step.id),
    )[0],
  ).toBe('fit')
  const ladder = demo('Awning and hatch ladder')
  expect(
    textsOf(
      ladder,
      worked(ladder, (id) => id === first?.step.id),
    )[0],
  ).toBe('load')
})

it('says that what is not found out was set aside', () => {
  const bikes = demo('Two bikes on the hatchback')
  const open = assess(bikes).review.findings.filter(({ severity }) => severity === 'findOut')
  const aside = open.reduce((plan, { id, sentence }) => {
    const done = apply(plan, {
      do: 'setAside',
      aside: {
        findingId: id,
        said: phraseText(sentence),
        by: 'I. Marl',
        on: TODAY,
        reason: 'no sheet to be had',
      },
    })
    if (!done.ok) throw new Error(done.reason)
    return done.plan
  }, bikes)
  expect(textsOf(aside)[1]).toBe('No Stop is open; open questions were set aside by name.')
})
