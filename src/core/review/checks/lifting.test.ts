import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { run, sentences } from './findings.testing'
import { lifting } from './lifting'

const ANY = { road: 900, trail: 900, parked: 900 }
const plan = (kg: number, kind: 'other' | 'lumber' | 'person' = 'other') =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', kg, { kind })]],
  )

describe('lifting it up', () => {
  it('names who may: one, two, or nobody by hand, which is minded', () => {
    expect(sentences(lifting, plan(4))[0]).toContain('one person')
    expect(sentences(lifting, plan(16))[0]).toContain('two people')
    expect(run(lifting, plan(16))[0]?.severity).toBe('clear')
    expect(run(lifting, plan(70))[0]?.severity).toBe('mind')
  })

  it('takes lumber up in pieces, and lifts nobody', () => {
    expect(sentences(lifting, plan(70, 'lumber'))[0]).toMatch(/in \d+ pieces of/)
    expect(run(lifting, plan(80, 'person'))).toEqual([])
  })
})
