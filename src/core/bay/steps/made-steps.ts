import type { Ways } from '../../kinds/fitting-ways'
import { ATTACHMENTS } from '../../kinds/attachment'
import { RACK_KINDS } from '../../kinds/rack-kind'
import { hasNotches } from '../../plan/schema/attachment-traits'
import { hasChannel, hasUnderChannel, type Part } from '../../plan/schema/rack'
import type { RackAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'
import type { Phrase } from '../../units/phrase'
import { markAsks, markedPlacesWords, placesOfBars } from '../marked-places'
import { tighteningLead, tighteningTitle, tighteningWords } from './joint-groups'
import { about } from './minutes'
import { MADE_TITLE, type MadeKey } from './own-titles'
import { askedAlong, askedOfFeet, placesAlong, placesOfFeet } from './place-words'
import { isPlacedByVehicle } from './vehicle-place'
import type { FactName, JointGroup, PairAsk, Step, Task } from './step'

/** What the steps of one rack are made from. */
export interface RackWork {
  readonly survey: Survey
  readonly at: RackAt
  readonly groups: readonly JointGroup[]
  readonly pairs: readonly PairAsk[]
  readonly ways: Ways
}

/** A step as it is usually worded; the record of its way to attach may word it anew. */
export interface MadeStep
  extends Pick<Step, 'title' | 'detail' | 'task'>, Partial<Omit<Step, 'id' | 'title' | 'detail' | 'task'>> {
  readonly key: string
  /** What is said after its words, whoever words them. */
  readonly tail?: Phrase
}

const byWord = (...on: readonly FactName[]): Task => ({ kind: 'do', on })
const part = ({ at }: RackWork, ...roles: readonly Part['role'][]) =>
  at.rack.parts.find(({ role }) => roles.includes(role))
const footIds = ({ at }: RackWork) => at.feet.map(({ id }) => id)

/** Whether the vehicle has a place for each bar at which it is set down: no notch along which it could still be moved. */
const placedOnSetting = ({ at }: RackWork): boolean =>
  isPlacedByVehicle(at) &&
  at.bars.every(({ attachment }) => attachment === undefined || !hasNotches(attachment))

const FROM_MARK = 'The front bar at both feet, from the mark of its sheet to the bar’s middle.'
const BEFORE_TIGHT = 'Correct every error before anything is tightened.'

const squareWords = (pairs: readonly PairAsk[]): { readonly title: string; readonly detail: string } => {
  const taped = new Set(pairs.flatMap((pair) => pair.taped))
  const marked = pairs.some(({ pair }) => pair.sheetMark !== undefined)
  const also = marked ? `${FROM_MARK} ` : ''
  if (taped.has('spreadLeft'))
    return {
      title: MADE_TITLE.square,
      detail: `${also}Both sides from the same marks, then both diagonals. ${BEFORE_TIGHT}`,
    }
  if (taped.has('frontOverLeft'))
    return {
      title: 'Measure the ends of the bars',
      detail: marked
        ? `${also}The vehicle places the bars along: their ends and legs are measured besides. ${BEFORE_TIGHT}`
        : `The vehicle places the bars along: only their ends and legs are measured. ${BEFORE_TIGHT}`,
    }
  if (marked)
    return {
      title: 'Measure from its sheet’s mark',
      detail: `${also}Heights under the bars say whether each is level. ${BEFORE_TIGHT}`,
    }
  return { title: 'Measure the legs', detail: `Each leg from the same mark. ${BEFORE_TIGHT}` }
}

const channels = ({ at }: RackWork, where: typeof hasChannel): boolean =>
  at.bars.some(({ bar }) => where(bar.profile))

const cutStep = (work: RackWork, which: 'under' | 'top' | 'all'): MadeStep => ({
  key: which === 'under' ? 'strips-under' : 'strips',
  title: MADE_TITLE[which === 'under' ? 'strips-under' : 'strips'],
  detail: [
    which === 'under'
      ? 'To the cut list, just as long as the gap: they are the spacers of the feet.'
      : 'To the cut list; ends flush with the mounts. Soap and water, no oil on rubber.',
  ],
  minutes: about(8),
  tools: ['shears', 'soap and water'],
  ...(which !== 'under' && { purpose: 'closesChannel' as const }),
  task: { kind: 'cut', rackId: work.at.rack.id, which },
})

/** The steps of a rack that are made from the plan, by their keys; none where there is nothing of the kind. */
export const MADE_STEPS: {
  readonly [K in Exclude<MadeKey, 'drill'>]: (work: RackWork) => readonly MadeStep[]
} = {
  marks: (work) => {
    const asks = markAsks(work.at)
    const marked = [
      ...placesOfBars(work.at),
      ...work.at.rack.parts.flatMap((each) => each.work?.places ?? []),
    ]
    return asks.length === 0
      ? []
      : [
          {
            key: 'marks',
            title: MADE_TITLE.marks,
            detail: [
              marked.length > 0
                ? `${markedPlacesWords(marked)}.`
                : 'Each to the corner it is marked for: a piece on the wrong corner is found now, not under load.',
            ],
            minutes: about(asks.length),
            footIds: footIds(work),
            task: { kind: 'marks', asks },
          },
        ]
  },
  'sub-assembly': (work) => {
    const foot = part(work, 'feet', 'legs')
    return foot
      ? [
          {
            key: 'sub-assembly',
            title: `Build up the ${foot.name} by corner`,
            detail: [
              'Marked parts to their corners, arrows forward; pads pressed home. Nothing is tightened yet.',
            ],
            minutes: about(work.at.feet.length * 2),
            footIds: footIds(work),
            task: byWord('parts'),
          },
        ]
      : []
  },
  'feet-on-bars': (work) => {
    // A bar that is on already is not built up on the bench.
    const toBuild = work.at.bars.filter(({ bar }) => bar.alreadyOn !== true)
    return work.at.rack.kind === 'bars' && toBuild.length > 0
      ? [
          {
            key: 'feet-on-bars',
            title: MADE_TITLE['feet-on-bars'],
            detail: placesOfFeet(work.at, toBuild),
            asks: askedOfFeet(work.at, toBuild),
            minutes: about(work.at.bars.length * 4),
            footIds: footIds(work),
            task: byWord('parts', 'feet'),
          },
        ]
      : []
  },
  'assemble-deck': ({ at: { rack } }) => {
    const built = rack.parts.some(
      ({ role, work }) => role === 'deck' && work?.steps?.some(({ stage }) => stage === 'bench'),
    )
    return 'deck' in rack && rack.deck && !built
      ? [
          {
            key: 'assemble-deck',
            title: `Assemble the ${rack.kind === 'platform' ? 'platform' : 'deck'}`,
            detail: [
              'Its foot pattern is known only when it is assembled. It decides the spread, so assemble it before the bars are placed. Upside down on blankets, all joints loose, then square by its diagonals.',
            ],
            minutes: about(25),
            hands: 2,
            tools: ['blankets', 'tape'],
            task: byWord('parts'),
          },
        ]
      : []
  },
  prepare: ({ at: { attachments } }) => [
    {
      key: 'prepare',
      title: MADE_TITLE.prepare,
      detail: [
        `${attachments.map(({ kind }) => ATTACHMENTS[kind].prepare).join(' ')} Tape and cardboard over paint.`,
      ],
      minutes: about(10),
      tools: ['cloths', 'film', 'masking tape'],
      task: byWord('parts'),
    },
  ],
  'lift-on': (work) => [
    {
      key: 'lift-on',
      title: MADE_TITLE['lift-on'],
      detail: ['Two people, one a side; set it down on its feet, never drag it.'],
      minutes: about(5),
      hands: 2,
      footIds: footIds(work),
      task: placedOnSetting(work) ? byWord('parts', 'bars') : byWord('parts'),
      ...(placedOnSetting(work) && { tail: placesAlong(work.at) }),
    },
  ],
  'start-by-hand': (work) => {
    const started = work.groups.filter(({ alreadyOn }) => alreadyOn !== true)
    return [
      {
        key: 'start-by-hand',
        title: MADE_TITLE['start-by-hand'],
        detail: [
          started.length === 0
            ? 'Two turns each, fingers only.'
            : started.map(({ joint }) => `${joint.name}: ${joint.startTurns} turns`).join('; ') +
              '. Fingers only; what binds is cross-threaded.',
        ],
        minutes: about(
          Math.max(
            4,
            started.reduce((so, { count }) => so + count, 0),
          ),
        ),
        footIds: footIds(work),
        task: { kind: 'start', groups: started },
      },
    ]
  },
  place: (work) =>
    work.at.bars.length === 0 || placedOnSetting(work)
      ? []
      : [
          {
            key: 'place',
            title: MADE_TITLE.place,
            detail: placesAlong(work.at),
            asks: askedAlong(work.at),
            minutes: about(8),
            hands: 2,
            footIds: footIds(work),
            tools: ['tape'],
            task: byWord('bars', 'parts'),
          },
        ],
  square: (work) => {
    const { title, detail } = squareWords(work.pairs)
    return work.pairs.length === 0
      ? []
      : [
          {
            key: 'square',
            title,
            detail: [detail],
            minutes: about(6 * work.pairs.length),
            hands: 2,
            footIds: footIds(work),
            tools: ['tape'],
            task: { kind: 'measure', pairs: work.pairs },
          },
        ]
  },
  torque: (work) => {
    const sliding = work.at.bars.filter(({ bar }) => bar.slides === true).map(({ bar }) => bar.name)
    return work.groups.map((group) => ({
      key: torqueKey(group),
      title: tighteningTitle(group),
      detail: [
        ...tighteningLead(group),
        tighteningWords(group),
        ...(sliding.length > 0
          ? [
              ` ${sliding.join(' and ')} ${sliding.length > 1 ? 'stay' : 'stays'} free to slide, as the sheet has it.`,
            ]
          : []),
      ],
      minutes: about(Math.max(3, group.pulls.length * group.perSpot * 0.5)),
      footIds: footIds(work),
      tools: group.joint.torque.kind === 'latch' ? [] : [group.joint.tool],
      task: { kind: 'torque', group },
    }))
  },
  'square-again': (work) =>
    work.pairs.length === 0 || work.groups.length === 0
      ? []
      : [
          {
            key: 'square-again',
            title: MADE_TITLE['square-again'],
            detail: ['Tightening moves parts. Measure from the same marks again.'],
            minutes: about(4 * work.pairs.length),
            footIds: footIds(work),
            tools: ['tape'],
            task: { kind: 'measure', pairs: work.pairs },
          },
        ],
  'strips-under': (work) =>
    work.at.rack.kind === 'bars' && channels(work, hasUnderChannel) ? [cutStep(work, 'under')] : [],
  strips: (work) => {
    if (work.at.rack.kind !== 'bars') return []
    const under = channels(work, hasUnderChannel) && work.ways.strips === 'last'
    const top = channels(work, hasChannel)
    return top || under ? [cutStep(work, under ? 'all' : 'top')] : []
  },
  caps: (work) =>
    work.at.rack.kind === 'bars' && (channels(work, hasChannel) || channels(work, hasUnderChannel))
      ? [
          {
            key: 'caps',
            title: MADE_TITLE.caps,
            detail: ['Every nut is in its channel: after this nothing enters.'],
            minutes: about(3),
            purpose: 'closesChannel',
            task: byWord('cuts', 'bars'),
          },
        ]
      : [],
  covers: (work) => {
    const keys = work.at.rack.parts.flatMap((each) => (each.work?.keys ? [each.work.keys] : []))
    const covered = part(work, 'feet') !== undefined && RACK_KINDS[work.at.rack.kind].feetCovered
    return keys.length > 0 || covered
      ? [
          {
            key: 'covers',
            title: covered ? MADE_TITLE.covers : 'Locks in',
            detail: [
              keys.length === 0
                ? 'Covers to their corners.'
                : `${keys.map(({ cores, codes }) => `${cores} cores, key ${codes.join(', ') || 'number to be written down'}`).join('; ')}.`,
            ],
            minutes: about(4),
            footIds: footIds(work),
            task: byWord('parts'),
          },
        ]
      : []
  },
}

/** By the part and which of its joints it is, so that a joint more on another part renames nothing. */
export const torqueKey = ({ joint, alreadyOn }: JointGroup): string =>
  `torque-${joint.owner.of === 'part' ? joint.owner.partId : joint.owner.placementId}-${joint.index}${alreadyOn ? '-on' : ''}`
