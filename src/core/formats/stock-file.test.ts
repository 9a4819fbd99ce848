import { expect, it } from 'vitest'
import { DEMO_STOCK } from '@/demo/stock'
import { parseStockText, stockChanges, stockText } from './stock-file'
import { EMPTY_STOCK } from './stock-kinds'

const [first, second] = DEMO_STOCK.gear

it('says of a stock file what would be added, what would take a place, and what is here already', () => {
  const file = parseStockText(stockText(DEMO_STOCK))
  if (!file.ok || !first || !second) throw new Error('the demo has no stock')
  const all = Object.values(DEMO_STOCK).reduce((sum, list: readonly unknown[]) => sum + list.length, 0)
  expect(stockChanges(EMPTY_STOCK, file.stock).added).toHaveLength(all)
  expect(stockChanges(DEMO_STOCK, file.stock)).toEqual({ added: [], changed: [], same: all })

  const here = { ...EMPTY_STOCK, gear: [{ ...first, name: 'My own name' }, second] }
  const { added, changed, same } = stockChanges(here, { ...EMPTY_STOCK, gear: [first, second] })
  expect([added.length, changed.map(({ kind, item }) => [kind, item.name]), same]).toEqual([
    0,
    [['gear', first.name]],
    1,
  ])
})

it('takes the order of fields for no difference', () => {
  if (!first) throw new Error('the demo has no gear')
  const turned = Object.fromEntries(Object.entries(first).reverse()) as unknown as typeof first
  expect(stockChanges({ ...EMPTY_STOCK, gear: [turned] }, { ...EMPTY_STOCK, gear: [first] }).same).toBe(1)
})
