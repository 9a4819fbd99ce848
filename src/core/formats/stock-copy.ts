import type { Rack } from '../plan/schema/rack'
import type { StockItem, StockKind } from './stock-kinds'

function rackCopy(rack: Rack, id: string): Rack {
  const parts = rack.parts.map((part, i) => ({ ...part, id: `${id}-part-${i + 1}` }))
  if (rack.kind === 'ladder') return { ...rack, id, parts }
  return { ...rack, id, parts, bars: rack.bars.map((bar, i) => ({ ...bar, id: `${id}-bar-${i + 1}` })) }
}

/** An entry again under an id of its own; a rack's bars and parts get theirs too, so that both can stand on one plan. */
export function copyOf<K extends StockKind>(kind: K, item: StockItem[K], id: string): StockItem[K] {
  const name = `${item.name} (copy)`.slice(0, 120)
  const named = { ...item, id, name }
  return kind === 'racks' ? ({ ...rackCopy(item as Rack, id), name } as StockItem[K]) : named
}
