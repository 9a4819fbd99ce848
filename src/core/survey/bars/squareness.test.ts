import { expect, it } from 'vitest'
import { squareness } from './bar-squareness'

it('702 left and 705 right, 1000 apart, are 0.172° out: move one end 3 mm (handbook)', () => {
  expect(squareness(702, 705, 1000).skewDeg).toBeCloseTo(0.172, 3)
  expect(squareness(702, 705, 1000).moveMm).toBe(3)
  expect(squareness(705, 702, 1000).skewDeg).toBeCloseTo(-0.172, 3)
  expect(squareness(702, 702, 1000)).toEqual({ skewDeg: 0, moveMm: 0 })
})
