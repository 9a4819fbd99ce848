import { FIXES } from '../../remedies/fixes'
import { describe, expect, it } from 'vitest'
import { apply } from '../../plan/commands/apply'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { survey } from '../../survey/survey'
import { run, sentences } from './findings.testing'
import { oneBar } from './one-bar'

const ANY = { road: 900, trail: 900, parked: 900 }
const plan = (xMm: number) =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('load', 20), { host: { on: 'bars', barIds: ['rack-bar-1'] }, xMm }]],
  )

describe('a thing on one bar', () => {
  it('twists it when it stands off it by more than half its width: 20 kg 90 mm off are 17.7 N·m', () => {
    expect(run(oneBar, plan(540))[0]?.severity).toBe('clear')
    expect(run(oneBar, plan(590))[0]?.severity).toBe('mind')
    expect(sentences(oneBar, plan(590))[0]).toContain('17.7 N·m')
  })

  it('can be moved over it', () => {
    const now = plan(590)
    const [finding] = run(oneBar, now)
    const [remedy] = FIXES['one-bar']!(survey(now), finding!, { parts: [] })
    const applied = apply(now, remedy!.command)
    expect(applied.ok && run(oneBar, applied.plan)[0]?.severity).toBe('clear')
  })

  it('is nothing to say of what stands on two', () => {
    const two = planOf(vehicleWith(roofOf(ANY)), [barsRack({})], [[thing('load', 20)]])
    expect(run(oneBar, two)).toEqual([])
  })
})
