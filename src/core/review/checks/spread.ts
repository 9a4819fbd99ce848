import { fails, overBy, spareOf } from '../../facts/comparison'
import {
  spreadConflicts,
  spreadFacts,
  USUAL_SPREAD,
  type SpreadConflict,
  type SpreadFact,
} from '../../facts/spreads'
import { rangeWords } from '../../kinds/range-words'
import { mm, type Phrase, missing } from '../../units/phrase'
import { listed } from '../../units/words'
import { type FindingDraft, check, practice } from '../check'
import { marginWords } from '../margin-words'

function conflictFinding({ set, short, missedMm }: SpreadConflict): FindingDraft {
  const thing = set.find(({ kind }) => kind === 'thing')
  return {
    about: `conflict ${set.map(({ id }) => id).join(' ')}`,
    severity: 'stop',
    state: 'all',
    subject: { placementIds: set.filter(({ kind }) => kind === 'thing').map(({ id }) => id) },
    ...(short ? { margin: mm(-short.byMm) } : {}),
    sentence:
      short && thing
        ? [
            `The vehicle puts ${short.pair.front.bar.name} and ${short.pair.rear.bar.name} `,
            mm(short.ableMm),
            ` apart at best: ${thing.name} cannot be reached by `,
            missing(mm(short.byMm)),
            '.',
          ]
        : [
            `No spread suits ${listed(set.map(({ name }) => name))} together`,
            ...(missedMm === undefined ? [] : [': ', missing(mm(missedMm)), ' are missing']),
            '. One of them has to give way.',
          ],
  }
}

/** What a thing wants of a pair of bars, and whether the vehicle could give it anything better. */
function wantFinding({ pair, want, compared, usual }: SpreadFact, noBetter: boolean): FindingDraft {
  const { front, rear } = pair
  const between: Phrase = [
    mm(compared.measure),
    ` between ${front.bar.name} and ${rear.bar.name}; ${want.member.name} needs `,
    ...rangeWords(want.from, want.to),
    ...(want.or === undefined || want.or === 0 ? [] : [', the nearest of its spreads']),
  ]
  return {
    about: `${want.member.id} ${front.bar.id} ${rear.bar.id}`,
    state: 'all',
    subject: {
      placementIds: want.member.kind === 'thing' ? [want.member.id] : [],
      barId: rear.bar.id,
      rackId: rear.rack.id,
    },
    measured: mm(compared.measure),
    limit: mm(compared.limit),
    margin: mm(spareOf(compared)),
    severity: fails(compared) ? 'stop' : 'clear',
    sentence: fails(compared)
      ? [
          ...between,
          ': ',
          missing(mm(overBy(compared))),
          compared.direction === 'atLeast' ? ' too narrow.' : ' too wide.',
          ...(noBetter ? [' The vehicle allows no better.'] : []),
        ]
      : [
          ...between,
          ...marginWords(compared),
          ...(usual && fails(usual)
            ? [
                ' A usual spread is ',
                ...rangeWords(USUAL_SPREAD.fromMm, USUAL_SPREAD.toMm),
                ': a hint, no limit.',
              ]
            : []),
        ],
  }
}

/** Does the spread of the bars suit everything that stands on them? Centre to centre, mm. */
export const spread = check({
  id: 'spread',
  title: 'Spread',
  question: 'Does the spread of the bars suit everything on them, and does the vehicle allow it?',
  formula:
    'what the vehicle leaves each bar ∩ what each thing wants from bar to neighbouring bar; empty: the smallest sets that conflict',
  source: practice('The gear decides the spread. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {
    lengths: {
      of: { attachment: /^(points|doorPositions)\.\d+\.xMm$/, rack: /^fitSheet/, gear: /^fit\./ },
      reach: 1,
    },
  },
  nothing: 'Nothing requires a spread.',
  *run(survey) {
    const all = spreadFacts(survey)
    const wrong = all.filter(({ compared }) => fails(compared))
    const conflicts = spreadConflicts(survey, wrong)
    for (const fact of all) if (!wrong.includes(fact)) yield wantFinding(fact, false)
    for (const fact of wrong)
      yield wantFinding(
        fact,
        conflicts.some(({ sameAs }) => sameAs === fact),
      )
    for (const conflict of conflicts) if (!conflict.sameAs) yield conflictFinding(conflict)
  },
})
