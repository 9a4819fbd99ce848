import { BASES } from '../../kinds/basis'
import type { HouseRules } from '../../plan/house'
import type { OtherMass } from '../../plan/gear-mass'
import type { Rating } from '../../plan/rating'
import type { Cell } from '../../survey/load-path/limit'
import { exceeds } from '../../units/tolerance'
import { kg, type Phrase, phraseText } from '../../units/phrase'
import { check, practice, type Said } from '../check'
import { hangsOf } from '../hangs'
import { cellFinding, holdsPhrase, limitPhrase, sourceText, whereFigure } from '../layer-phrases'

/** Other figures that speak of the very same as the one in force, and say otherwise. */
function othersOf({ layer, limit }: Cell): readonly Rating[] {
  if (limit.kind === 'missing') return []
  const { rating } = limit
  return layer.ratings.filter(
    (each) =>
      each.state === rating.state &&
      each.per === rating.per &&
      each.counts === rating.counts &&
      each.gearKind === rating.gearKind &&
      each.upToKmH === rating.upToKmH &&
      each.kg !== rating.kg,
  )
}

const figure = ({ kg: value, source }: Rating): Phrase => [kg(value), ` (${sourceText(source)})`]

/** An answer is read by whoever has the sheet or the scale, in either system. */
const IN_BOTH = { show: 'both', denominator: 16 } as const

const weight = ({ kg: value, basis, by }: Pick<OtherMass, 'kg' | 'basis' | 'by'>): Phrase => [
  kg(value),
  ` (${BASES[basis].word}${by === undefined ? '' : `, ${by}`})`,
]

/** The weights of one thing that disagree, where the verdict of a layer would be another with the other one. */
function* weightsOf(cell: Cell, rules: HouseRules): Iterable<Said> {
  const asked = new Set<string>()
  for (const hang of hangsOf(cell, rules)) {
    if (hang.on !== 'other' || hang.part.mass.of !== 'gear' || asked.has(hang.part.mass.id)) continue
    const { gear } = hang.part.mass.thing
    asked.add(hang.part.mass.id)
    const all = [gear.mass, ...(hang.part.mass.others ?? [])]
    yield cellFinding(
      'findOut',
      cell,
      [
        ...holdsPhrase(cell),
        `, and it hangs on ${gear.name}: `,
        ...all.flatMap((each, i): Phrase => [...(i === 0 ? [] : [' and ']), ...weight(each)]),
        ' disagree. With the other it would be ',
        kg(hang.sumKg),
        ' against ',
        ...limitPhrase(cell),
        '. Say which one holds, or weigh it.',
      ],
      {
        about: hang.part.mass.id,
        ask: {
          where: 'scale',
          label: `Which weight of ${gear.name} holds`,
          target: {
            field: 'massHolds',
            gearId: gear.id,
            options: all.map((each, i) => [String(i), phraseText(weight(each), IN_BOTH)] as const),
          },
        },
      },
    )
  }
}

/** Are there two figures for the same that disagree? The lesser counts until somebody says which one holds. kg. */
export const figuresDisagree = check({
  id: 'figures-disagree',
  title: 'Figures that disagree',
  question:
    'Do two figures for the same link, state and terms, or two weights of one thing, disagree, and which of them holds?',
  formula:
    'of ratings the lesser counts; over it, the question stands beside the Stop. Of weights the one in use counts, and the question stands where the verdict would be another with the other',
  source: practice(
    'Two manuals, or a label and a sheet, often differ by a model year. Common practice, no source.',
  ),
  law: 'moreIsWorse',
  nothing: 'No two figures in use speak of the same and differ.',
  *run({ loadPath, plan }) {
    for (const cell of loadPath.cells) {
      yield* weightsOf(cell, plan.rules)
      const others = othersOf(cell)
      const { limit, layer } = cell
      const { owner, name } = layer
      if (cell.idle || limit.kind === 'missing' || others.length === 0) continue
      const all = [limit.rating, ...others]
      const turns = exceeds(cell.countedKg, limit.kg)
      yield cellFinding(
        turns ? 'findOut' : 'mind',
        cell,
        [
          `${name}: `,
          ...all.flatMap((each, i): Phrase => [...(i === 0 ? [] : [' and ']), ...figure(each)]),
          ` disagree. The lesser counts${turns ? ', and it is exceeded' : ''}. See which one holds for this vehicle.`,
        ],
        {
          about: 'figures',
          ...(owner && {
            ask: {
              where: whereFigure(layer.role),
              label: `Which figure of ${name} holds`,
              target: {
                field: 'holds',
                owner,
                options: all.map(({ id, source }) => [id, sourceText(source)] as const),
              },
            },
          }),
        },
      )
    }
  },
})
