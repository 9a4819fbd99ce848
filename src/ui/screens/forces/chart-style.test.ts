import { describe, expect, it } from 'vitest'
import { massAxis, roundTicks } from './chart-style'
import { chanceWords } from './chance-panel'

describe('axes', () => {
  it('stand at round numbers around what is drawn, nothing among them', () => {
    expect(roundTicks(-22.7, 96)).toEqual([-40, -20, 0, 20, 40, 60, 80, 100])
    expect(roundTicks(3, 25)).toEqual([0, 5, 10, 15, 20, 25])
    expect(roundTicks(0, 0.7)).toEqual([0, 0.2, 0.4, 0.6, 0.8])
  })

  it('are in pounds only where somebody reads pounds alone', () => {
    expect(massAxis({ show: 'us', denominator: 16 })).toMatchObject({ symbol: 'lb' })
    expect(massAxis({ show: 'us', denominator: 16 }).of(45.359237)).toBe(100)
    expect(massAxis({ show: 'both', denominator: 16 }).symbol).toBe('kg')
  })
})

describe('a chance in words', () => {
  it('is finer near its ends, and never more certain than the draws', () => {
    expect([0, 0.004, 0.42, 0.998, 1].map(chanceWords)).toEqual([
      'never in all draws',
      '0.4 %',
      '42 %',
      '99.8 %',
      'in every draw',
    ])
  })
})
