import type { Dimension } from '../units/dimension'
import { PROVENANCES } from '../kinds/provenance'
import { conflictingFigures, withFigure } from '../provenance/conflicting-figures'
import { survey as surveyOf, type Survey } from '../survey/survey'
import { STATES, type State } from '../units/scalars'
import { phraseText, type Phrase } from '../units/phrase'
import { listed } from '../units/words'
import type { Finding } from './finding'
import { IN_STATE } from './finding'

/** An answer is read by whoever has the sheet or the tape, in either system. */
const IN_BOTH = { show: 'both', denominator: 16 } as const

interface Figure {
  readonly dimension: Dimension | undefined
  readonly label: string
}

/** What a question calls the figures that are most often known twice. The sheets' own words would bring all forms along. */
const FIGURES: Readonly<Record<string, Figure>> = {
  riseMm: { dimension: 'length', label: 'room under it' },
  topMm: { dimension: 'length', label: 'its top over the roof' },
  eachKg: { dimension: 'mass', label: 'weight of each' },
  kg: { dimension: 'mass', label: 'its weight' },
  topZMm: { dimension: 'length', label: 'its top over the ground' },
  seatZMm: { dimension: 'length', label: 'its seat over the ground' },
  gaugeMm: { dimension: 'length', label: 'from one side to the other' },
  canopyKg: { dimension: 'mass', label: 'its own mass' },
  'roof.skinZMm': { dimension: 'length', label: 'the roof’s skin over the ground' },
  'roof.toXMm': { dimension: 'length', label: 'where the roof ends' },
}

const SUFFIX = { Mm: 'length', Kg: 'mass', Deg: 'angle', KmH: 'speed' } as const satisfies Record<
  string,
  Dimension
>

/** A figure's name in the plan as plain words, and what it is measured in. */
function plainly(field: string): Figure {
  const name = field.split('.').at(-1) ?? field
  const suffix = (Object.keys(SUFFIX) as (keyof typeof SUFFIX)[]).find((end) => name.endsWith(end))
  const stem = suffix ? name.slice(0, -suffix.length) : name
  const words = stem.replaceAll(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()
  return { dimension: suffix && SUFFIX[suffix], label: words }
}

/**
 * Figures of which more than one is known, where the verdict of some state is another with the other one: each is a
 * question, with the choice in its row. Where every verdict is the same either way nothing is asked.
 */
export function onConflictingFigures(
  base: Survey,
  now: () => Readonly<Record<State, string>>,
  outcomesOf: (survey: Survey) => Readonly<Record<State, string>>,
): Finding[] {
  const { plan } = base
  const figures = conflictingFigures(plan)
  if (figures.length === 0) return []
  const verdicts = now()
  return figures.flatMap((conflict): Finding[] => {
    const others = conflict.open.map(({ value }) =>
      outcomesOf(surveyOf(withFigure(plan, conflict, value), base)),
    )
    const differing = STATES.filter((state) => others.some((other) => other[state] !== verdicts[state]))
    if (differing.length === 0) return []
    const { dimension, label } = FIGURES[conflict.field] ?? plainly(conflict.field)
    const figure = (value: number, by: keyof typeof PROVENANCES, says?: string): Phrase => [
      dimension === undefined ? String(value) : { dimension, value },
      ` (${PROVENANCES[by].word}${says === undefined ? '' : `, ${says}`})`,
    ]
    const all = [
      figure(conflict.value, conflict.by),
      ...conflict.open.map(({ value, by, says }) => figure(value, by, says)),
    ]
    const what = `${conflict.name}: ${label}`
    const id = `figures-disagree ${[...(conflict.sheet.of === 'vehicle' ? ['vehicle'] : [conflict.sheet.id]), ...conflict.owner, conflict.field].join(' ')}`
    const values = [conflict.value, ...conflict.open.map(({ value }) => value)]
    const byMuch = Math.max(...values) - Math.min(...values)
    const common = {
      rule: 'figures-disagree',
      severity: 'findOut',
      subject: { placementIds: [] },
      sentence: [
        `${what}, `,
        ...all.flatMap((each, i): Phrase => [...(i === 0 ? [] : [' and ']), ...each]),
        ' differ by ',
        dimension === undefined ? String(byMuch) : { dimension, value: byMuch },
        `. The first is in use; with the other the verdict ${listed(differing.map((state) => IN_STATE[state]))} is another. Say which one holds.`,
      ],
      ask: {
        where: 'tape',
        label: what,
        target: {
          field: 'figureHolds',
          sheet: conflict.sheet,
          owner: conflict.owner,
          name: conflict.field,
          options: all.map((each, i) => [String(i), phraseText(each, IN_BOTH)] as const),
        },
      },
    } as const satisfies Omit<Finding, 'id' | 'state'>
    if (differing.length === STATES.length) return [{ ...common, id, state: 'all' }]
    const [only, second] = differing
    // Of one state it has been asked under its plain name, which questions that were set aside keep.
    if (only && second === undefined) return [{ ...common, id, state: only }]
    return differing.map((state) => ({ ...common, id: `${id} ${state}`, state }))
  })
}
