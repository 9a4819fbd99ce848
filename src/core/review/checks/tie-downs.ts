import { fails } from '../../facts/comparison'
import { tiedDown } from '../../facts/tie-downs'
import { limitWanted } from '../../survey/motion/securing'
import { kg, type Phrase, missing } from '../../units/phrase'
import { plural } from '../../units/words'
import { check } from '../check'
import { marginWords } from '../margin-words'
import type { Finding } from '../finding'

type TiedDown = ReturnType<typeof tiedDown>[number]

export const straps = (count: number) => `${count} ${plural(count, 'strap', 'straps')}`

/** What a thing wants, in words. */
function wantedPhrase({ tie: { wanted, eachKg }, togetherKg, byFriction }: TiedDown): Phrase {
  const why = byFriction ? 'its weight and the friction under it' : 'its length'
  return [
    `wants ${straps(wanted)} over it for ${why}, each with a working load limit of `,
    kg(eachKg),
    ' or more',
    ...(togetherKg === undefined ? [] : [', ', kg(togetherKg), ' together']),
  ]
}

function judge(tied: TiedDown): Pick<Finding, 'severity' | 'sentence'> {
  const { tie, count, holds } = tied
  const { thing, planned, plannedEachKg, kg: mass } = tie
  const { name } = thing.gear
  const tooWeak = holds !== undefined && fails(holds)
  if (fails(count))
    return {
      // Too few straps are Mind; that a label is unread or too weak besides is not hidden by it.
      severity: planned === 0 ? 'mind' : plannedEachKg === undefined ? 'findOut' : tooWeak ? 'stop' : 'mind',
      sentence: [
        `${name} `,
        ...wantedPhrase(tied),
        planned === 0
          ? '.'
          : `; ${planned} on the plan${plannedEachKg === undefined ? ', no label read' : ''}.`,
      ],
    }
  if (!holds)
    return {
      severity: 'findOut',
      sentence: [
        `${name}: ${straps(planned)} planned. Read the working load limit on ${plural(planned, 'its', 'their')} label; at least `,
        missing(kg(limitWanted(mass) / planned)),
        plural(planned, ' is wanted.', ' each are wanted.'),
      ],
    }
  return {
    severity: tooWeak ? 'stop' : 'clear',
    sentence: [
      `${name}: ${straps(planned)} ${plural(planned, 'holds', 'hold')} `,
      kg(holds.measure),
      tooWeak ? ' by their labels; half its weight is ' : ' by their labels, against half its weight, ',
      kg(holds.limit),
      ...marginWords(holds, kg),
    ],
  }
}

/** A label that nobody read is a question with one field. */
function withAsk(
  { tie: { thing } }: TiedDown,
  result: Pick<Finding, 'severity' | 'sentence'>,
): Pick<Finding, 'severity' | 'sentence' | 'ask'> {
  if (result.severity !== 'findOut') return result
  return {
    ...result,
    ask: {
      where: 'label',
      label: `Working load limit of one strap on ${thing.gear.name}`,
      target: { field: 'straps', placementId: thing.placement.id },
    },
  }
}

/** Is everything loose tied down by enough straps of enough strength? Working load limits in kg. */
export const tieDownsCheck = check({
  id: 'tie-downs',
  title: 'Tied down',
  question: 'Does everything held by straps alone have enough straps of sufficient strength?',
  formula:
    'straps by length and mass; friction lashing n ≥ (c − μ)·m·g·f_s / (2·μ·sin α·F_T); working load limits ≥ half the mass',
  source: {
    kind: 'published',
    text: '49 CFR 393.106 and 393.110; EN 12195-1, friction lashing; from memory. Where they ask for different numbers, the larger. Check your local rules.',
  },
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: { masses: 'aboard' },
  nothing: 'Nothing on the plan is held by straps alone.',
  *run(survey) {
    for (const tied of tiedDown(survey))
      yield {
        about: tied.tie.thing.placement.id,
        state: 'all',
        subject: { placementIds: [tied.tie.thing.placement.id] },
        nearStop: { share: tied.toStopShare },
        ...withAsk(tied, judge(tied)),
      }
  },
})
