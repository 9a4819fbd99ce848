import { readAs } from '../kinds/how-known'
import { kindsOf } from '../kinds/kind'
import { type PartRole, PART_ROLES } from '../kinds/part-role'
import type { Said } from './check'
import type { Source } from '../plan/rating'
import type { LayerRole } from '../survey/load-path/layer'
import type { Cell } from '../survey/load-path/limit'
import type { Survey } from '../survey/survey'
import { exceeds } from '../units/tolerance'
import type { Ask, Where } from './ask'
import { IN_STATE, type Severity } from './finding'
import { hangsOf, type Hang } from './hangs'
import { kg, type Phrase } from '../units/phrase'

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

/** How a limit came about, as the end of a sentence. */
export function limitPhrase(cell: Cell): Phrase {
  const { limit, per, layer } = cell
  const each = per === 'each' ? ` each (${layer.units[cell.unit] ?? 'one'} bears most)` : ''
  switch (limit.kind) {
    case 'missing':
      return ['no figure']
    case 'published':
      return [kg(limit.kg), `${each}, ${sourceText(limit.rating.source)}`]
    case 'driving':
      return [kg(limit.kg), `${each}, its driving figure`]
    case 'assumed':
      return [
        kg(limit.kg),
        `${each}, assumed by house rule as ${limit.by === 'derate' ? `${factorWords(limit.factor)} of` : `${limit.factor} times`} the road figure`,
      ]
  }
}

const countedWords = (cell: Cell) =>
  cell.counting === 'everything' && cell.layer.own.length > 0 && cell.layer.group === 'vehicle'
    ? ', rack included'
    : ''

/** What a layer holds in a state, as the start of a sentence. */
export function holdsPhrase(cell: Cell): Phrase {
  return [`${cell.layer.name}: `, kg(cell.countedKg), ` ${IN_STATE[cell.state]}${countedWords(cell)}`]
}

/** The fields every finding about a layer shares. */
export function cellFinding(
  severity: Severity,
  cell: Cell,
  sentence: Phrase,
  more: { readonly about?: string; readonly ask?: Ask } = {},
): Said {
  const { about, ask } = more
  return {
    about: [cell.layer.id, ...(about === undefined ? [] : [about]), cell.state].join(' '),
    severity,
    state: cell.state,
    subject: { layerId: cell.layer.id, placementIds: cell.layer.placementIds },
    measured: kg(cell.countedKg),
    ...(cell.limit.kind === 'missing'
      ? {}
      : { limit: kg(cell.limit.kg), margin: kg(cell.limit.kg - cell.countedKg) }),
    sentence,
    ...(ask ? { ask } : {}),
  }
}

type CellVerdict = 'within' | 'over' | 'hangs'

/** Whether a layer with a known limit is within it, over it as its masses are said, or within it by a fact that hangs. */
export function judge(cell: Cell, hangs: readonly Hang[]): CellVerdict {
  if (cell.limit.kind !== 'missing' && exceeds(cell.kg, cell.limit.kg)) return 'over'
  return hangs.length > 0 ? 'hangs' : 'within'
}

/** Stop or Clear for a cell with a known limit; nothing where another check has the word. */
export function* overOrClear(cell: Cell, survey: Survey): Iterable<Said> {
  if (cell.limit.kind === 'missing') return
  const verdict = judge(cell, hangsOf(cell, survey))
  const left = cell.limit.kg - cell.countedKg
  if (verdict === 'over')
    yield cellFinding(
      'stop',
      cell,
      cell.limit.kg === 0
        ? [...holdsPhrase(cell), ', and its figure allows nothing there: ', ...limitPhrase(cell), '.']
        : [...holdsPhrase(cell), ', ', kg(-left), ' over ', ...limitPhrase(cell), '.'],
    )
  else if (verdict === 'within' && cell.limit.kind !== 'assumed')
    yield cellFinding('clear', cell, [
      ...holdsPhrase(cell),
      cell.limit.kind === 'driving' ? ', at least ' : ', ',
      kg(left),
      ' left of ',
      ...limitPhrase(cell),
      '.',
    ])
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
