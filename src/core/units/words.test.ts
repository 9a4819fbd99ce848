import { expect, it } from 'vitest'
import { whose } from './words'

it('says what belongs to a thing, whether its name ends in an s or not', () => {
  expect(whose('Front bar')).toBe('Front bar’s')
  expect(whose('Bed sockets with latches')).toBe('Bed sockets with latches’')
})
