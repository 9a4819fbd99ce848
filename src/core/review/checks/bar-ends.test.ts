import { describe, expect, it } from 'vitest'
import { barsRack, planOf, vehicleWith } from '../../plan/plans.testing'
import { barEndsAtDoors } from './bar-ends'
import { run } from './findings.testing'

/** Bars of 1300, their undersides at 1550. */
const plan = (halfWidthMm: number, headZMm: number) =>
  planOf(
    {
      ...vehicleWith([]),
      obstacles: [{ kind: 'doorEdge', id: 'doors', name: 'Doors', halfWidthMm, headZMm }],
    },
    [barsRack({ xs: [500] })],
  )

describe('heads at the doors', () => {
  it('are told of bars that end beyond the door edge at their height', () => {
    expect(run(barEndsAtDoors, plan(650, 1700))).toMatchObject([{ severity: 'clear' }])
    expect(run(barEndsAtDoors, plan(640, 1700))).toMatchObject([
      { severity: 'mind', measured: { value: 10 } },
    ])
    expect(run(barEndsAtDoors, plan(640, 1500))).toMatchObject([{ severity: 'clear' }])
  })
})
