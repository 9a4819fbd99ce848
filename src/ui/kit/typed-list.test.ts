import { describe, expect, it } from 'vitest'
import { readNames, readNumber, readNumbers } from './typed-list'

describe('what a house rule is typed as', () => {
  it('is a number within bounds, with or without its unit', () => {
    expect(readNumber('160 km', 1, 10_000)).toEqual({ ok: true, value: 160 })
    expect(readNumber('0,5 %', 0, 10)).toEqual({ ok: true, value: 0.5 })
    expect(readNumber('many', 1, 10)).toMatchObject({ ok: false })
    expect(readNumber('', 0, 10)).toMatchObject({ ok: false })
    expect(readNumber('11', 1, 10)).toEqual({ ok: false, reason: 'From 1 to 10.' })
    expect(readNumber('2.5', 1, 10, true)).toEqual({ ok: false, reason: 'Write a whole number.' })
  })

  it('or several of them, none wrong', () => {
    expect(readNumbers('40, 80; 100', 1, 100, 5)).toEqual({ ok: true, value: [40, 80, 100] })
    expect(readNumbers('40, 180', 1, 100, 5)).toMatchObject({
      ok: false,
      reason: expect.stringContaining('From 1'),
    })
    expect(readNumbers(' , ', 1, 100, 5)).toMatchObject({ ok: false })
    expect(readNumbers('1, 2, 3', 1, 100, 2)).toMatchObject({ ok: false })
  })

  it('or names, none too long', () => {
    expect(readNames('Windows shut; ; Windows open', 12, 80)).toEqual({
      ok: true,
      value: ['Windows shut', 'Windows open'],
    })
    expect(readNames(' ; ', 12, 80)).toMatchObject({ ok: false })
    expect(readNames('x'.repeat(81), 12, 80)).toMatchObject({ ok: false })
  })
})
