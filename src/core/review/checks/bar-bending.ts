import { marginPhrase } from '../margin-words'
import { bendings, YIELD_FACTOR } from '../../facts/bending'
import { fails, spareOf, overBy } from '../../facts/comparison'
import { mm, mPa, newtonMetre, type Phrase, missing } from '../../units/phrase'
import { type FindingDraft, check, notLooked } from '../check'
import { HEIGHTS } from '../length-groups'

type Bending = ReturnType<typeof bendings>[number]

function bendingFinding({ at, worst, room, stress, toStopShare }: Bending): FindingDraft {
  const { bar, rack } = at
  const { moment, stressMPa, lowest: low, state } = worst
  const roomMm = room ? room.measure : Infinity
  const common = {
    about: bar.id,
    state,
    subject: { barId: bar.id, rackId: rack.id, placementIds: [] },
    // What a bar's own section is off changes its stress, and no room in mm says how far.
    nearStop: { mm: { vehicle: roomMm, attachment: roomMm, rack: roomMm }, share: toStopShare },
  } as const
  const bends: Phrase = [`${bar.name} bends with `, newtonMetre(Math.abs(moment.nm))]
  if (low && room && fails(room))
    return {
      ...common,
      severity: 'stop',
      measured: mm(low.downMm),
      margin: mm(spareOf(room)),
      sentence: [`${bar.name} would bend `, mm(low.downMm), ' and meet the roof.'],
    }
  if (stress && fails(stress.guarded))
    return {
      ...common,
      severity: fails(stress.yield) ? 'stop' : 'mind',
      measured: mPa(stress.guarded.measure),
      limit: mPa(stress.guarded.limit),
      margin: mPa(spareOf(stress.guarded)),
      sentence: [
        ...bends,
        ', a stress of ',
        mPa(stress.guarded.measure),
        ...(fails(stress.yield)
          ? [', ', missing(mPa(overBy(stress.yield))), ' over its yield of ', mPa(stress.yield.limit)]
          : [
              ', ',
              missing(mPa(overBy(stress.guarded))),
              ` over its yield divided by ${YIELD_FACTOR}: yield is `,
              mPa(stress.yield.limit),
            ]),
        '.',
      ],
    }
  return {
    ...common,
    severity: 'clear',
    ...(low ? { measured: mm(low.downMm) } : {}),
    sentence: [
      ...bends,
      ...(low ? [' and comes down ', mm(low.downMm)] : []),
      ...(stressMPa === undefined
        ? ['; its section is not known, so there is no stress to judge.']
        : [
            ', a stress of ',
            mPa(stressMPa),
            ...(stress
              ? [
                  ` against its yield divided by ${YIELD_FACTOR}, `,
                  mPa(stress.guarded.limit),
                  ', ',
                  ...marginPhrase(stress.guarded, mPa),
                ]
              : []),
            '. Bending less never makes a higher limit.',
          ]),
    ],
  }
}

/** Of a bar whose stress cannot be judged: only whether it would bend down to the roof. */
function* overItsRoom(bending: Bending): Iterable<FindingDraft> {
  if (bending.room && fails(bending.room)) yield bendingFinding(bending)
}

/** How far does each bar bend, and does it keep clear of the roof and of its yield? N·m, mm, MPa. */
export const barBending = check({
  id: 'bar-bending',
  title: 'Bars bend',
  question:
    'Does every bar whose section is known keep clear of the roof and well under its yield as it bends?',
  formula: `beam on its feet: stress = M/W ≤ yield / ${YIELD_FACTOR}; deflection by integration of M/EI`,
  source: {
    kind: 'handbook',
    text: 'Euler-Bernoulli beam; Roark’s Formulas, Table 8.1, and Gere, from memory. It is a note, never a higher limit than the sheet’s.',
  },
  law: 'balance',
  mass: 'matters',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'bending',
  turnedBy: { lengths: { of: { ...HEIGHTS, bar: /^(riseMm|profile)/ }, reach: 1 }, masses: 'aboard' },
  nothing: 'No bar carries anything.',
  *run(survey) {
    const all = bendings(survey)
    const unchecked = all.filter((each) => !each.sectionStated || !each.stress)
    for (const each of all)
      if (!unchecked.includes(each)) yield bendingFinding(each)
      else if (each.sectionStated) yield* overItsRoom(each)
    const [first] = unchecked
    if (first)
      yield notLooked(
        [
          `Bending: the section or the yield of ${unchecked.map(({ at }) => at.bar.name).join(', ')} is not known.`,
        ],
        {
          where: 'sheet',
          label: 'Wall, section and material of the bars',
          target: { open: 'rack', rackId: first.at.rack.id, at: 'bars' },
        },
      )
  },
})
