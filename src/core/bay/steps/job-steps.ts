import { hasOwnChannel } from '../../plan/schema/attachment-traits'
import { toFit } from '../../units/scalars'
import { PHASES } from '../../plan/schema/work'
import { cautionsFor } from '../../review/cautions'
import type { Fastener } from '../../plan/schema/fastening'
import type { BayRules } from '../../plan/schema/house'
import type { Survey } from '../../survey/survey'
import { barChannels, bedChannels } from '../channel/channel'
import { proofList } from '../proof'
import { gearSteps } from './gear-steps'
import { comingOff, fittedThings } from './joint-groups'
import { COUNT, LEVEL } from './levels'
import { inOrder, type Order } from './order'
import { JOB_TITLE } from './own-titles'
import { rackSteps } from './rack-steps'
import { reopenedChannels } from './reopened-channels'
import type { Step } from './step'
import { changedByHouse, replacedSteps, withJobMinutes, withoutSteps } from './step-changes'
import { withCautions } from './step-cautions'
import { stepOf } from './step-of'
import { weighSteps } from './weigh-steps'

/** A rack's steps with an edge from every step of a stage to every one of the next that has any. */
function staged(steps: readonly Step[]): Step[] {
  const levels = [...new Set(steps.map(({ stage }) => LEVEL[stage]))].sort((a, b) => a - b)
  return steps.map((step) => {
    const at = levels.indexOf(LEVEL[step.stage])
    const before = levels[at - 1]
    const gate =
      before === undefined
        ? [COUNT]
        : steps.filter(({ stage }) => LEVEL[stage] === before).map(({ id }) => id)
    return { ...step, after: [...new Set([...step.after, ...gate])] }
  })
}

/** Taking off what comes off: racks, and what stands alone on one that stays. */
function offSteps({ plan, racks, things }: Survey): Step[] {
  const jointsOff = (id: string, name: string, fasteners: readonly Fastener[] | undefined) =>
    (fasteners ?? []).flatMap((fastener, i) => {
      const { names, bolts } = comingOff(fastener)
      return names.length === 0
        ? []
        : [{ id: `${id}-${i}`, name: `${fastener.name ?? name}, ${bolts} at ${names.join(', ')}` }]
    })
  const leaving = [
    ...racks
      .filter(({ rack }) => toFit(rack))
      .flatMap(({ rack }) => rack.parts.flatMap(({ id, name, fasteners }) => jointsOff(id, name, fasteners))),
    ...things
      .filter(({ placement }) => toFit(placement))
      .flatMap(({ placement, gear }) => jointsOff(placement.id, gear.name, gear.fasteners)),
    ...plan.racks.flatMap(({ id, name, status }) => (status === 'comesOff' ? [{ id, name }] : [])),
    ...plan.placements.flatMap(({ id, gearId, status }) =>
      status === 'comesOff' ? [{ id, name: plan.gear.find((gear) => gear.id === gearId)?.name ?? id }] : [],
    ),
  ]
  return leaving.map(({ id, name }) =>
    stepOf({
      id: `off/${id}`,
      key: 'off',
      group: 'job',
      rackId: undefined,
      stage: 'vehicle',
      title: `Take off: ${name}`,
      detail: [
        'Every fastener a turn slacker before any comes out, corner to corner; bag the parts of one joint together with a label. Check pads, paint and threads under it.',
      ],
      after: [COUNT],
      minutes: { from: 8, to: 15 },
      hands: 2,
      task: { kind: 'do', on: ['words'] },
    }),
  )
}

/** Where several racks are worked on, the steps of each with its name. */
function named(steps: readonly Step[], { racks }: Survey): readonly Step[] {
  const worked = racks.filter(({ rack }) => steps.some(({ group }) => group === rack.id))
  if (worked.length < 2) return steps
  const names = new Map(worked.map(({ rack }) => [rack.id, rack.name]))
  return steps.map((step) => {
    const name = names.get(step.group)
    return name === undefined ? step : { ...step, title: `${name}: ${step.title}`, said: step.title }
  })
}

/** The steps without what their sheets have them come after and is not there: that is asked at the step, and keeps no other one. */
function withoutLost(steps: readonly Step[]): readonly Step[] {
  const ids = new Set(steps.map(({ id }) => id))
  return steps.map((step) => {
    const lost = (step.bySheet ?? []).filter((id) => !ids.has(id))
    return lost.length === 0 ? step : { ...step, after: step.after.filter((id) => !lost.includes(id)), lost }
  })
}

/**
 * All steps of the plan's job in an order that respects every edge, or which of them wait for each other. What this job
 * has weighed already keeps its step; `asked` are the weights on which a verdict depends.
 */
export function jobSteps(
  survey: Survey,
  rules: BayRules,
  weighed: ReadonlySet<string> = new Set(),
  asked?: ReadonlySet<string>,
): Order<Step> {
  const off = offSteps(survey)
  const racks = survey.racks
    .filter(({ rack }) => toFit(rack))
    .map((rack) => ({ id: rack.rack.id, steps: staged(rackSteps(survey, rack, rules)) }))
  const fixedBy = (rackId: string) => {
    const own = racks.find(({ id }) => id === rackId)?.steps ?? []
    const torque = own.filter(({ stage }) => stage === 'torque')
    return (torque.length > 0 ? torque : own.filter(({ stage }) => LEVEL[stage] <= 2)).map(({ id }) => id)
  }
  const things = fittedThings(survey)
  const gear = things.flatMap((thing) => gearSteps(survey, thing, rules, fixedBy))
  const decides = [...gear, ...racks.flatMap(({ steps }) => steps)].filter(
    ({ purpose }) => purpose === 'decidesSpread',
  )
  const barred = barChannels(survey)
  const reopened = reopenedChannels(survey, barred)
  const opened = (rackId: string) =>
    reopened.flatMap((each) => (each.rackId === rackId ? [each.opens.id] : []))
  const channels = [...barred, ...bedChannels(survey)].map((channel) => {
    const inBed = survey.racks.some(
      ({ rack, attachments }) => rack.id === channel.rackId && attachments.some(hasOwnChannel),
    )
    return stepOf({
      id: `channel/${channel.barId}`,
      group: channel.rackId,
      rackId: channel.rackId,
      stage: inBed ? 'vehicle' : 'start',
      title: `Load the channel: ${channel.channel.name}`,
      detail: [`${channel.channel.wanted.length} nuts, in this order, before the end is closed.`],
      after: [COUNT, ...(inBed ? [] : [...fixedBy(channel.rackId), ...opened(channel.rackId)])],
      minutes: { from: 3, to: 6 },
      task: { kind: 'channel', channel },
    })
  })
  const weigh = weighSteps(survey, weighed, [COUNT], asked)
  // What closes a channel comes after all that stands in it; what the gear decides comes before the bars are placed.
  const again = reopened.map(({ rackId, closes }) => ({ id: rackId, steps: closes }))
  const rackList = [...racks, ...again].flatMap(({ id, steps }) => {
    const onIt = gear.filter((step) => step.rackId === id).map((step) => step.id)
    const loads = channels.filter(({ rackId }) => rackId === id).map((step) => step.id)
    return steps.map((step) => {
      // What comes off makes room first.
      const room = step.stage === 'vehicle' || step.stage === 'start' ? off.map((each) => each.id) : []
      const later = [...room, ...(step.purpose === 'closesChannel' ? [...onIt, ...loads] : [])]
      const bed =
        step.stage === 'start'
          ? loads.filter((load) => channels.find((each) => each.id === load)?.stage === 'vehicle')
          : []
      // A thing or a part decides the spread of its own rack's bars, and of no other.
      const first =
        step.stage === 'place' && step.purpose !== 'decidesSpread'
          ? decides.filter(({ rackId }) => rackId === id).map((each) => each.id)
          : []
      return later.length + bed.length + first.length === 0
        ? step
        : { ...step, after: [...new Set([...step.after, ...later, ...bed, ...first])] }
    })
  })
  const count = stepOf({
    id: COUNT,
    key: 'count',
    group: 'job',
    rackId: undefined,
    stage: 'bench',
    title: JOB_TITLE.count,
    detail: ['All parts on the bench before the first bolt: a missing part stops the job now, not later.'],
    minutes: { from: 10, to: 20 },
    task: { kind: 'count' },
  })
  const work = [
    count,
    ...weigh,
    ...off,
    ...reopened.map(({ opens }) => opens),
    ...rackList,
    ...channels,
    ...gear,
  ]
  const all = work.map(({ id }) => id)
  const proofs = proofList(survey, rules)
  const proof = proofs.map((item, i) =>
    stepOf({
      id: `prove/${item.id}`,
      key: item.id,
      group: 'job',
      rackId: undefined,
      stage: 'prove',
      title: item.title,
      detail: [item.detail],
      after: [...all, ...(i === 0 ? [] : [`prove/${proofs[i - 1]?.id ?? ''}`])],
      minutes: { from: item.minutes, to: item.minutes * 1.5 },
      task: { kind: 'prove', item },
    }),
  )
  const tell = stepOf({
    id: 'job/tell',
    key: 'tell',
    group: 'job',
    rackId: undefined,
    stage: 'prove',
    title: JOB_TITLE.tell,
    detail: [
      'Explain the limits in each state, the cautions and the next check. Tools and keys stay with the vehicle: the next adjustment needs them.',
    ],
    after: [...all, ...proof.map(({ id }) => id)],
    minutes: { from: 10, to: 15 },
    task: { kind: 'tell', what: [...cautionsFor(survey)] },
  })
  const byPhase = [...work].sort((a, b) => PHASES.indexOf(a.stage) - PHASES.indexOf(b.stage))
  const own = [...byPhase, ...proof, tell]
  const kinds = new Map(survey.racks.map(({ rack, attachment }) => [rack.id, attachment?.kind]))
  const house = changedByHouse(
    withoutSteps(own, replacedSteps(own)),
    rules.fitting?.steps ?? [],
    ({ rackId }) => (rackId === undefined ? undefined : kinds.get(rackId)),
  )
  return inOrder(
    withoutLost(withCautions(withJobMinutes(named(house, survey), survey.plan.job.minutes ?? []), survey)),
  )
}
