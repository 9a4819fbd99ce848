import type { Ways } from '../../kinds/fitting-ways'
import { PART_ROLES } from '../../kinds/part-role'
import type { BayRules } from '../../plan/schema/house'
import { PHASES, type Phase } from '../../plan/schema/work'
import type { RackAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import { broughtSteps } from './brought-steps'
import { drillSteps } from './drill-steps'
import type { MadeEntry, OrderEntry } from './fitting-order'
import { orderOf } from './fitting-orders'
import { rackJoints } from './joint-groups'
import { MADE_STEPS, type MadeStep, type RackWork } from './made-steps'
import { about } from './minutes'
import { pairsOf } from './pairs'
import { waysOf } from './schools'
import type { Step } from './step'
import { inHouseOrder } from './step-changes'
import { stepOf } from './step-of'

const isMade = (entry: OrderEntry): entry is MadeEntry => 'made' in entry

const goesThisWay = ({ only }: OrderEntry, ways: Ways): boolean =>
  (only?.build === undefined || only.build === ways.build) &&
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

function entrySteps(entry: OrderEntry, stage: Phase, work: RackWork): Step[] {
  const { rack } = work.at
  const common = { group: rack.id, rackId: rack.id, stage, key: isMade(entry) ? entry.made : entry.key }
  if (!isMade(entry)) {
    const { key, title, detail, minutes, hands = 1, tools = [], on, kept } = entry
    return [
      stepOf({
        ...common,
        id: `${rack.id}/${key}`,
        title,
        detail: [detail],
        minutes,
        hands,
        tools,
        ...(kept && { kept }),
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

/** Steps one after the other, but for those that wait for nothing of their phase. */
function chained(phase: readonly (readonly Step[])[], beside: ReadonlySet<string>): Step[] {
  const waits = phase.filter(([first]) => !beside.has(first?.key ?? ''))
  return phase.flatMap((steps) => {
    const before = waits[waits.indexOf(steps) - 1] ?? []
    return steps.map((step) => ({
      ...step,
      after: [...new Set([...step.after, ...before.map(({ id }) => id)])],
    }))
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
  const own = PHASES.flatMap((stage) => {
    const listed = (order.steps[stage] ?? [])
      .filter((entry) => goesThisWay(entry, ways))
      .flatMap((entry) => byTier(entrySteps(entry, stage, work), work))
    const beside = new Set(
      (order.steps[stage] ?? []).flatMap((entry) => (isMade(entry) && entry.beside ? [entry.made] : [])),
    )
    return chained(inHouseOrder(listed, rules.fitting?.steps ?? [], at.attachment?.kind), beside)
  })
  return [...own, ...broughtSteps(at)]
}
