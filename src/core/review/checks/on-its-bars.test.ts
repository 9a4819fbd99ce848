import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Gear } from '../../plan/schema/gear'
import type { Placement } from '../../plan/schema/placement'
import { assess } from '../assess.testing'
import { onItsBars } from './on-its-bars'
import { run, sentences } from './findings.testing'

const plan = (gear: Partial<Gear>, at: Partial<Placement> = {}) =>
  planOf(vehicleWith([]), [barsRack({})], [[thing('Load', 10, gear), at]])

describe('on its bars', () => {
  it('reaches both bars, 500 and 1400, or says how far it falls short', () => {
    expect(run(onItsBars, plan({ lengthMm: 900 }))).toMatchObject([
      { severity: 'clear', margin: { value: 0 } },
    ])
    expect(sentences(onItsBars, plan({ lengthMm: 880 }))).toEqual([
      'Load ends 10 mm short of Bar 1, which is to hold it.',
    ])
  })
  it('stands on as many as its sheet asks', () => {
    const fit: Gear['fit'] = { mount: { kind: 'strap' }, bars: { from: 3, to: 4 } }
    expect(sentences(onItsBars, plan({ fit }))).toEqual(['Load stands on 2 bars; it asks for 3 to 4.'])
  })
  it('is mended by moving it back over them', () => {
    const assessment = assess(plan({ lengthMm: 1000 }, { xMm: 1100 }), { parts: [] })
    const stop = assessment.review.findings.find(({ rule }) => rule === 'on-its-bars')
    expect(stop?.severity).toBe('stop')
    expect(assessment.remedies(stop!)[0]?.command).toMatchObject({ do: 'move', xMm: 1000 })
  })
})
