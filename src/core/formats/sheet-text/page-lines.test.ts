import { expect, it } from 'vitest'
import { pageLines, type PageWord } from './page-lines'

/** Letters of 5 points in lines of 14, as a printer sets them. */
const word = (text: string, x: number, line: number): PageWord => ({
  text,
  x,
  y: 700 - 14 * line,
  width: 5 * text.length,
  height: 10,
})

it('keeps the columns of a page under each other, whatever order its words come in', () => {
  const words = [
    word('Parked', 300, 0),
    word('Driving', 200, 0),
    word('Roof load', 50, 1),
    word('230 kg', 300, 1),
    word('90 kg', 200, 1),
  ]
  const [head = '', row = ''] = pageLines(words).split('\n')
  expect(row.indexOf('90 kg')).toBe(head.indexOf('Driving'))
  expect(row.indexOf('230 kg')).toBe(head.indexOf('Parked'))
  expect(pageLines(words.toReversed())).toBe(pageLines(words))
})

it('puts pieces of a word together, and words of a sentence a blank apart', () => {
  const line = [word('Tigh', 50, 0), word('ten', 70, 0), word('to', 88, 0), word('6 Nm', 101, 0)]
  expect(pageLines(line)).toBe('Tighten to 6 Nm')
})

it('takes a raised figure for the mark of a footnote, never for a figure of the number before it', () => {
  const raised = { ...word('1', 100, 0), y: 704, height: 6 }
  const line = [word('Limit 75', 60, 0), raised, word('kg', 108, 0)]
  expect(pageLines(line)).toBe('Limit 75¹ kg')
  expect(pageLines([{ ...raised, height: 10, y: 700 }, word('Limit 75', 60, 0)])).toBe('Limit 751')
})

it('leaves a gap between two paragraphs', () => {
  expect(pageLines([word('Limit', 60, 0), word('Next', 60, 3)])).toBe('Limit\n\nNext')
})

it('says nothing of an empty page, and puts cells apart that come out too near', () => {
  expect(pageLines([])).toBe('')
  expect(pageLines([word(' ', 50, 0)])).toBe('')
  const near = [{ ...word('A very long name of a part', 50, 0), width: 60 }, word('75 kg', 130, 0)]
  expect(pageLines(near)).toMatch(/part {3,}75 kg$/)
})
