import { describe, expect, it } from 'vitest'
import { DEMO_STOCK } from '@/demo/stock'
import { toDraft } from './draft'
import { RACK_FIELD } from './rack-fields'
import { VEHICLE_FIELD } from './vehicle-fields'
import { nextEntries, wordsFor } from './wordings'

const SHOWN = { system: 'metric', typed: {}, rel: '' } as const
const [estate] = DEMO_STOCK.vehicles
const [bars] = DEMO_STOCK.racks
if (!estate || !bars) throw new Error('The demo has vehicles and racks.')

describe('words that sheets hold against each other (F10)', () => {
  const vehicle = { ...estate, trim: 'Shoreline', facts: [{ what: 'Roof window', has: true }] }
  const rack = {
    ...bars,
    parts: bars.parts.map((part, i) =>
      i === 0 ? { ...part, kit: { needs: ['roof window', 'tow ball'], trims: ['Base'] } } : part,
    ),
  }
  const sheets = [
    [VEHICLE_FIELD, toDraft(VEHICLE_FIELD, vehicle, SHOWN)],
    [RACK_FIELD, toDraft(RACK_FIELD, rack, SHOWN)],
  ] as const

  it('are found on every sheet that has them, each once however it is written', () => {
    expect(wordsFor('fact', sheets)).toEqual(['Roof window', 'tow ball'])
    expect(wordsFor('trim', sheets)).toEqual(['Base', 'Shoreline'])
    expect(wordsFor('part', sheets)).toEqual(expect.arrayContaining(bars.parts.map(({ name }) => name)))
    expect(wordsFor('railShape', [])).toEqual([])
  })

  it('come after those that stand in the field already', () => {
    expect(nextEntries('', ['tow ball', 'Roof window'])).toEqual(['tow ball', 'Roof window'])
    expect(nextEntries('tow ball; ro', ['Tow ball', 'Roof window'])).toEqual(['tow ball; Roof window'])
  })
})
