import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { DEMO_STOCK } from '@/demo/stock'
import { seaBoat } from '@/demo/gear/cargo'
import { longBox } from '@/demo/gear/carriers'
import { boatAndBox } from '@/demo/plans'
import { apply } from '../plan/commands/apply'
import { copyOf } from './stock-copy'
import { readStockCsv, stockCsv } from './stock-csv'
import { STOCK_KINDS, type StockItem, type StockKind } from './stock-kinds'
import { parseStockText, stockText } from './stock-file'

describe('a list as CSV', () => {
  it('has its units in the heads, lines that end in CR LF, and quotes after RFC 4180 (published, from memory)', () => {
    const text = stockCsv('adapters', [{ ...DEMO_STOCK.adapters[0]!, name: 'Pads, "wide"\nnew' }], 'metric')
    expect(text.split('\r\n')[0]).toMatch(/^Id,Name,Mass \(kg\),Height \(mm\),Price,Mount,/)
    expect(text).toContain('"Pads, ""wide""\nnew"')
    expect(text.endsWith('\r\n')).toBe(true)
    expect(stockCsv('adapters', DEMO_STOCK.adapters, 'us')).toContain('Mass (lb),Height (in)')
  })

  it('comes back as it went, in either system: nothing drifts and nothing that the table does not show is lost', () => {
    for (const system of ['metric', 'us'] as const)
      for (const kind of STOCK_KINDS) {
        const read = readStockCsv<StockKind>(
          kind,
          stockCsv<StockKind>(kind, DEMO_STOCK[kind], system),
          DEMO_STOCK[kind],
          system,
        )
        expect(read).toEqual({ changed: [], added: [], same: DEMO_STOCK[kind].length, problems: [] })
      }
  })

  it('never writes a cell that a spreadsheet would run, and takes the apostrophe off again', () => {
    const evil: StockItem['gear'] = { ...seaBoat, name: '=HYPERLINK("x")' }
    const text = stockCsv('gear', [evil], 'metric')
    const [, row] = Papa.parse<string[]>(text).data
    expect(row?.[1]).toBe(`'=HYPERLINK("x")`)
    expect(readStockCsv('gear', text, [evil], 'metric').same).toBe(1)
    for (const cell of Papa.parse<string[]>(
      stockCsv(
        'gear',
        [
          { ...seaBoat, name: '@sum' },
          { ...longBox, name: '-2+3' },
        ],
        'metric',
      ),
    ).data.flat())
      expect(cell).not.toMatch(/^[=+@]|^-[^\d.]|^-\d+\+/)
  })

  it('changes what a line changes, cell by cell, in any unit of the head', () => {
    const text = 'Id,Length (in),Mass (lb),Spread from (mm)\r\nlong-box,75 3/4,40,620\r\n'
    const { changed, problems } = readStockCsv('gear', text, [longBox], 'metric')
    expect(problems).toEqual([])
    expect(changed[0]?.lengthMm).toBeCloseTo(1924.05, 9)
    expect(changed[0]?.mass.kg).toBeCloseTo(18.143695, 6)
    expect(changed[0]?.fit).toEqual({ ...longBox.fit, spreadMm: { fromMm: 620, toMm: 900 } })
    expect(changed[0]?.carries).toEqual(longBox.carries)
  })

  it('adds gear with an id of its own, and refuses to make of a line what a line cannot say', () => {
    const text =
      'Id,Name,Kind,Length (mm),Width (mm),Height (mm),Mass (kg),Mass known by,May lie on edge\nnew-crate,Crate,box,900,500,400,12,weighed,no\n'
    const { added, problems } = readStockCsv('gear', text, [], 'metric')
    expect(problems).toEqual([])
    expect(added).toMatchObject([{ id: 'new-crate', lengthMm: 900, mass: { kg: 12, basis: 'weighed' } }])
    expect(readStockCsv('vehicles', 'Id,Name\nnew,New\n', [], 'metric').problems).toMatchObject([{ line: 2 }])
  })

  it('names each wrong line with its field and the fix, and takes no part of it', () => {
    const text = [
      'Id,Name,Kind,Length (mm),Mass (kg)',
      'long-box,Long box,rocket,1900,18',
      'sea-boat,Sea boat,boat,five,24',
      ',Nameless,box,900,4',
      'long-box,Twice,box,900,4',
      'short,Short,box,,4',
      'sea-boat-2,Sea boat,boat,-3,24',
    ].join('\n')
    const { problems, changed, added } = readStockCsv('gear', text, [longBox, seaBoat], 'metric')
    expect(problems.map(({ line }) => line)).toEqual([2, 3, 4, 5, 6, 7])
    expect(problems[0]?.text).toContain('Kind: "rocket" is none of box')
    expect(problems[1]?.text).toContain('Length: "five" has no number in it')
    expect(problems[2]?.text).toContain('Id is empty')
    expect(problems[3]?.text).toContain('stands on two lines')
    expect(problems[4]?.text).toContain('Length is empty')
    expect(problems[5]?.text).toContain('Length: It is too small; it must be at least 0.1.')
    expect([...changed, ...added]).toEqual([])
  })

  it('reads a cell as a form reads its input: a figure over a starting value is told, as typed, and a comma is a point', () => {
    const begun = { ...longBox, known: { lengthMm: { by: 'start' as const } } }
    const text = 'Id,Length (in),Price\r\nlong-box,75 3/4,"149,5"\r\n'
    const { changed, problems } = readStockCsv('gear', text, [begun], 'metric')
    expect(problems).toEqual([])
    expect(changed[0]?.known).toBeUndefined()
    expect(changed[0]?.typed?.['lengthMm']).toBe('75 3/4 in')
    expect(changed[0]?.price).toBe(149.5)
    const asIs = readStockCsv('gear', stockCsv('gear', [begun], 'us'), [begun], 'us')
    expect(asIs.same).toBe(1)
  })

  it('reads the kind first, wherever its column stands, and refuses what that kind has not', () => {
    const text = 'Id,Slot (mm),Head height (mm),Thread,Mount\r\nlong-box,8,3,M6,channelBolt\r\n'
    const { changed, problems } = readStockCsv('gear', text, [longBox], 'metric')
    expect(problems).toEqual([])
    expect(changed[0]?.fit.mount).toMatchObject({ kind: 'channelBolt', slotMm: 8, headMm: 3, thread: 'M6' })
    expect(
      readStockCsv('gear', text.replace(',channelBolt', ',clip'), [longBox], 'metric').problems[0]?.text,
    ).toContain('Mount: "clip" is none of ')
    expect(
      readStockCsv('gear', text.replace(',channelBolt', ',strap'), [longBox], 'metric').problems[0]?.text,
    ).toContain('Slot: nothing of this kind has that')
  })

  it('takes a kit’s lists with semicolons between, a rail shape with its adapter', () => {
    const [feet] = DEMO_STOCK.parts
    const text = [
      'Id,Stands on,Kit doors,Kit trims,Rail shapes',
      `${feet!.id},raisedRail; flushRail,3;5,Shoreline; Tideway,round; flat with Flat pads`,
    ].join('\n')
    const { changed, problems } = readStockCsv('parts', text, [feet!], 'metric')
    expect(problems).toEqual([])
    expect(changed[0]).toMatchObject({
      suits: ['raisedRail', 'flushRail'],
      kit: {
        doors: [3, 5],
        trims: ['Shoreline', 'Tideway'],
        railShapes: [{ shape: 'round' }, { shape: 'flat', adapter: 'Flat pads' }],
      },
    })
    const again = readStockCsv('parts', stockCsv('parts', changed, 'metric'), changed, 'metric')
    expect(again.same).toBe(1)
    expect(readStockCsv('parts', text.replace('3;5', '3;five'), [feet!], 'metric').problems[0]?.text).toBe(
      'Kit doors: "five" is none of 2, 3, 4, 5.',
    )
    expect(
      readStockCsv('parts', text.replace('raisedRail', 'roof'), [feet!], 'metric').problems,
    ).toMatchObject([{ line: 2 }])
  })

  it('says what is wrong with the heads before it reads a line', () => {
    expect(readStockCsv('gear', '', [], 'metric').problems).toEqual([{ line: 1, text: 'The file is empty.' }])
    expect(readStockCsv('gear', 'Id,Length\nx,3\n', [], 'metric').problems[0]?.text).toBe(
      '"Length" names no unit: write Length (mm).',
    )
    expect(readStockCsv('gear', 'Name\nx\n', [], 'metric').problems[0]?.text).toContain('no column "Id"')
    expect(readStockCsv('gear', 'Id,Colour\nx,red\n', [], 'metric').problems[0]?.text).toBe(
      '"Colour" is no column of this table.',
    )
  })
})

describe('the whole stock as a file', () => {
  it('comes back as it went', () => {
    expect(parseStockText(stockText(DEMO_STOCK))).toEqual({ ok: true, stock: { ...DEMO_STOCK } })
  })
  it('names each field that is wrong', () => {
    const bad = stockText({ ...DEMO_STOCK, gear: [{ ...seaBoat, lengthMm: -1 }, seaBoat] })
    const read = parseStockText(bad)
    expect(read.ok).toBe(false)
    if (!read.ok) expect(read.problems[0]?.text).toContain('gear[0].lengthMm')
    const twice = parseStockText(stockText({ ...DEMO_STOCK, gear: [seaBoat, seaBoat] }))
    expect(twice).toMatchObject({ ok: false, problems: [{ path: 'gear[1].id' }] })
    expect(parseStockText('{')).toMatchObject({ ok: false })
  })
  it('copies a rack with ids of its own for its bars and parts, so that both stand on one plan', () => {
    const rack = DEMO_STOCK.racks[0]!
    const copy = copyOf('racks', rack, 'second')
    const added = apply(boatAndBox, { do: 'addRack', rack: copy })
    expect(added.ok).toBe(true)
    expect(copy).toMatchObject({ id: 'second', name: `${rack.name} (copy)` })
    expect(copyOf('gear', seaBoat, 'boat-2')).toEqual({ ...seaBoat, id: 'boat-2', name: 'Sea boat (copy)' })
  })
  it('has a table for every list', () => {
    for (const kind of STOCK_KINDS satisfies readonly StockKind[])
      expect(stockCsv(kind, [], 'metric')).toMatch(/^Id,Name/)
  })
})
