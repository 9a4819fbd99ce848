import { expect, it } from 'vitest'
import { originalSpan, plainLetters } from './letters'
import { unwrapped } from './unwrap'

it('makes ligatures, spaces, hyphens, primes and fractions plain, and knows where each stood', () => {
  const text = 'Proﬁle\u00a075\u202f×\u200928 mm, 3½\u2033, 4\u20116'
  const letters = plainLetters(text)
  expect(letters.plain).toBe('Profile 75 x 28 mm, 3 1/2", 4-6')
  const at = letters.plain.indexOf('75')
  expect(text.slice(...originalSpan(letters, at, at + 2))).toBe('75')
  const half = letters.plain.indexOf('1/2')
  expect(text.slice(...originalSpan(letters, half, half + 3))).toBe('½')
})

it('parts the cells of a table whose marks are commas alone', () => {
  expect(plainLetters('part,kg,mm\nbar,2.7,1270\n').plain).toBe('part\tkg\tmm\nbar\t2.7\t1270\n')
  expect(plainLetters('Bars, feet, and a kit\nLocks, keys, covers\n').plain).toContain(', feet')
})

const whole = (text: string) => unwrapped(plainLetters(text))

it('joins a word that was cut, a unit on the next line and a sentence that goes on', () => {
  expect(whole('Lo-\nad capacity').plain).toBe('Load capacity')
  expect(whole('the load is to be reduced to 50\nkg').plain).toBe('the load is to be reduced to 50 kg')
  const prose = 'The rack may carry all that is said in the table and\nno more of it than the roof allows.'
  expect(whole(prose).plain).toBe(prose.replace('\n', ' '))
})

it('joins a number in two pieces, and marks it', () => {
  const letters = whole('The load of the rack is 7\n5 kg')
  expect(letters.plain).toBe('The load of the rack is 75 kg')
  expect(letters.mended.size).toBe(1)
  expect(whole('Length 1200 mm\nWeight 3 kg').plain).toBe('Length 1200 mm\nWeight 3 kg')
})
