import { any } from '../../units/pick'
import type { Survey } from '../../survey/survey'
import { BASES } from '../../kinds/basis'
import type { GearMass, OtherMass } from '../../plan/schema/gear-mass'
import type { Rating } from '../../plan/schema/rating'
import type { Cell } from '../../survey/load-path/limit'
import type { MassPoint } from '../../survey/loads/mass-point'
import type { WeightOf } from '../ask'
import type { RackAt } from '../../survey/frame/arrangement'
import { fails } from '../../facts/comparison'
import { rangeWords } from '../../kinds/range-words'
import { conflictingFiguresOf, sheetAgainstPoints } from '../../facts/contradictions'
import { kg, mm, type Phrase, phraseText } from '../../units/phrase'
import { check, practice, type FindingDraft } from '../check'
import { unsettledLinks, type LinkVerdict } from '../../facts/links'
import { cellFinding, holdsPhrase, limitPhrase, sourceText, whereFigure } from '../layer-phrases'

const figure = ({ kg: value, source }: Rating): Phrase => [kg(value), ` (${sourceText(source)})`]

/** An answer is read by whoever has the sheet or the scale, in either system. */
const IN_BOTH = { show: 'both', denominator: 16 } as const

const weight = ({ kg: value, basis, by }: Pick<OtherMass, 'kg' | 'basis' | 'by'>): Phrase => [
  kg(value),
  ` (${BASES[basis].word}${by === undefined ? '' : `, ${by}`})`,
]

/** From the least of several to the most. */
const apartBy = (kgs: readonly number[]) => kg(Math.max(...kgs) - Math.min(...kgs))

/** The weight that counts for a mass, and where it stands in the plan. */
function whoseWeight(mass: MassPoint): { readonly weight: GearMass; readonly of: WeightOf } | undefined {
  if (mass.of === 'gear') return { weight: mass.thing.gear.mass, of: { gearId: mass.thing.gear.id } }
  if (mass.of !== 'load' || mass.load?.what.kind !== 'mass') return undefined
  const of = { placementId: mass.thing.placement.id, loadId: mass.load.id }
  return { weight: mass.load.what.mass, of }
}

/** The weights of one thing that disagree, where the verdict of a layer would be another with the other one. */
function* weightsOf(cell: Cell, { others }: LinkVerdict): Iterable<FindingDraft> {
  const asked = new Set<string>()
  for (const { mass, overBy, comparison } of others) {
    const whose = whoseWeight(mass)
    if (!whose || asked.has(mass.id)) continue
    asked.add(mass.id)
    const all = [whose.weight, ...(mass.others ?? [])]
    yield cellFinding(
      'findOut',
      cell,
      [
        ...holdsPhrase(cell),
        `, and it depends on ${mass.label}: `,
        ...all.flatMap((each, i): Phrase => [...(i === 0 ? [] : [' and ']), ...weight(each)]),
        ' differ by ',
        apartBy(all.map((each) => each.kg)),
        '. With the other it would be ',
        kg(comparison.limit + overBy),
        ' against ',
        ...limitPhrase(cell, comparison),
        '. Say which one holds, or weigh it.',
      ],
      {
        about: mass.id,
        ask: {
          where: 'scale',
          label: `Which weight of ${mass.label} holds`,
          target: {
            field: 'massHolds',
            of: whose.of,
            options: all.map((each, i) => [String(i), phraseText(weight(each), IN_BOTH)] as const),
          },
        },
      },
    )
  }
}

/** The weights of one thing that differ and turn nothing: said once, and asked nowhere. */
function* conflictingWeights(survey: Survey): Iterable<FindingDraft> {
  const conflicts = survey.masses.filter(({ others }) => others && any(others))
  if (!any(conflicts)) return
  const asked = new Set(
    [...unsettledLinks(survey).values()].flatMap(({ others }) => others.map(({ mass }) => mass.id)),
  )
  for (const mass of conflicts) {
    const whose = whoseWeight(mass)
    if (!whose || !mass.others || asked.has(mass.id)) continue
    const all = [whose.weight, ...mass.others]
    yield {
      about: `weights ${mass.id}`,
      severity: 'clear',
      state: 'all',
      subject: { placementIds: 'thing' in mass ? [mass.thing.placement.id] : [] },
      sentence: [
        `${mass.label}: `,
        ...all.flatMap((each, i): Phrase => [...(i === 0 ? [] : [' and ']), ...weight(each)]),
        ' differ by ',
        apartBy(all.map((each) => each.kg)),
        '; no verdict depends on the choice. The first counts.',
      ],
    }
  }
}

/** A fit sheet that wants another spread than the points of the vehicle give: both cannot be right. */
function* sheetOf(rack: RackAt): Iterable<FindingDraft> {
  const conflicts = sheetAgainstPoints(rack)
  if (!conflicts) return
  const { fromMm, toMm, compared } = conflicts
  yield {
    about: `spread ${rack.rack.id}`,
    severity: 'findOut',
    state: 'all',
    subject: { placementIds: [], rackId: rack.rack.id },
    measured: mm(compared.measure),
    limit: mm(compared.limit),
    sentence: [
      `${rack.rack.name}: its fit sheet wants a spread of `,
      ...rangeWords(fromMm, toMm),
      ', and the vehicle’s points are ',
      mm(compared.measure),
      ' apart. Both cannot be right: measure the points, and check that the row is for this vehicle. The points are in use.',
    ],
    ask: {
      where: 'tape',
      label: `Which spread of ${rack.rack.name} holds`,
      target: { field: 'sheetSpread', rackId: rack.rack.id },
    },
  }
}

/** Are there two figures for the same that disagree? The lesser counts until somebody says which one holds. kg. */
export const figuresDisagree = check({
  id: 'figures-disagree',
  title: 'Figures that disagree',
  question: 'Do two figures for one thing disagree, or a fit sheet and the vehicle’s points?',
  formula:
    'of ratings the lesser counts; over it, the question stands beside the Stop. Of weights the one in use counts, and the question stands where the verdict would be another with the other',
  source: practice(
    'Two manuals, or a label and a sheet, often differ by a model year. Common practice, no source.',
  ),
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No two figures for one thing differ.',
  *run(survey) {
    for (const rack of survey.racks) yield* sheetOf(rack)
    yield* conflictingWeights(survey)
    const links = unsettledLinks(survey)
    for (const cell of survey.loadPath.cells) {
      const result = links.get(cell)
      if (result) yield* weightsOf(cell, result)
      const conflicts = conflictingFiguresOf(cell)
      if (!conflicts) continue
      const { all, compared } = conflicts
      const { owner, name, role } = cell.layer
      const turns = fails(compared)
      yield cellFinding(
        turns ? 'findOut' : 'mind',
        cell,
        [
          `${name}: `,
          ...all.flatMap((each, i): Phrase => [...(i === 0 ? [] : [' and ']), ...figure(each)]),
          ' differ by ',
          apartBy(all.map((each) => each.kg)),
          `. The lesser counts${turns ? ', and it is exceeded' : ''}. See which one holds for this vehicle.`,
        ],
        {
          about: 'figures',
          ...(owner && {
            ask: {
              where: whereFigure(role),
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
