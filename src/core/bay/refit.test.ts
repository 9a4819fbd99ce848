import { expect, it } from 'vitest'
import { gutterPlatform, hatchLadder, wingBars } from '@/stock/racks'
import { refitValues } from './refit'

it('says where the bars stood and what their joints were pulled to', () => {
  expect(refitValues(wingBars).replace(/\s/g, ' ')).toBe(
    'Front bar 430 mm behind the windscreen, feet 1 060 mm apart; Rear bar 1 190 mm behind the windscreen, feet 1 060 mm apart; rail clamps 6 N·m',
  )
  expect(refitValues(gutterPlatform)).toContain('gutter clamps 11 to 13 N·m')
  expect(refitValues(hatchLadder)).toBe('')
})

it('never hands on a figure from another rack', () => {
  const carried = {
    ...wingBars,
    parts: wingBars.parts.map((part) => ({
      ...part,
      fasteners:
        part.fasteners?.map((each) => ({ ...each, torqueFrom: { kind: 'otherRack' as const, rack: 'x' } })) ??
        [],
    })),
  }
  expect(refitValues(carried)).not.toContain('N·m')
})
