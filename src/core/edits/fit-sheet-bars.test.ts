import { describe, expect, it } from 'vitest'
import { isStart } from '../plan/schema/provenance'
import { barsOf, type Rack } from '../plan/schema/rack'
import { startingVehicle } from '../survey/frame/body/starting-vehicle'
import { startingRack } from '../survey/frame/starting-rack'
import { withFitSheet } from './fit-sheet-bars'

const vehicle = startingVehicle('saloon', 'v')
const [held] = vehicle.attachments
if (!held) throw new Error('A new saloon holds a rack.')
const begun = startingRack(vehicle, held, 'bars', 'rack')

const sheetOf = (spread: { fromMm?: number; toMm?: number }, tower = 862): Rack => ({
  ...begun,
  fitSheet: {
    source: { kind: 'sheet' },
    rows: [
      {
        profile: barsOf(begun)[0]?.profile.kind ?? 'aero',
        towerMm: { front: tower, rear: tower },
        xMm: { front: 310 },
        spreadMm: spread,
      },
    ],
  },
})

const { fitSheet: sheetOf720 } = sheetOf({ fromMm: 720, toMm: 720 })
if (!sheetOf720) throw new Error('It has a fit sheet.')
const fitted = { fitSheet: sheetOf720 }

describe('bars by their fit sheet', () => {
  it('stand where it has them, as far as nobody has measured them', () => {
    const rack = withFitSheet(sheetOf({ fromMm: 720.725, toMm: 720.725 }), begun)
    expect(barsOf(rack).map(({ xMm, feetYMm }) => [xMm, feetYMm])).toEqual([
      [310, [-431, 431]],
      [1030.725, [-431, 431]],
    ])
    for (const bar of barsOf(rack)) {
      expect(bar.known?.['xMm']).toEqual({ by: 'sheet' })
      expect(bar.usableMm).toBe(782)
      // That follows from the feet, and nobody has measured it.
      expect(isStart(bar, 'usableMm')).toBe(true)
    }
  })

  it('go on with it as it is typed, and stay where they were measured', () => {
    const first = withFitSheet(sheetOf({ fromMm: 720, toMm: 720 }, 86), begun)
    const second = withFitSheet({ ...first, ...fitted }, first)
    expect(barsOf(second)[0]?.feetYMm).toEqual([-431, 431])
    const measured = {
      ...first,
      bars: barsOf(first).map((bar) => ({
        ...bar,
        feetYMm: [-440, 440],
        known: { ...bar.known, 'feetYMm.apart': { by: 'measured' as const } },
      })),
    } as Rack
    const after = withFitSheet({ ...measured, ...fitted }, first)
    expect(barsOf(after)[0]?.feetYMm).toEqual([-440, 440])
  })

  it('are not placed by a spread that is a range, nor by a row for another profile', () => {
    const between = withFitSheet(sheetOf({ fromMm: 650, toMm: 900 }), begun)
    expect(barsOf(between)[1]?.xMm).toBe(barsOf(begun)[1]?.xMm)
    const sheet = sheetOf({ fromMm: 700, toMm: 700 })
    const other = {
      ...sheet,
      fitSheet: {
        ...sheet.fitSheet,
        rows: sheet.fitSheet?.rows.map((row) => ({ ...row, profile: 'round' as const })),
      },
    } as Rack
    expect(withFitSheet(other, begun)).toBe(other)
    expect(withFitSheet(begun, begun)).toBe(begun)
  })
})
