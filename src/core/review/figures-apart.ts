import { HOWS } from '../kinds/how-known'
import { fieldAlong } from '../fields/field-along'
import { GEAR_FIELD } from '../fields/gear-fields'
import { RACK_FIELD } from '../fields/rack-fields'
import { VEHICLE_FIELD } from '../fields/vehicle-fields'
import { figuresApart, withFigure, type FigureApart } from '../plan/figures-apart'
import type { Plan } from '../plan/plan'
import { survey as surveyOf } from '../survey/survey'
import { STATES, type State } from '../units/scalars'
import { phraseText, type Phrase } from '../units/phrase'
import type { Finding, Severity } from './finding'
import { IN_STATE } from './finding'

/** An answer is read by whoever has the sheet or the tape, in either system. */
const IN_BOTH = { show: 'both', denominator: 16 } as const

/** The field of a figure as its sheet calls it. */
function fieldOf(plan: Plan, { sheet, owner, field }: FigureApart) {
  const path = [...owner, ...field.split('.')]
  const [root, value] =
    sheet.of === 'vehicle'
      ? ([VEHICLE_FIELD, plan.vehicle] as const)
      : sheet.of === 'rack'
        ? ([RACK_FIELD, plan.racks.find(({ id }) => id === sheet.id)] as const)
        : ([GEAR_FIELD, plan.gear.find(({ id }) => id === sheet.id)] as const)
  return fieldAlong(root, value, path)
}

/**
 * Figures of which two are known and no state has the same verdict with the other one: each is a question, with the
 * choice in its row. Where the verdict is the same either way nothing is asked.
 */
export function onFiguresApart(
  plan: Plan,
  now: () => Readonly<Record<State, Severity>>,
  verdictsOf: (survey: ReturnType<typeof surveyOf>) => Readonly<Record<State, Severity>>,
): Finding[] {
  const figures = figuresApart(plan)
  if (figures.length === 0) return []
  const verdicts = now()
  return figures.flatMap((apart): Finding[] => {
    const others = apart.open.map(({ value }) => verdictsOf(surveyOf(withFigure(plan, apart, value))))
    const differing = STATES.filter((state) => others.some((other) => other[state] !== verdicts[state]))
    const field = fieldOf(plan, apart)
    if (differing.length === 0 || field?.is !== 'quantity') return []
    const { dimension, times = 1, label } = field
    const figure = (value: number, by: keyof typeof HOWS, says?: string): Phrase => [
      { dimension, value: value * times },
      ` (${HOWS[by].word}${says === undefined ? '' : `, ${says}`})`,
    ]
    const all = [
      figure(apart.value, apart.by),
      ...apart.open.map(({ value, by, says }) => figure(value, by, says)),
    ]
    const what = `${apart.name}: ${label.toLowerCase()}`
    const [only] = differing
    return [
      {
        id: `figures-disagree ${[...(apart.sheet.of === 'vehicle' ? ['vehicle'] : [apart.sheet.id]), ...apart.owner, apart.field].join(' ')}`,
        rule: 'figures-disagree',
        severity: 'findOut',
        state: differing.length === 1 && only ? only : 'all',
        subject: { placementIds: [] },
        sentence: [
          `${what}, `,
          ...all.flatMap((each, i): Phrase => [...(i === 0 ? [] : [' and ']), ...each]),
          ` disagree. The first is in use; with the other the verdict ${differing.map((state) => IN_STATE[state]).join(' and ')} is another. Say which one holds.`,
        ],
        ask: {
          where: 'tape',
          label: what,
          target: {
            field: 'figureHolds',
            sheet: apart.sheet,
            owner: apart.owner,
            name: apart.field,
            options: all.map((each, i) => [String(i), phraseText(each, IN_BOTH)] as const),
          },
        },
      },
    ]
  })
}
