import type { Ways } from '../../kinds/fitting-ways'
import { PART_ROLES } from '../../kinds/part-role'
import type { BayRules } from '../../plan/schema/house'
import type { RackAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { broughtSteps } from './brought-steps'
import { drillSteps } from './drill-steps'
import type { MadeEntry, PlainEntry } from './fitting-order'
import { rackJoints } from './joint-groups'
import { MADE_STEPS, type MadeStep, type RackWork } from './made-steps'
import { about } from './minutes'
import { pairsOf } from './pairs'
import { orderOf, waysOf } from './schools'
import type { Step } from './step'
import { stepOf } from './step-of'

const isMade = (entry: MadeEntry | PlainEntry): entry is MadeEntry => 'made' in entry

const goesThisWay = ({ only }: MadeEntry | PlainEntry, ways: Ways): boolean =>
  (only?.build === undefined || only.build === ways.build) &&
  (only?.squaring === undefined || only.squaring === ways.squaring) &&
  (only?.strips === undefined || only.strips === ways.strips)

/** How far from the vehicle a joint's part stands in its rack: what bears the others is tightened before them. */
function tierOf({ task }: Step, { at: { rack } }: RackWork): number {
  if (task.kind !== 'torque') return 0
  const { owner } = task.group.joint
  const part = owner.of === 'part' ? rack.parts.find(({ id }) => id === owner.partId) : undefined
  return part ? -PART_ROLES[part.role].stack : 0
}

/** The steps of one entry, those of the same tier side by side, each tier after the one under it. */
function byTier(steps: readonly Step[], work: RackWork): Step[][] {
  const tiers = [...new Set(steps.map((step) => tierOf(step, work)))].sort((a, b) => a - b)
  return tiers.map((tier) => steps.filter((step) => tierOf(step, work) === tier))
}

function entrySteps(entry: MadeEntry | PlainEntry, work: RackWork): Step[] {
  const { rack } = work.at
  const common = { group: rack.id, rackId: rack.id, stage: entry.stage }
  if (!isMade(entry)) {
    const { key, title, detail, minutes, hands = 1, tools = [], on } = entry
    return [
      stepOf({
        ...common,
        id: `${rack.id}/${key}`,
        title,
        detail: [detail],
        minutes,
        hands,
        tools,
        footIds: work.at.feet.map(({ id }) => id),
        task: { kind: 'do', on },
      }),
    ]
  }
  if (entry.made === 'drill') return drillSteps(work.survey, work.at)
  return MADE_STEPS[entry.made](work).map(({ key, tail = [], title, detail, ...rest }: MadeStep) => {
    const words = entry.detail === undefined ? detail : [entry.detail]
    return stepOf({
      minutes: about(4),
      ...rest,
      ...common,
      id: `${rack.id}/${key}`,
      title: entry.title ?? title,
      detail: [
        ...(entry.lead === undefined ? [] : [entry.lead]),
        ...words,
        ...(tail.length > 0 ? [' ', ...tail] : []),
      ],
    })
  })
}

/** Every step of fitting one rack, phase by phase as the record of its way to attach has it; edges between phases are added with the whole job's. */
export function rackSteps(survey: Survey, at: RackAt, rules: BayRules): Step[] {
  const ways = waysOf(at, rules)
  const order = orderOf(at.attachment)
  const work: RackWork = {
    survey,
    at,
    ways,
    groups: rackJoints(at, rules),
    pairs: pairsOf(survey, at),
  }
  const before = new Map<Step['stage'], readonly string[]>()
  const own = order.steps
    .filter((entry) => goesThisWay(entry, ways))
    .flatMap((entry) =>
      byTier(entrySteps(entry, work), work).flatMap((steps) => {
        const after = entry.beside ? [] : (before.get(entry.stage) ?? [])
        if (!entry.beside)
          before.set(
            entry.stage,
            steps.map(({ id }) => id),
          )
        return steps.map((step) => ({ ...step, after: [...new Set([...step.after, ...after])] }))
      }),
    )
  return [...own, ...broughtSteps(at)]
}
