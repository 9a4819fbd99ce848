import type { Mount } from '../kinds/mount'
import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import type { Plan } from '../plan/schema/plan'
import type { Rack } from '../plan/schema/rack'
import { survey } from '../survey/survey'
import { assessWithFixes } from '../remedies/assess-with-fixes'
import { accountOf } from './compare'
import { compatible } from '../placing/compatible'
import { review } from './review'

const ANY = { road: 900, trail: 900, parked: 900 }
const IN = 25.4
const of = (plan: Plan, rule: string) => review(survey(plan)).findings.filter((each) => each.rule === rule)
const rack = (rest: Partial<Extract<Rack, { kind: 'bars' }>> = {}, xs = [500, 1400]) =>
  ({ ...barsRack({ bars: own('b', ANY), feet: own('f', ANY), xs }), ...rest }) as Rack

describe('an exact fit', () => {
  it('passes in either unit system: 75 + 2 in under 77 in, 900 mm for 35 7/16 in (L11)', () => {
    const vehicle = { ...vehicleWith(roofOf(ANY)), heightMm: 75 * IN }
    const base = planOf(vehicle, [])
    const under = (door: number): Plan => ({
      ...base,
      clearances: [{ id: 'door', name: 'Door', heightMm: door }],
      rules: { ...base.rules, gapsMm: { ...base.rules.gapsMm, ceiling: 2 * IN } },
    })
    expect(of(under(77 * IN), 'height-clearance').map(({ severity }) => severity)).toEqual(['clear', 'clear'])
    expect(of(under(77 * IN - 1), 'height-clearance')[0]?.severity).toBe('stop')
    const mount: Mount = {
      kind: 'bracket',
      spacingMm: { fromMm: 35.4375 * IN, toMm: 40 * IN },
      direction: 'along',
    }
    const bracket = planOf(
      vehicleWith(roofOf(ANY)),
      [rack({}, [500, 1400])],
      [[thing('tent', 20, { fit: { mount } })]],
    )
    // 35 7/16 in is 900.1125 mm: nearer than a tape reads.
    expect(of(bracket, 'spread').map(({ severity }) => severity)).toEqual(['clear'])
    const wider: Mount = { ...mount, spacingMm: { fromMm: 901, toMm: 1000 } }
    const short = planOf(vehicleWith(roofOf(ANY)), [rack()], [[thing('tent', 20, { fit: { mount: wider } })]])
    expect(of(short, 'spread').map(({ severity }) => severity)).toEqual(['stop'])
  })
})

describe('bars', () => {
  it('keep a bar’s width between them, edge to edge (L18)', () => {
    const apart = (xs: number[]) =>
      of(planOf(vehicleWith(roofOf(ANY)), [rack({}, xs)]), 'bar-seat').filter(({ id }) =>
        id.includes('close'),
      )
    expect(apart([500, 500])).toMatchObject([{ severity: 'stop' }])
    expect(apart([500, 660])).toEqual([])
    expect(apart([500, 658])).toHaveLength(1)
  })

  it('do not stand past the end of the roof, though a rail is said to go on (L18)', () => {
    const vehicle = vehicleWith(roofOf(ANY))
    const short = { ...vehicle, roof: { ...vehicle.roof, toXMm: 1300 } }
    const found = of(planOf(short, [rack()]), 'bar-seat').find(({ id }) => id.includes('roof'))
    expect(found).toMatchObject({ severity: 'stop', margin: { value: -100 } })
  })

  it('whose tops differ do not hold a thing together, and cab and bed move apart (L26)', () => {
    const uneven = rack()
    const raised = {
      ...uneven,
      bars:
        uneven.kind === 'bars' ? uneven.bars.map((bar, i) => ({ ...bar, riseMm: i === 0 ? 60 : 200 })) : [],
    } as Rack
    expect(of(planOf(vehicleWith(roofOf(ANY)), [raised], [[thing('box', 10)]]), 'on-its-bars')).toMatchObject(
      [{ severity: 'stop', measured: { value: 140 } }],
    )
  })
})

describe('a bolt', () => {
  const bolted = (boltMm: number, depthMm?: number) => {
    const mount: Mount = { kind: 'channelBolt', slotMm: 20, headMm: 6, thread: 'M6', boltMm, stackMm: 12 }
    const base = rack()
    const channel = { slotMm: 20, headRoomMm: 8, ...(depthMm === undefined ? {} : { depthMm }) }
    const withChannel = {
      ...base,
      bars:
        base.kind === 'bars'
          ? base.bars.map((bar) => ({ ...bar, profile: { ...bar.profile, channel } }))
          : [],
    } as Rack
    return of(
      planOf(vehicleWith(roofOf(ANY)), [withChannel], [[thing('box', 10, { fit: { mount } })]]),
      'mount-match',
    )[0]
  }
  it('can be too long as well as too short: not past the channel’s floor, nor the bar’s far wall (L17)', () => {
    expect(bolted(20)?.severity).toBe('stop')
    // Nobody knows how deep the channel is: it may be too long.
    expect(bolted(25)?.severity).toBe('findOut')
    // 25 less 12 of stack and 1.6 of washer goes 11.4 down: through a channel 10 deep.
    expect(bolted(25, 10)?.severity).toBe('stop')
    expect(bolted(25, 12)?.severity).toBe('clear')
    expect(bolted(60)?.severity).toBe('stop')
  })
})

describe('what is compared', () => {
  it('is known or it is no number: at most less at most gains nothing (L23)', () => {
    const unrated = planOf(vehicleWith(roofOf({})), [rack()], [[thing('box', 10)]])
    expect(accountOf(assessWithFixes(unrated)).left.road?.kind).toBe('atMost')
  })
})

describe('putting a thing on', () => {
  it('moves the bars as the house chooses a spread, not to the nearest edge (L25)', () => {
    const plan = planOf(vehicleWith(roofOf(ANY)), [rack({}, [500, 900])])
    const wants = thing('tray', 10, {
      lengthMm: 1800,
      fit: { mount: { kind: 'strap' }, spreadMm: { fromMm: 600, toMm: 1000 } },
    })
    const spread = (school: 'wide' | 'nominal') => {
      const answer = compatible(
        survey({ ...plan, rules: { ...plan.rules, spread: school } }),
        wants,
        'rack',
        [],
        't',
      )
      if (answer.kind !== 'fitsIf') throw new Error(answer.kind)
      const xs = new Map([
        ['rack-bar-1', 500],
        ['rack-bar-2', 900],
      ])
      for (const command of answer.commands) if (command.do === 'moveBar') xs.set(command.barId, command.xMm)
      return xs.get('rack-bar-2')! - xs.get('rack-bar-1')!
    }
    expect(spread('nominal')).toBeCloseTo(800, 1)
    expect(spread('wide')).toBeCloseTo(1000, 1)
  })
})
