import type { Rating } from '../../plan/rating'
import type { Cell } from '../../survey/load-path/limit'
import { exceeds } from '../../units/tolerance'
import { kg, type Phrase } from '../../units/phrase'
import { check, practice } from '../check'
import { cellFinding, sourceText, whereFigure } from '../layer-phrases'

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

/** Are there two figures for the same that disagree? The lesser counts until somebody says which one holds. kg. */
export const figuresDisagree = check({
  id: 'figures-disagree',
  title: 'Figures that disagree',
  question: 'Do two figures for the same link, state and terms disagree, and which of them holds?',
  formula: 'the lesser counts; over it, the question stands beside the Stop',
  source: practice(
    'Two manuals, or a label and a sheet, often differ by a model year. Common practice, no source.',
  ),
  law: 'moreIsWorse',
  nothing: 'No two figures in use speak of the same and differ.',
  *run({ loadPath }) {
    for (const cell of loadPath.cells) {
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
