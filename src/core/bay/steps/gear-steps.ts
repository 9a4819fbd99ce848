import { hasSpacing } from '../../kinds/mount'
import { mm, type Phrase } from '../../units/phrase'
import type { Gear } from '../../plan/schema/gear'
import type { BayRules } from '../../plan/schema/house'
import type { ThingAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { channelsFor } from '../channel/channel'
import { gearJoints, tighteningLead, tighteningTitle, tighteningWords } from './joint-groups'
import { markedPlacesWords, thingMarkAsks } from '../marked-places'
import { COUNT, LEVEL } from './levels'
import { OF_THING, type Step } from './step'
import { stepOf } from './step-of'

const racksUnder = (survey: Survey, { placement: { host } }: ThingAt): string[] => {
  if (host.on === 'place') return []
  if (host.on !== 'bars') return [host.rackId]
  return [
    ...new Set(host.barIds.flatMap((id) => survey.bars.find(({ bar }) => bar.id === id)?.rack.id ?? [])),
  ]
}

/** What is longer is steered by two, however light, mm. Common practice, no source. */
const LONG_MM = 1800

/** Fitting one thing: built up on the bench, set on a rack that stands, started, placed, tightened. */
export function gearSteps(
  survey: Survey,
  thing: ThingAt,
  rules: BayRules,
  rackDone: (rackId: string) => readonly string[],
): Step[] {
  const { gear, placement } = thing
  const groups = gearJoints(survey, thing, rules)
  const started = groups.filter(({ alreadyOn }) => alreadyOn !== true)
  const under = racksUnder(survey, thing).flatMap(rackDone)
  const id = (key: string) => `${OF_THING}${placement.id}/${key}`
  const rackId = racksUnder(survey, thing)[0]
  const common = { group: `${OF_THING}${placement.id}`, rackId }
  const channels = channelsFor(survey, thing)
  const brought = (gear.work?.steps ?? []).map((step) => {
    const bySheet = (step.after ?? []).map((after) =>
      after.includes('/') ? `${OF_THING}${after}` : id(after),
    )
    return stepOf({
      ...common,
      id: id(step.id),
      stage: step.stage,
      title: step.title,
      detail: step.detail === undefined ? [] : [step.detail],
      after: [COUNT, ...bySheet, ...(LEVEL[step.stage] > 0 ? under : [])],
      bySheet,
      ...(step.replaces !== undefined && { replaces: id(step.replaces.replace(/^\//, '')) }),
      minutes: step.minutes ?? { from: 5, to: 8 },
      waitMinutes: step.waitMinutes ?? 0,
      hands: step.hands ?? 1,
      ...(step.decidesSpread && { purpose: 'decidesSpread' as const }),
      tools: step.tools ?? [],
      task: { kind: 'do', on: ['words', 'thing'] },
    })
  })
  const { box } = thing
  const middle = { x: (box.x0 + box.x1) / 2, y: (box.y0 + box.y1) / 2 }
  const lift = survey.motion.liftById().get(placement.id)
  const byLoader = lift?.advice.by === 'loader'
  const onLoad = brought.filter(({ stage }) => LEVEL[stage] === 0).map((step) => step.id)
  const asks = thingMarkAsks(thing)
  const marks =
    asks.length > 0
      ? [
          stepOf({
            ...common,
            id: id('marks'),
            stage: 'bench',
            title: `Put each marked piece of the ${gear.name} to its place`,
            detail: [`${markedPlacesWords(gear.work?.places ?? [])}.`],
            after: [COUNT],
            minutes: { from: 1, to: 1 + asks.length },
            task: { kind: 'marks', asks },
          }),
        ]
      : []
  const where: Phrase = [
    'Middle ',
    mm(Math.abs(middle.x)),
    middle.x < 0 ? ' before' : ' behind',
    ' the windscreen’s upper edge, ',
    ...(Math.abs(middle.y) < 1
      ? ['on the centreline.']
      : [mm(Math.abs(middle.y)), ` ${middle.y < 0 ? 'left' : 'right'} of it.`]),
  ]
  const set = stepOf({
    ...common,
    id: id('set'),
    key: 'set',
    stage: 'start',
    title: `Set the ${gear.name} on, started by hand`,
    detail: [
      ...where,
      ...(started.length > 0
        ? [
            ` ${started.map(({ joint }) => `${joint.name}: ${joint.startTurns} turns`).join('; ')}, fingers only.`,
          ]
        : []),
      ...(gear.opens ? [' Closed, with its cover on; nose up, the front brackets first.'] : []),
      ...(byLoader ? [' With a loader, a hoist or more hands: it is too heavy for two.'] : []),
    ],
    after: [
      COUNT,
      ...under,
      ...onLoad,
      ...marks.map((step) => step.id),
      ...channels.map(({ barId }) => `channel/${barId}`),
    ],
    minutes: { from: 5, to: 10 },
    hands: lift?.advice.by === 'one' && gear.lengthMm <= LONG_MM ? 1 : 2,
    byLoader,
    task: started.length > 0 ? { kind: 'start', groups: started } : { kind: 'do', on: ['thing', 'stands'] },
  })
  // What hangs on brackets is set by eye and measured before anything is tightened.
  const centre =
    groups.length > 0 && hasSpacing(gear.fit.mount)
      ? [
          stepOf({
            ...common,
            id: id('centre'),
            key: 'centre',
            stage: 'place',
            title: `Centre the ${gear.name}`,
            detail: [...where, ' The same on both sides, before anything is tightened.'],
            after: [set.id],
            minutes: { from: 3, to: 5 },
            tools: ['tape'],
            task: { kind: 'do', on: ['thing', 'stands'] },
          }),
        ]
      : []
  return [
    ...brought,
    ...marks,
    set,
    ...centre,
    ...groups.map((group, i) =>
      stepOf({
        ...common,
        id: id(`torque-${i}`),
        key: 'torque',
        stage: 'torque',
        title: tighteningTitle(group),
        detail: [...tighteningLead(group), tighteningWords(group)],
        after: [
          set.id,
          ...centre.map((step) => step.id),
          ...brought.filter(({ stage }) => stage === 'place' || stage === 'start').map((step) => step.id),
        ],
        minutes: { from: 3, to: 6 },
        tools: group.joint.torque.kind === 'latch' ? [] : [group.joint.tool],
        task: { kind: 'torque', group },
      }),
    ),
  ]
}

/** The usual steps of a thing that its own step may stand in the place of. */
export const replaceableOfGear = ({ fit, name }: Pick<Gear, 'fit' | 'name'>): [string, string][] =>
  hasSpacing(fit.mount) ? [['/centre', `Centre the ${name}`]] : []
