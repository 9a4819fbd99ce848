import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { sentences, severities } from './findings.testing'
import { layerLimit } from './layer-limit'

const ANY = { road: 500, trail: 500, parked: 500 }
const plan = (kg: number) =>
  planOf(
    vehicleWith(roofOf({ road: 50, trail: 40, parked: 120 })),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', kg)]],
  )

describe('every link holds', () => {
  it('stops over the figure, in each state by its own, and says by how much and where it was read', () => {
    expect(severities(layerLimit, plan(45), 'roof')).toEqual({
      road: 'clear',
      trail: 'stop',
      parked: 'clear',
    })
    expect(sentences(layerLimit, plan(45)).find((each) => each.includes('over'))).toBe(
      'Roof: 45 kg on the trail, rack included, 5 kg over 40 kg, manual.',
    )
  })

  it('is clear when the figure is reached exactly, with pounds and kilograms meeting to a rounding', () => {
    expect(severities(layerLimit, plan(50), 'roof')).toMatchObject({ road: 'clear' })
    expect(severities(layerLimit, plan(50.00001), 'roof')).toMatchObject({ road: 'clear' })
    expect(severities(layerLimit, plan(50.01), 'roof')).toMatchObject({ road: 'stop' })
  })

  it('takes the least of several figures that apply, and one for a kind of gear only where such gear is', () => {
    const roof = [
      ...roofOf({ road: 50 }),
      { ...roofOf({ road: 30 })[0]!, id: 'tents', gearKind: 'tent' as const },
    ]
    const racks = [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })]
    const other = planOf(vehicleWith(roof), racks, [[thing('load', 40)]])
    const tent = planOf(vehicleWith(roof), racks, [[thing('load', 40, { kind: 'tent' })]])
    expect(severities(layerLimit, other, 'roof').road).toBe('clear')
    expect(severities(layerLimit, tent, 'roof').road).toBe('stop')
  })
})
