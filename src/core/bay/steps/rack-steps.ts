import { ATTACHMENTS } from '../../kinds/attachment'
import { hasChannel, hasUnderChannel, type Part } from '../../plan/schema/rack'
import type { Phase } from '../../plan/schema/work'
import { mm, type Phrase } from '../../units/phrase'
import type { BayRules } from '../../plan/schema/house'
import type { BarAt, RackAt } from '../../survey/frame/arrangement'
import { evenFeet, towerSpacing } from '../../survey/bars/tower-spacing'
import type { Survey } from '../../survey/survey'
import { broughtSteps } from './brought-steps'
import { drillSteps } from './drill-steps'
import { markAsks, markedPlacesWords } from '../marked-places'
import { rackJoints, tighteningLead, tighteningTitle } from './joint-groups'
import { about } from './minutes'
import { isPlacedByVehicle, pairsOf } from './pairs'
import type { FactName, Task, JointGroup, Step } from './step'
import { stepOf } from './step-of'
import { vehiclePlace } from './vehicle-place'

const placedFrom = (survey: Survey, rack: RackAt, at: BarAt, i: number): Phrase => {
  const place = vehiclePlace(at)
  if (place !== undefined) return [`${at.bar.name}: ${place}.`]
  const before = rack.bars[i - 1]
  return before
    ? [
        `${at.bar.name} `,
        mm(at.bar.xMm - before.bar.xMm),
        ` behind the ${before.bar.name}, centre to centre, on both sides.`,
      ]
    : [
        `${at.bar.name} `,
        mm(at.bar.xMm),
        at.onRoof
          ? ' behind the windscreen’s upper edge, to the bar’s centre, from the same feature on both sides.'
          : ' behind the windscreen’s upper edge, to the bar’s centre, on both sides.',
      ]
}

/** By the part and which of its joints it is, so that a joint more on another part renames nothing. */
const torqueKey = ({ joint, alreadyOn }: JointGroup) =>
  `torque-${joint.owner.of === 'part' ? joint.owner.partId : joint.owner.placementId}-${joint.index}${alreadyOn ? '-on' : ''}`

/** Where a bar's feet are set by the mark that its fit sheet names. */
function setFeet(rack: RackAt, at: BarAt): string | undefined {
  const spacing = towerSpacing(rack, at)
  return spacing.kind === 'marks' ? `${at.bar.name}: each foot to mark ${spacing.mark}.` : undefined
}

/** Every step of fitting one rack, in the order of its stages; edges between stages are added with the whole job's. */
export function rackSteps(survey: Survey, rack: RackAt, rules: BayRules): Step[] {
  const { rack: own, bars, feet, attachments } = rack
  // A bar that is on already is not built up on the bench.
  const toBuild = bars.filter(({ bar }) => bar.alreadyOn !== true)
  const groups = rackJoints(rack, rules)
  const started = groups.filter(({ alreadyOn }) => alreadyOn !== true)
  const footIds = feet.map(({ id }) => id)
  const step = (
    key: string,
    stage: Phase,
    title: string,
    detail: Phrase,
    rest: Partial<Step> & Pick<Step, 'task'>,
  ) =>
    stepOf({
      id: `${own.id}/${key}`,
      group: own.id,
      rackId: own.id,
      stage,
      title,
      detail,
      minutes: about(4),
      ...rest,
    })
  const asking = (task: Task) => ({ task })
  const byWord = (...on: readonly FactName[]) => ({ task: { kind: 'do', on } as const })
  const sliding = bars.filter(({ bar }) => bar.slides === true).map(({ bar }) => bar.name)
  const has = (role: Part['role']) => own.parts.some((part) => part.role === role)
  const pairs = pairsOf(survey, rack)
  const placed = isPlacedByVehicle(rack)
  const footPart = own.parts.find(({ role }) => role === 'feet' || role === 'legs')
  const covers = own.parts.flatMap(({ work }) => (work?.keys ? [work.keys] : []))
  const channels = bars.some(({ bar }) => hasChannel(bar.profile) || hasUnderChannel(bar.profile))

  const deckBuilt = own.parts.some(
    ({ role, work }) => role === 'deck' && work?.steps?.some(({ stage }) => stage === 'bench'),
  )

  const asks = markAsks(rack)
  const marked = own.parts.flatMap(({ work }) => work?.places ?? [])
  const bench = [
    ...(asks.length > 0
      ? [
          step(
            'marks',
            'bench',
            'Put each marked piece to its place',
            [
              marked.length > 0
                ? `${markedPlacesWords(marked)}.`
                : 'Each to the corner it is marked for: a piece on the wrong corner is found now, not under load.',
            ],
            { minutes: about(asks.length), footIds, ...asking({ kind: 'marks', asks }) },
          ),
        ]
      : []),
    ...(footPart && (own.kind === 'bars' || own.kind === 'platform')
      ? [
          step(
            'sub-assembly',
            'bench',
            `Build up the ${footPart.name} by corner`,
            ['Marked parts to their corners, arrows forward; pads pressed home. Nothing is tightened yet.'],
            {
              after: asks.length > 0 ? [`${own.id}/marks`] : [],
              minutes: about(feet.length * 2),
              footIds,
              ...byWord('parts'),
            },
          ),
        ]
      : []),
    ...(own.kind === 'bars' && toBuild.length > 0
      ? [
          step(
            'feet-on-bars',
            'bench',
            'Feet on the bars, loose',
            toBuild.flatMap((at, i): Phrase => {
              const { bar } = at
              const set = setFeet(rack, at)
              if (set !== undefined) return [`${i === 0 ? '' : ' '}${set}`]
              const tower = (bar.feetYMm.at(-1) ?? 0) - (bar.feetYMm[0] ?? 0)
              const { overhangMm, fromEndMm } = evenFeet(bar, tower, own.footWidthMm)
              return [
                `${i === 0 ? '' : ' '}${bar.name}: `,
                mm(overhangMm ?? fromEndMm),
                overhangMm === undefined
                  ? ' from the bar’s end to the foot’s centre, '
                  : ' from inside the cap to the foot’s outer edge, ',
                bar.fixedEnd === undefined
                  ? 'both ends.'
                  : `set at the ${bar.fixedEnd === 'left' ? 'right' : 'left'} end; the ${bar.fixedEnd} one is fixed.`,
              ]
            }),
            {
              after: footPart ? [`${own.id}/sub-assembly`] : [],
              minutes: about(bars.length * 4),
              footIds,
              ...byWord('parts', 'feet'),
            },
          ),
        ]
      : []),
    ...('deck' in own && own.deck && !deckBuilt
      ? [
          step(
            'assemble-deck',
            'bench',
            `Assemble the ${own.kind === 'platform' ? 'platform' : 'deck'}`,
            [
              'Its foot pattern is known only when it is assembled. It decides the spread, so assemble it before the bars are placed. Upside down on blankets, all joints loose, then square by its diagonals.',
            ],
            { minutes: about(25), hands: 2, tools: ['blankets', 'tape'], ...byWord('parts') },
          ),
        ]
      : []),
  ]
  const vehicle = [
    step(
      'prepare',
      'vehicle',
      'Wipe and protect the vehicle',
      [
        `${attachments.map(({ kind }) => ATTACHMENTS[kind].prepare).join(' ')} Tape and cardboard over paint; no knife on a coating.`,
      ],
      { minutes: about(10), tools: ['cloths', 'film', 'masking tape'], ...byWord('parts') },
    ),
    ...drillSteps(survey, rack),
  ]
  const start = [
    step(
      'lift-on',
      'start',
      own.kind === 'ladder' ? 'Hang the ladder in place' : 'Lift it onto the vehicle',
      [
        own.kind === 'ladder'
          ? 'Hooks over the edge, feet on their pads, nothing tightened.'
          : 'Two people, one a side; set it down on its feet, never drag it.',
      ],
      { minutes: about(5), hands: 2, footIds, purpose: 'liftOn', ...byWord('parts') },
    ),
    step(
      'start-by-hand',
      'start',
      'Start every fastener by hand',
      [
        started.length === 0
          ? 'Two turns each, fingers only.'
          : started.map(({ joint }) => `${joint.name}: ${joint.startTurns} turns`).join('; ') +
            '. Fingers only; what binds is cross-threaded.',
      ],
      {
        after: [`${own.id}/lift-on`],
        minutes: about(
          Math.max(
            4,
            started.reduce((so, { count }) => so + count, 0),
          ),
        ),
        footIds,
        ...asking({ kind: 'start', groups: started }),
      },
    ),
  ]
  const place =
    bars.length === 0
      ? []
      : [
          step(
            'place',
            'place',
            'Place the bars',
            bars.flatMap((at, i) => [...(i === 0 ? [] : [' ']), ...placedFrom(survey, rack, at, i)]),
            { minutes: about(8), hands: 2, footIds, tools: ['tape'], ...byWord('bars', 'parts') },
          ),
          ...(pairs.length === 0
            ? []
            : [
                step(
                  'square',
                  'place',
                  placed ? 'Measure the ends of the bars' : 'Measure and square up',
                  [
                    placed
                      ? 'The vehicle places the bars along: only their ends and legs are measured. Correct every error before anything is tightened.'
                      : 'Both sides from the same marks, then both diagonals. Correct every error before anything is tightened.',
                  ],
                  {
                    after: [`${own.id}/place`],
                    minutes: about(6 * pairs.length),
                    hands: 2,
                    footIds,
                    tools: ['tape'],
                    ...asking({ kind: 'measure', pairs }),
                  },
                ),
              ]),
        ]
  const torque = [
    ...groups.map((group) =>
      step(
        torqueKey(group),
        'torque',
        tighteningTitle(group),
        [
          ...tighteningLead(group),
          `${group.count} in all, corner to corner in passes, with ${group.joint.tool}${group.joint.handOnly ? ', by hand only' : ''}.`,
          ...(sliding.length > 0
            ? [
                ` ${sliding.join(' and ')} ${sliding.length > 1 ? 'stay' : 'stays'} free to slide, as the sheet has it.`,
              ]
            : []),
        ],
        {
          minutes: about(Math.max(3, group.pulls.length * group.perSpot * 0.5)),
          footIds,
          tools: [group.joint.tool],
          ...asking({ kind: 'torque', group }),
        },
      ),
    ),
    ...(pairs.length > 0 && groups.length > 0
      ? [
          step(
            'square-again',
            'torque',
            'Measure again, tightened',
            ['Tightening moves parts. Measure from the same marks again.'],
            {
              after: groups.map((group) => `${own.id}/${torqueKey(group)}`),
              minutes: about(4 * pairs.length),
              footIds,
              tools: ['tape'],
              ...asking({ kind: 'measure', pairs }),
            },
          ),
        ]
      : []),
  ]
  const trim = [
    ...(channels && own.kind === 'bars'
      ? [
          step(
            'strips',
            'trim',
            'Cut and press in the strips',
            ['To the cut list; ends flush with the mounts. Soap and water, no oil on rubber.'],
            {
              minutes: about(8),
              tools: ['shears', 'soap and water'],
              purpose: 'closesChannel',
              ...asking({ kind: 'cut', rackId: own.id }),
            },
          ),
          step('caps', 'trim', 'End caps on', ['Every nut is in its channel: after this nothing enters.'], {
            after: [`${own.id}/strips`],
            minutes: about(3),
            purpose: 'closesChannel',
            ...byWord('cuts', 'bars'),
          }),
        ]
      : []),
    ...(covers.length > 0 || has('feet')
      ? [
          step(
            'covers',
            'trim',
            'Covers on, locks in',
            [
              covers.length === 0
                ? 'Covers to their corners.'
                : `${covers.map(({ cores, codes }) => `${cores} cores, key ${codes.join(', ') || 'number to be written down'}`).join('; ')}.`,
            ],
            { minutes: about(4), footIds, ...byWord('parts') },
          ),
        ]
      : []),
  ]
  return [...bench, ...vehicle, ...start, ...place, ...torque, ...trim, ...broughtSteps(rack)]
}
