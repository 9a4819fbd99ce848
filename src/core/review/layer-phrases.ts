import { readAs } from '../kinds/provenance'
import { kindsOf } from '../kinds/kind'
import { type PartRole, PART_ROLES } from '../kinds/part-role'
import type { FindingDraft } from './check'
import type { Source } from '../plan/schema/rating'
import type { LayerRole } from '../survey/load-path/layer'
import type { Cell } from '../survey/load-path/limit'
import type { Survey } from '../survey/survey'
import { linkVerdict, type LinkComparison, type LinkVerdict } from '../facts/links'
import type { Ask, Where } from './ask'
import { IN_STATE, type Finding, type Severity } from './finding'
import { kg, missing, type Phrase, toSpare } from '../units/phrase'

/** Where a figure was read, in a few words. */
export function sourceText(source: Source): string {
  const page = source.page === undefined ? '' : `, page ${source.page}`
  const text = source.text === undefined ? '' : ` (${source.text})`
  const on = source.on === undefined ? '' : `, read ${source.on}`
  return `${readAs(source.kind)}${page}${text}${on}`
}

/** Where the figure of a link is usually printed. Common practice, no source. */
const PRINTED: Readonly<Record<LayerRole, { readonly on: Where; readonly words: string }>> = {
  ...(Object.fromEntries(
    kindsOf(PART_ROLES).map((role) => [role, PART_ROLES[role].printed] as const),
  ) as Record<PartRole, (typeof PART_ROLES)[PartRole]['printed']>),
  carrier: { on: 'label', words: 'on a label inside the lid or on the sheet that came with it' },
  attachment: {
    on: 'manual',
    words: "in the vehicle's manual, under roof racks or towing and loading",
  },
  roof: { on: 'manual', words: "in the vehicle's manual, under roof load or loading" },
  payload: { on: 'label', words: 'on the plate in the door frame' },
}
export const whereFigure = (role: LayerRole): Where => PRINTED[role].on
export const usuallyPrinted = (role: LayerRole): string => PRINTED[role].words

const COMMON_FACTORS: readonly (readonly [number, string])[] = [
  [1 / 2, 'half'],
  [2 / 3, '2/3'],
  [3 / 4, '3/4'],
]

function factorWords(factor: number): string {
  return (
    COMMON_FACTORS.find(([value]) => Math.abs(value - factor) < 1e-9)?.[1] ??
    String(Math.round(factor * 1000) / 1000)
  )
}

/** How a limit came about, as the end of a sentence: that of the figure which leaves least, or of another one in force. */
export function limitPhrase(cell: Cell, comparison?: LinkComparison): Phrase {
  const { limit, layer } = cell
  if (limit.kind === 'missing') return ['no figure']
  const per = comparison?.rating.per ?? cell.per
  const unit = layer.units[comparison?.unitIndex ?? cell.unit] ?? 'one'
  const most = comparison && comparison.unitIndex !== cell.unit ? unit : `${unit} bears most`
  const each = per === 'each' ? ` each (${most})` : ''
  const figure = comparison?.limit ?? limit.kg
  const { source } = comparison?.rating ?? limit.rating
  switch (limit.kind) {
    case 'published':
      return [kg(figure), `${each}, ${sourceText(source)}`]
    case 'driving':
      return [kg(figure), `${each}, its driving figure`]
    case 'assumed':
      return [
        kg(figure),
        `${each}, assumed by house rule as ${limit.by === 'derate' ? `${factorWords(limit.factor)} of` : `${limit.factor} times`} the road figure`,
      ]
  }
}

const countedWords = (cell: Cell) =>
  cell.counting === 'everything' && cell.layer.own.length > 0 && cell.layer.group === 'vehicle'
    ? ', rack included'
    : ''

/** What a layer holds in a state, as the start of a sentence: on the unit that bears most, or that a figure is held against. */
export function holdsPhrase(cell: Cell, comparison?: LinkComparison): Phrase {
  return [
    `${cell.layer.name}: `,
    kg(comparison?.countedKg ?? cell.countedKg),
    ` ${IN_STATE[cell.state]}${countedWords(cell)}`,
  ]
}

/** The fields every finding about a layer shares. */
export function cellFinding(
  severity: Severity,
  cell: Cell,
  sentence: Phrase,
  more: {
    readonly about?: string
    readonly ask?: Ask
    readonly comparison?: LinkComparison
    readonly concerns?: Finding['concerns']
  } = {},
): FindingDraft {
  const { about, ask, comparison, concerns } = more
  const { layer, state, limit } = cell
  const counted = comparison?.countedKg ?? cell.countedKg
  const draft: FindingDraft = {
    about: about === undefined ? `${layer.id} ${state}` : `${layer.id} ${about} ${state}`,
    severity,
    state,
    subject: { layerId: layer.id, placementIds: layer.placementIds },
    measured: kg(counted),
    sentence,
  }
  // Most findings are of links: what they do not say is not put together and taken apart again.
  if (concerns) Object.assign(draft, { concerns })
  if (ask) Object.assign(draft, { ask })
  if (limit.kind === 'missing') return draft
  const limitKg = comparison?.limit ?? limit.kg
  return Object.assign(draft, { limit: kg(limitKg), margin: kg(limitKg - counted) })
}

/** Whether a link holds whatever single fact is at the end of what it may be; what depends on one has the word elsewhere. */
export const holdsSurely = (result: LinkVerdict | undefined): boolean =>
  result !== undefined &&
  (result.verdict.is === 'within' || result.verdict.is === 'together') &&
  result.others.length === 0 &&
  result.otherwise === undefined

/** Stop or Clear for a cell with a known limit; nothing where another check has the word. */
export function* overOrClear(cell: Cell, survey: Survey): Iterable<FindingDraft> {
  const result = linkVerdict(cell, survey)
  if (cell.limit.kind === 'missing' || !result) return
  const left = cell.limit.kg - cell.countedKg
  if (result.verdict.is === 'over')
    yield cellFinding(
      'stop',
      cell,
      cell.limit.kg === 0
        ? [...holdsPhrase(cell), ', and its figure allows nothing there: ', ...limitPhrase(cell), '.']
        : [...holdsPhrase(cell), ', ', missing(kg(-left)), ' over ', ...limitPhrase(cell), '.'],
    )
  else if (holdsSurely(result) && cell.limit.kind !== 'assumed')
    yield cellFinding('clear', cell, [
      ...holdsPhrase(cell),
      cell.limit.kind === 'driving' ? ', at least ' : ', ',
      toSpare(kg(left)),
      ' left of ',
      ...limitPhrase(cell),
      ...countedOtherwise(cell),
      '.',
    ])
}

/** What would be left if a figure whose source is silent counted the other way; nothing where that is the same. */
export function countedOtherwise(cell: Cell): Phrase {
  const { limit, countingStated, counting, countedKg, otherwiseKg } = cell
  if (limit.kind === 'missing' || countingStated || Math.abs(otherwiseKg - countedKg) < 0.05) return []
  return [
    counting === 'load' ? '; counting itself too, ' : '; not counting the rack, ',
    toSpare(kg(limit.kg - otherwiseKg)),
    ', for the source does not say',
  ]
}

/** The question for a layer's figure in a state, answered in one field where one figure answers it. */
export function askFigure(cell: Cell): Ask {
  const { layer, state } = cell
  const where = whereFigure(layer.role)
  const label = `${layer.name}, ${IN_STATE[state]}`
  const { owner } = layer
  if (owner === undefined || layer.ratedWith !== undefined)
    return {
      where,
      label,
      target:
        owner?.of === 'gear'
          ? { open: 'gear', gearId: owner.id }
          : layer.role === 'attachment'
            ? { open: 'vehicle', at: 'attachments' }
            : { open: 'rack', rackId: layer.rackIds[0] ?? '', at: 'parts' },
    }
  return { where, label, target: { field: 'rating', owner, state, per: 'set' } }
}
