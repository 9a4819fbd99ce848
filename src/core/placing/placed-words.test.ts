import { describe, expect, it } from 'vitest'
import { at, barsRack, planOf, thing, vehicleWith } from '../plan/plans.testing'
import type { Placement } from '../plan/schema/placement'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { compatible } from './compatible'
import { placedWords } from './placed-words'
import { firstPlace } from './room'

const box = thing('box', 20)
const surveyed = survey(planOf(vehicleWith([]), [barsRack({})], [[thing('trunk', 10)]]))
const placed = at('box')
const words = (placement: Placement) => {
  const said = placedWords(surveyed, box, placement, { kind: 'fits', placement })
  return said && phraseText(said)
}

describe('what putting a thing on did besides (F12)', () => {
  it('is said where it was turned, set on edge or put into another thing', () => {
    expect(words(placed)).toBeUndefined()
    expect(words({ ...placed, turn: 90 })).toBe('box was turned by 90° to fit.')
    expect(words({ ...placed, turn: 180, onEdge: true })).toBe(
      'box was turned by 180° and set on edge to fit.',
    )
    expect(words({ ...placed, host: { on: 'place', placementId: 'trunk', placeId: 'inside' } })).toBe(
      'box was put into trunk to fit.',
    )
  })

  it('is said where nothing is free, with what is in the way', () => {
    const long = { ...box, lengthMm: 9000, widthMm: 3000 }
    const answer = compatible(surveyed, long, 'rack', [], 'trial')
    expect(answer.kind).toBe('cannot')
    const placement = firstPlace(surveyed, long, 'rack', 'new')
    if (!placement) throw new Error('A rack has a first place.')
    const said = placedWords(surveyed, long, placement, answer)
    expect(said && phraseText(said)).toMatch(
      /^No place is free for box: .+\. It stands at the first place, to show what is in its way\.$/,
    )
  })
})
