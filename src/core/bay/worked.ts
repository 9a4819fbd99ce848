import { NOTHING_DONE } from '../log/record'
import type { Survey } from '../survey/survey'
import type { BayRules } from '../plan/schema/house'
import { toFit } from '../units/scalars'
import { evidenceNow } from './evidence'
import type { LogEvent } from '../log/event'
import { replay } from '../log/replay'
import { partsCheck } from './parts/parts-check'
import { askedOf } from './proof'
import { passPress } from './pulling'
import { jobSteps } from './steps/job-steps'
import { mustTape } from './steps/pairs'
import type { Step } from './steps/step'
import { plannedReading, usualFrom, type PlannedPair } from './squareness/taped'
import { aimNm } from './torque/joint'
import { signsWanted, wantsReadings } from './wanted'

type Unsigned<E> = E extends LogEvent ? Omit<E, 'id' | 'at' | 'vehicleId' | 'jobId' | 'turn'> : never
export type WorkedEvent = Unsigned<LogEvent>

/** A pair whose bars have no thick caps where nobody has said how thick they are. */
const withCaps = ({ front, rear, ...pair }: PlannedPair): PlannedPair => ({
  ...pair,
  front: { ...front, capMm: front.capMm ?? 0 },
  rear: { ...rear, capMm: rear.capMm ?? 0 },
})

/** What is read where the plan has no figure: the same everywhere, mm. */
const EVEN_MM = 150

/** What somebody who does a step as its sheet has it would write, before the tick itself. */
function evidenceFor(step: Step, survey: Survey): WorkedEvent[] {
  const { task } = step
  const events: WorkedEvent[] = []
  const write = (event: WorkedEvent) => events.push(event)
  switch (task.kind) {
    case 'count':
      for (const { id, what, count } of partsCheck(survey).lines)
        write({ kind: 'counted', lineId: id, what, count })
      return events
    case 'marks':
      for (const { id, at, what, mark } of task.asks)
        write({ kind: 'marksSeen', stepId: step.id, title: step.title, places: [{ id, at, what, mark }] })
      return events
    case 'measure':
      for (const ask of task.pairs) {
        const wanted = mustTape(ask).flatMap(({ names }) => names)
        const from = Object.fromEntries(
          wanted.flatMap((key) => {
            const usual = usualFrom(ask.pair, key)
            return usual ? [[key, usual] as const] : []
          }),
        )
        write({
          kind: 'measured',
          stepId: step.id,
          pairId: ask.id,
          readings: Object.fromEntries(
            wanted.map((key) => [
              key,
              [Math.round(plannedReading(withCaps(ask.pair), key, usualFrom(ask.pair, key)) ?? EVEN_MM)],
            ]),
          ),
          ...(Object.keys(from).length > 0 && { from }),
        })
      }
      return events
    case 'channel':
      write({ kind: 'channelSeen', barId: task.channel.barId, what: task.channel.channel.name, inside: [] })
      return events
    case 'weigh':
      write({ kind: 'weighed', targetId: task.targetId, what: task.name, kg: task.guessKg })
      return events
    case 'prove':
      for (const { id, name } of askedOf(task.item))
        write({
          kind: 'proved',
          item: id,
          what: task.item.cases ? `${task.item.title}: ${name}` : task.item.title,
          outcome: 'good',
        })
      return events
    case 'tell':
      for (const what of task.what) write({ kind: 'told', what })
      return events
    case 'torque':
    case 'do':
    case 'start':
    case 'cut':
    case 'confirm':
      return events
  }
}

/**
 * The log of somebody who does a whole job, step after step, just as its sheets have it: each pull at its figure, each bar
 * where it is planned. The events are without names and times; who writes them gives those.
 */
export function workedEvents(survey: Survey, rules: BayRules): WorkedEvent[] {
  const order = jobSteps(survey, rules)
  if (!order.ok) return []
  const all: WorkedEvent[] = []
  const progress = () =>
    replay(
      all.map((event, i) => ({ ...event, id: String(i), at: '', vehicleId: 'v', jobId: 'j', turn: i + 1 })),
    ).jobs.get('j') ?? NOTHING_DONE
  for (const step of order.steps) {
    if (step.task.kind === 'torque') {
      const { group } = step.task
      const { joint } = group
      for (const pull of group.pulls)
        all.push({
          kind: 'torqued',
          jointId: joint.id,
          what: joint.name,
          spot: pull.at,
          pass: pull.pass,
          percent: pull.percent,
          ...(wantsReadings(group) && pull.percent === 100 && pull.nm !== undefined
            ? { nm: pull.nm, how: 'reading' as const }
            : { how: howOf(step) }),
        })
      const signs = signsWanted(step, progress())
      if (signs)
        all.push({
          kind: 'signSeen',
          jointId: joint.id,
          what: joint.name,
          sign: signs.sign,
          spots: [...signs.spots],
        })
    } else all.push(...evidenceFor(step, survey))
    const facts = evidenceNow(step, survey, progress())
    all.push({
      kind: 'stepDone',
      stepId: step.id,
      title: step.title,
      ...(Object.keys(facts).length > 0 && { hung: facts }),
    })
  }
  for (const { rack } of survey.racks)
    if (toFit(rack)) all.push({ kind: 'fitted', rackId: rack.id, what: rack.name })
  return all
}

/** How a pull is known where nothing is read: its wrench clicks, or its sign is seen, or it is by feel. */
function howOf(step: Step): 'click' | 'sign' | 'feel' {
  const press = passPress(step, NOTHING_DONE)
  if (press && press.how !== 'reading') return press.how
  return step.task.kind === 'torque' && aimNm(step.task.group.joint.torque) !== undefined ? 'click' : 'feel'
}
