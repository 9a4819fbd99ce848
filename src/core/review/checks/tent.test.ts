import { describe, expect, it } from 'vitest'
import { barsRack, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Gear, Turn } from '../../plan/schema/gear'
import type { Plan } from '../../plan/schema/plan'
import { bedTentJob } from '@/demo/plans'
import { survey } from '../../survey/survey'
import { opensToward } from '../../survey/openings/tent'
import { tent } from './tent'
import { run } from './findings.testing'

const TENT: Partial<Gear> = {
  kind: 'tent',
  opens: {
    toward: 'right',
    reachMm: 1000,
    floorMm: 50,
    ladder: { dropMm: { fromMm: 1500, toMm: 2000 }, outMm: 300 },
  },
  fit: { mount: { kind: 'bracket', spacingMm: { fromMm: 700, toMm: 1000 }, direction: 'along' } },
}
const plan = (turn: Turn = 0, yMm = 0, rest: Partial<Gear> = {}): Plan =>
  planOf(vehicleWith([]), [barsRack({})], [[thing('Tent', 50, { ...TENT, ...rest }), { turn, yMm }]])
const of = (given: Plan, what: string) => run(tent, given).find(({ id }) => id === `tent ${what} Tent`)

describe('a tent', () => {
  it('opens to the side it is turned to: right, forward, left and rearward in quarter turns to the left', () => {
    const side = (turn: Turn) => opensToward(survey(plan(turn)).things[0]!)
    // A quarter turn is counter-clockwise seen from above with the front to the left: the right side comes to the front.
    expect([side(0), side(90), side(180), side(270)]).toEqual(['right', 'front', 'left', 'rear'])
  })
  it('opens as the house has it, or it is Mind', () => {
    expect(of(plan(0), 'opens')?.severity).toBe('clear')
    expect(of(plan(270), 'opens')?.severity).toBe('mind')
    const rear = { ...plan(270), rules: { ...plan().rules, tentOpens: 'rear' as const } }
    expect(of(rear, 'opens')?.severity).toBe('clear')
  })
  it('has a ladder that spans from its floor to the ground', () => {
    // Roof 1490, bars to 1580, floor 50 over the underside: 1630 over the ground.
    expect(of(plan(), 'ladder')).toMatchObject({ severity: 'clear', measured: { value: 1630 } })
    const short = { opens: { ...TENT.opens!, ladder: { dropMm: { fromMm: 1000, toMm: 1600 }, outMm: 300 } } }
    expect(of(plan(0, 0, short), 'ladder')).toMatchObject({ severity: 'stop', margin: { value: -30 } })
  })
  it('whose floor nobody has measured is asked for it, and opens into whatever its closed box stands beside', () => {
    const { floorMm: _, ...opens } = TENT.opens!
    const unknown = plan(0, 0, { opens })
    expect(of(unknown, 'ladder')).toBeUndefined()
    expect(of(unknown, 'floor')).toMatchObject({
      severity: 'findOut',
      ask: { target: { open: 'gear', gearId: 'Tent', at: 'opens.floorMm' } },
    })
    const { ladder: _ladder, ...floorOnly } = opens
    expect(of(plan(0, 0, { opens: floorOnly }), 'floor')).toBeUndefined()
  })
  it('has brackets that must find bar enough when they lie across', () => {
    expect(of(plan(0), 'brackets')).toBeUndefined()
    expect(of(plan(90), 'brackets')).toMatchObject({ severity: 'clear', limit: { value: 700 } })
    const long: Partial<Gear> = {
      fit: { mount: { kind: 'bracket', spacingMm: { fromMm: 1100, toMm: 1200 }, direction: 'along' } },
    }
    expect(of(plan(90, 0, long), 'brackets')).toMatchObject({ severity: 'stop' })
  })
  it('stands on the centreline within the house’s tolerance', () => {
    expect(of(plan(0, 3), 'centred')?.severity).toBe('clear')
    expect(of(plan(0, 4), 'centred')?.severity).toBe('mind')
  })
  it('behind a cab leaves room to reach its cover, where it stands lower than the cab', () => {
    // The demo's bed rack carries it over the cab's roof: nothing to reach past.
    expect(run(tent, bedTentJob).some(({ id }) => id.startsWith('tent cover'))).toBe(false)
    const rack = bedTentJob.racks[0]!
    const low: Plan = {
      ...bedTentJob,
      racks: [
        {
          ...rack,
          kind: 'bed',
          bars: rack.kind === 'bed' ? rack.bars.map((bar) => ({ ...bar, riseMm: 250 })) : [],
        } as Plan['racks'][number],
      ],
      placements: bedTentJob.placements.map((each) => ({ ...each, xMm: 2130 })),
    }
    const coverOf = (plan: Plan) => run(tent, plan).find(({ id }) => id.startsWith('tent cover'))
    // Where the cab ends is the class's own until somebody measures it: a question, not a fact (L22).
    expect(coverOf(low)).toMatchObject({ severity: 'findOut', ask: { target: { name: 'cabWallXMm' } } })
    const cab = (cabWallXMm: number) => coverOf({ ...low, vehicle: { ...low.vehicle, cabWallXMm } })!
    const gap = cab(1000).measured!.value
    expect(cab(1000 + gap - 100)).toMatchObject({ severity: 'mind' })
    expect(cab(1000 + gap - 100).measured!.value).toBeCloseTo(100, 6)
    expect(cab(1000).severity).toBe('clear')
  })
})
