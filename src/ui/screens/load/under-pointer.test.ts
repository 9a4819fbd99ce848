import { expect, it } from 'vitest'
import { isStill, nextOf } from './under-pointer'

it('goes round what lies over each other, and nowhere where a thing lies alone', () => {
  expect(nextOf(['top', 'middle', 'low'], 'top')).toBe('middle')
  expect(nextOf(['top', 'middle', 'low'], 'low')).toBe('top')
  expect(nextOf(['top'], 'top')).toBeUndefined()
  expect(nextOf([], 'top')).toBeUndefined()
})

it('takes a hand that slips a little for still, and one that drags not', () => {
  const at = (clientX: number, clientY: number) => ({ clientX, clientY })
  expect(isStill(at(10, 10), at(12, 12))).toBe(true)
  expect(isStill(at(10, 10), at(14, 10))).toBe(false)
})
