import { keyWords } from '../plan/key-words'
import { barsOf, deckOf, type Bar, type Rack } from '../plan/schema/rack'
import { factText } from '../log/fact-print'

/** The entry of the stock that a job's rack was taken from, or was entered as: their ids begin alike. */
export function stockRackOf({ id, kind }: Rack, stock: readonly Rack[]): Rack | undefined {
  return stock
    .filter((entry) => entry.kind === kind && (entry.id === id || id.startsWith(`${entry.id}-`)))
    .toSorted((a, b) => b.id.length - a.id.length)[0]
}

/** A bar as stock keeps it: where it stands on a vehicle, and on what, is the job's. */
const barInStock = (bar: Bar, entry: Bar | undefined, id: string): Bar => {
  const { attachmentId: _, ...rest } = bar
  return {
    ...rest,
    id: entry?.id ?? id,
    xMm: entry?.xMm ?? bar.xMm,
    ...(entry?.attachmentId === undefined ? {} : { attachmentId: entry.attachmentId }),
  }
}

/**
 * A job's rack as an entry of the stock: all that was found out of it, with the entry's own ids; where it stands and
 * whether it is on already stay the job's.
 */
export function intoStock(rack: Rack, entry: Rack): Rack {
  const { status: _, ...rest } = rack
  const parts = rack.parts.map((part, i) => ({
    ...part,
    id: entry.parts[i]?.id ?? `${entry.id}-part-${i + 1}`,
  }))
  const own = { id: entry.id, attachmentId: entry.attachmentId, parts }
  if (rest.kind === 'ladder') return { ...rest, ...own }
  const knownBars = barsOf(entry)
  const bars = rest.bars.map((bar, i) => barInStock(bar, knownBars[i], `${entry.id}-bar-${i + 1}`))
  const at = deckOf(entry)
  const deck = deckOf(rest)
  return {
    ...rest,
    ...own,
    bars,
    ...(deck ? { deck: at ? { ...deck, xMm: at.xMm, yMm: at.yMm } : deck } : {}),
  }
}

/** What differs in one thing of a rack, field by field in plain words. */
export interface StockDifference {
  readonly name: string
  readonly fields: readonly string[]
}

/** What says how a figure is known, and how it was typed, goes with the figure. */
const BESIDES = new Set(['id', 'known', 'typed'])

const differingFields = (here: object, there: object | undefined): string[] => {
  const [a, b] = [here as Record<string, unknown>, (there ?? {}) as Record<string, unknown>]
  return [...new Set([...Object.keys(a), ...Object.keys(b)])]
    .filter((key) => !BESIDES.has(key) && factText(a[key]) !== factText(b[key]))
    .map((key) => (key === 'rated' ? 'its figures' : keyWords(key)))
}

/** Where a job's rack and its entry in the stock differ: in the rack itself, its bars and its parts. */
export function stockDifferences(rack: Rack, entry: Rack): readonly StockDifference[] {
  const as = intoStock(rack, entry)
  const whole = ({ parts: _parts, ...rest }: Rack) => ({ ...rest, bars: undefined })
  const knownBars = barsOf(entry)
  const all: readonly (readonly [name: string, fields: readonly string[]])[] = [
    [rack.name, differingFields(whole(as), whole(entry))],
    ...barsOf(as).map((bar, i) => [bar.name, differingFields(bar, knownBars[i])] as const),
    ...knownBars.slice(barsOf(as).length).map(({ name }) => [name, ['only in stock']] as const),
    ...as.parts.map((part, i) => [part.name, differingFields(part, entry.parts[i])] as const),
    ...entry.parts.slice(as.parts.length).map(({ name }) => [name, ['only in stock']] as const),
  ]
  return all.flatMap(([name, fields]) => (fields.length > 0 ? [{ name, fields }] : []))
}
