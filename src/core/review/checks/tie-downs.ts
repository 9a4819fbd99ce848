import { type TieDown, limitCounted, limitWanted } from '../../survey/motion/securing'
import { check } from '../check'
import type { Finding, Severity } from '../finding'
import { kg, type Phrase } from '../../units/phrase'

export const straps = (count: number) => `${count} ${count === 1 ? 'strap' : 'straps'}`

/** What a thing wants, in words. */
function wantedPhrase({ wanted, eachKg, byLength, byFriction }: TieDown): Phrase {
  const why = byFriction > byLength ? 'its weight and the friction under it' : 'its length'
  return [
    `wants ${straps(wanted)} over it for ${why}, each with a working load limit of `,
    kg(eachKg),
    ' or more',
  ]
}

/** Too few straps are Mind; that a label is unread or too weak besides is not hidden by it. */
function tooFew({ planned, plannedEachKg, kg: mass }: TieDown): Severity {
  if (planned === 0) return 'mind'
  if (plannedEachKg === undefined) return 'findOut'
  return limitCounted(planned, plannedEachKg, 'over') < limitWanted(mass) - 1e-9 ? 'stop' : 'mind'
}

function judge(tie: TieDown): Pick<Finding, 'severity' | 'sentence'> {
  const { thing, wanted, planned, plannedEachKg, kg: mass } = tie
  const { name } = thing.gear
  if (planned < wanted)
    return {
      severity: tooFew(tie),
      sentence: [
        `${name} `,
        ...wantedPhrase(tie),
        planned === 0
          ? '.'
          : `; ${planned} on the plan${plannedEachKg === undefined ? ', no label read' : ''}.`,
      ],
    }
  if (plannedEachKg === undefined)
    return {
      severity: 'findOut',
      sentence: [
        `${name}: ${straps(planned)} planned. Read the working load limit on their label; `,
        kg(limitWanted(mass) / planned),
        ' each are wanted.',
      ],
    }
  const counted = limitCounted(planned, plannedEachKg, 'over')
  return counted < limitWanted(mass) - 1e-9
    ? {
        severity: 'stop',
        sentence: [
          `${name}: ${straps(planned)} hold `,
          kg(counted),
          ' by their labels; half its weight is ',
          kg(limitWanted(mass)),
          '.',
        ],
      }
    : {
        severity: 'clear',
        sentence: [
          `${name}: ${straps(planned)} hold `,
          kg(counted),
          ' by their labels, against half its weight, ',
          kg(limitWanted(mass)),
          '.',
        ],
      }
}

/** A label that nobody read is a question with one field. */
function withAsk(
  { thing }: TieDown,
  judged: Pick<Finding, 'severity' | 'sentence'>,
): Pick<Finding, 'severity' | 'sentence' | 'ask'> {
  if (judged.severity !== 'findOut') return judged
  return {
    ...judged,
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
  question: 'Is everything that only straps hold tied by enough of them, each strong enough?',
  formula:
    'straps by length and mass; friction lashing n ≥ (c − μ)·m·g·f_s / (2·μ·sin α·F_T); working load limits ≥ half the mass',
  source: {
    kind: 'published',
    text: '49 CFR 393.106 and 393.110; EN 12195-1, friction lashing; from memory. Where they ask for different numbers, the larger. Check your local rules.',
  },
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'forces',
  turnedBy: {},
  nothing: 'Nothing on the plan is held by straps alone.',
  *run(survey) {
    for (const tie of survey.motion.tieDowns())
      yield {
        about: tie.thing.placement.id,
        state: 'all',
        subject: { placementIds: [tie.thing.placement.id] },
        ...withAsk(tie, judge(tie)),
      }
  },
})
