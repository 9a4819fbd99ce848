import { expect, it } from 'vitest'
import { namedSo } from './command-palette'

const named = (...names: readonly string[]) => names.map((name) => ({ id: name, name, run: () => undefined }))

it('finds what has every word that was typed, first what begins with the first of them', () => {
  const all = named('Stock', 'Box on the estate', 'Estate, new job', 'Estate with box')
  const found = (typed: string) => namedSo(all, typed).map(({ name }) => name)
  expect(found('')).toHaveLength(4)
  expect(found('ESTATE')).toEqual(['Estate, new job', 'Estate with box', 'Box on the estate'])
  expect(found('estate box')).toEqual(['Estate with box', 'Box on the estate'])
  expect(found('boat')).toEqual([])
})
