import { bayRulesOf } from '../plan/schema/house'
import type { BayProgress } from '../log/record'
import { factText, printOf } from '../log/fact-print'
import { packed } from '../survey/frame/arrangement'
import type { Survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { cutList, isCutAt } from './cut/strips'
import { drillPlans } from './drilling/drill-plan'
import { partsCheck } from './parts/parts-check'
import { OF_THING, type FactName, type Step } from './steps/step'

/** One value that evidence depends on, by a name that stays. Lengths in mm, masses in kg, speeds in km/h. */
interface Fact {
  readonly key: string
  readonly value: number | string
}

/** A kind of fact: how it reads, where it is found, and which change of it makes evidence old. */
export interface FactKind {
  readonly say: string
  readonly of: (step: Step, survey: Survey, progress: BayProgress) => readonly Fact[]
  /** Whether the evidence is old for this change; without a value before, something was added. */
  readonly old: (before: number | string | undefined, now: number | string) => boolean
}

const movedBy =
  (toleranceMm: number): FactKind['old'] =>
  (before, now) =>
    typeof before !== 'number' || typeof now !== 'number' || Math.abs(now - before) > toleranceMm

const differs: FactKind['old'] = (before, now) => before !== now

const barsOf = ({ rackId }: Step, { bars }: Survey) =>
  bars.filter(({ rack }) => rackId === undefined || rack.id === rackId)

const outside = ({ things }: Survey) => things.filter((thing) => !packed(thing))

const middles = (survey: Survey): Fact[] =>
  outside(survey).flatMap(({ placement, box }) => [
    { key: `${placement.id} x`, value: (box.x0 + box.x1) / 2 },
    { key: `${placement.id} y`, value: (box.y0 + box.y1) / 2 },
    { key: `${placement.id} z`, value: box.z1 },
  ])

/** So much a bar or a foot may be out before what was seen of it is seen again, mm. Common practice, no source. */
const PLACE_MM = 3
/** So much a load may stand elsewhere before it is driven again, mm. */
const DRIVEN_MM = 50
/** So much nearer something may come to what opens or swings, mm. */
const SWING_MM = 5

/** So much a hole may be planned elsewhere, or larger, before it is another hole, mm. */
const HOLE_MM = 0.1

/** What a plan holds and no sheet prints. */
const NOT_PRINTED: ReadonlySet<string> = new Set(['price', 'typed', 'have', 'minutes'])

/** So much a thing on the rack may be planned elsewhere before its mount is seen again, mm. Common practice, no source. */
const STANDS_MM = 10

const rackOf = ({ rackId }: Step, { racks }: Survey) => racks.find(({ rack }) => rack.id === rackId)
/** The thing on the rack that a step is about. */
const thingOf = ({ group }: Step, { thingById }: Survey) =>
  group.startsWith(OF_THING) ? thingById.get(group.slice(OF_THING.length)) : undefined

export const FACTS: Readonly<Record<FactName, FactKind>> = {
  parts: {
    say: 'a part of the rack',
    of: (step, survey) =>
      (rackOf(step, survey)?.rack.parts ?? []).map(({ id, name, count }) => ({
        key: id,
        value: `${name}, ${count}`,
      })),
    old: differs,
  },
  thing: {
    say: 'which thing it is, or what it stands on',
    of: (step, survey) => {
      const thing = thingOf(step, survey)
      if (!thing) return []
      const { gear, placement } = thing
      return [
        { key: 'which', value: `${gear.id} ${gear.name}` },
        { key: 'on', value: printOf(factText(placement.host)) },
      ]
    },
    old: differs,
  },
  marks: {
    say: 'which mark belongs where',
    of: ({ task }) =>
      task.kind === 'marks' ? task.asks.map(({ id, mark }) => ({ key: id, value: mark })) : [],
    old: differs,
  },
  stands: {
    say: 'where it stands',
    of: (step, survey) => {
      const box = thingOf(step, survey)?.box
      return box
        ? [
            { key: 'x', value: (box.x0 + box.x1) / 2 },
            { key: 'y', value: (box.y0 + box.y1) / 2 },
          ]
        : []
    },
    old: movedBy(STANDS_MM),
  },
  words: {
    say: 'what its sheet says',
    of: ({ title, said, detail }) => [
      { key: 'words', value: printOf(`${said ?? title}\n${phraseText(detail)}`) },
    ],
    old: differs,
  },
  channel: {
    say: 'what goes into the channel',
    of: ({ task }) => {
      if (task.kind !== 'channel') return []
      const { name, open, inside, wanted } = task.channel.channel
      const ids = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id)
      return [{ key: 'order', value: printOf(factText([name, open, ids(inside), ids(wanted)])) }]
    },
    old: differs,
  },
  lines: {
    say: 'what there is to count',
    of: (_step, survey) => partsCheck(survey).lines.map(({ id, count }) => ({ key: id, value: count })),
    old: differs,
  },
  holes: {
    say: 'the holes',
    of: ({ rackId }, survey) =>
      drillPlans(survey)
        .filter((plan) => plan.rackId === rackId)
        .flatMap(({ partId, asked, holes }) => [
          { key: `${partId} count`, value: asked },
          ...holes.flatMap(({ name, xMm, yMm, pilotMm, finalMm }) => [
            { key: `${partId} ${name} x`, value: xMm },
            { key: `${partId} ${name} y`, value: yMm },
            { key: `${partId} ${name} pilot`, value: pilotMm ?? 0 },
            { key: `${partId} ${name} final`, value: finalMm ?? 0 },
          ]),
        ]),
    old: (before, now) =>
      typeof before !== 'number' || typeof now !== 'number' || Math.abs(now - before) > HOLE_MM,
  },
  cuts: {
    say: 'what is to be cut',
    of: ({ rackId, task }, survey) => {
      const own = new Set(survey.bars.flatMap(({ bar, rack }) => (rack.id === rackId ? [bar.id] : [])))
      const strips = cutList(survey, bayRulesOf(survey.plan.rules)).strips
      return strips
        .filter(({ barId, kind }) => own.has(barId) && (task.kind !== 'cut' || isCutAt(kind, task.which)))
        .map(({ barId, kind, cutMm }, i) => ({ key: `${barId} ${kind} ${i}`, value: cutMm }))
    },
    old: movedBy(PLACE_MM),
  },
  weighs: {
    say: 'what is on the scale',
    of: ({ task }) => (task.kind === 'weigh' ? [{ key: task.targetId, value: task.name }] : []),
    old: differs,
  },
  figure: {
    say: 'the joint’s own sheet',
    of: ({ task }) => {
      if (task.kind !== 'torque') return []
      const { fastener } = task.group.joint
      const { thread, torqueNm, atMostNm, count } = fastener
      return [
        {
          key: 'figure',
          value: [thread, count, torqueNm?.from ?? '', torqueNm?.to ?? '', atMostNm ?? ''].join(' '),
        },
      ]
    },
    old: differs,
  },
  bars: {
    say: 'where the bars stand',
    of: (step, survey) => barsOf(step, survey).map(({ bar }) => ({ key: bar.id, value: bar.xMm })),
    old: movedBy(PLACE_MM),
  },
  sheetMark: {
    say: 'the mark that its sheet measures from',
    of: ({ task }) =>
      task.kind === 'measure'
        ? task.pairs.flatMap(({ id, pair: { sheetMark } }) =>
            sheetMark ? [{ key: id, value: `${sheetMark.what} ${sheetMark.frontMm}` }] : [],
          )
        : [],
    old: differs,
  },
  feet: {
    say: 'where the feet stand',
    of: ({ rackId }, { feet, racks }) => {
      const own = racks.find(({ rack }) => rack.id === rackId)?.feet ?? feet
      return own.map(({ id, yMm }) => ({ key: id, value: yMm }))
    },
    old: movedBy(PLACE_MM),
  },
  speed: {
    say: 'the speed it is to be driven at',
    of: (_step, { plan }) => [{ key: 'speed', value: plan.use.roadKmH }],
    old: (before, now) => typeof before !== 'number' || typeof now !== 'number' || now > before + 0.5,
  },
  outside: {
    say: 'what stands outside',
    of: (_step, survey) => middles(survey),
    old: movedBy(DRIVEN_MM),
  },
  load: {
    say: 'what stands on the bars, heavier by more than a tenth',
    of: (_step, survey) => [
      { key: 'load', value: outside(survey).reduce((sum, { gear }) => sum + gear.mass.kg, 0) },
    ],
    old: (before, now) => typeof before !== 'number' || typeof now !== 'number' || now > before * 1.1,
  },
  swing: {
    say: 'what stands in its way',
    of: (step, survey) => [
      ...middles(survey),
      ...survey.bars.map(({ bar }) => ({ key: bar.id, value: bar.xMm })),
    ],
    old: movedBy(SWING_MM),
  },
  opening: {
    say: 'what opens, as it is described',
    of: (_step, { plan }) =>
      plan.vehicle.obstacles.map((each) => ({ key: each.id, value: printOf(factText(each)) })),
    old: differs,
  },
  printed: {
    say: 'what the sheet prints',
    of: (step, { plan }, progress) => {
      const seen = {
        done: [...progress.done].filter((id) => id !== step.id).sort(),
        pulled: [...progress.torqued].sort(byKey),
        proved: [...progress.proved].sort(byKey),
        answers: [...progress.answers].sort(byKey).flatMap(([, list]) => list.map(({ id }) => id)),
        differs: progress.deviations.filter(({ stepId }) => stepId !== step.id).map(({ id }) => id),
      }
      return [
        {
          key: 'plan',
          value: printOf(factText(plan, NOT_PRINTED)),
        },
        { key: 'bay', value: printOf(factText(seen)) },
      ]
    },
    old: differs,
  },
}

function byKey([a]: readonly [string, unknown], [b]: readonly [string, unknown]): number {
  return a < b ? -1 : a > b ? 1 : 0
}
