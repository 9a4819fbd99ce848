import type { BarAt } from '../../survey/frame/arrangement'
import { type Said, check, notLooked } from '../check'
import { underBarRoom } from '../../survey/frame/roof-surface'
import type { LoadedBar } from '../../survey/statics/bending'
import { STATES } from '../../units/scalars'
import type { Survey } from '../../survey/survey'
import { mm, mPa, newtonMetre } from '../../units/phrase'

/** Two states that bend it alike but for rounding: the first is told. */
const TIE_NM = 1e-6

/** What a bar's stress must stay under, as a part of its yield: a stated factor, no one's figure for this bar. */
const YIELD_FACTOR = 1.5

function* judged(survey: Survey, worst: LoadedBar): Iterable<Said> {
  const { at, moment, stressMPa } = worst
  const { bar, rack } = at
  const common = {
    about: bar.id,
    state: worst.state,
    subject: { barId: bar.id, rackId: rack.id, placementIds: [] },
  } as const
  const { lowest: low } = worst
  const room =
    low && at.onRoof
      ? underBarRoom(survey.plan.vehicle, bar.riseMm, bar.xMm, low.yMm) - low.downMm
      : undefined
  const limit = bar.profile.material?.yieldMPa
  if (low && room !== undefined && room < 0)
    yield {
      ...common,
      severity: 'stop',
      measured: mm(low.downMm),
      margin: mm(room),
      sentence: [`${bar.name} would bend `, mm(low.downMm), ' and meet the roof.'],
    }
  else if (stressMPa !== undefined && limit !== undefined && stressMPa > limit / YIELD_FACTOR)
    yield {
      ...common,
      severity: stressMPa > limit ? 'stop' : 'mind',
      measured: mPa(stressMPa),
      limit: mPa(limit / YIELD_FACTOR),
      margin: mPa(limit / YIELD_FACTOR - stressMPa),
      sentence: [
        `${bar.name} bends with `,
        newtonMetre(Math.abs(moment.nm)),
        ', a stress of ',
        mPa(stressMPa),
        stressMPa > limit ? ', over its yield of ' : `, over its yield divided by ${YIELD_FACTOR}: yield is `,
        mPa(limit),
        '.',
      ],
    }
  else
    yield {
      ...common,
      severity: 'clear',
      ...(low ? { measured: mm(low.downMm) } : {}),
      sentence: [
        `${bar.name} bends with `,
        newtonMetre(Math.abs(moment.nm)),
        ...(low ? [' and comes down ', mm(low.downMm)] : []),
        ...(stressMPa === undefined
          ? ['; its section is not known, so there is no stress to judge.']
          : [', a stress of ', mPa(stressMPa), '. Bending less never makes a higher limit.']),
      ],
    }
}

/** Of a bar whose stress cannot be judged: only whether it would bend down to the roof. */
function* overItsRoom(survey: Survey, worst: LoadedBar): Iterable<Said> {
  for (const finding of judged(survey, worst)) if (finding.severity === 'stop') yield finding
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
  lookWord: 'bending',
  turnedBy: {},
  nothing: 'No bar carries anything.',
  *run(survey) {
    const unknown: BarAt[] = []
    for (const at of survey.bars) {
      const { index, bar } = at
      const worst = STATES.flatMap((state) => survey.statics.bar(index, state) ?? []).reduce<
        LoadedBar | undefined
      >(
        (so, each) => (so && Math.abs(so.moment.nm) >= Math.abs(each.moment.nm) - TIE_NM ? so : each),
        undefined,
      )
      if (!worst || worst.carriesKg <= 0) continue
      const known = bar.profile.wallMm !== undefined || bar.profile.section !== undefined
      if (known && worst.stressMPa !== undefined && bar.profile.material?.yieldMPa !== undefined)
        yield* judged(survey, worst)
      else {
        unknown.push(at)
        if (known) yield* overItsRoom(survey, worst)
      }
    }
    const [first] = unknown
    if (first)
      yield notLooked(
        survey,
        'bending',
        [
          `Bending: the section or the yield of ${unknown.map(({ bar }) => bar.name).join(', ')} is not known.`,
        ],
        {
          where: 'sheet',
          label: 'Wall, section and material of the bars',
          target: { open: 'rack', rackId: first.rack.id, at: 'bars' },
        },
      )
  },
})
