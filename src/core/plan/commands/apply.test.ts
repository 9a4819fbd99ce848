import { planSchema } from '../schema/plan-schema'
import { describe, expect, it } from 'vitest'
import { boatAndBox, frameJob, ladderJob, ridgeTent, twinSpan } from '@/demo/plans'
import { cabBars, DEMO_PARTS } from '@/demo/racks'
import { seaBoat } from '@/demo/gear/cargo'
import { apply } from './apply'
import type { Command } from './command'
import { type Plan } from '../schema/plan'
import { barsOf } from '../schema/rack'

function after(plan: Plan, command: Command): Plan {
  const applied = apply(plan, command)
  if (!applied.ok) throw new Error(applied.reason)
  expect(planSchema.safeParse(applied.plan).success).toBe(true)
  return applied.plan
}
function refusal(plan: Plan, command: Command): string {
  const applied = apply(plan, command)
  return applied.ok ? 'taken' : applied.reason
}
const placed = (plan: Plan, id: string) => plan.placements.find((each) => each.id === id)

describe('moving and turning', () => {
  it('moves a thing and keeps what was typed for it, until it moves without typing', () => {
    const typed = after(boatAndBox, {
      do: 'move',
      placementId: 'long-box',
      xMm: 803.275,
      yMm: -200,
      typed: { xMm: '31 5/8 in' },
    })
    expect(placed(typed, 'long-box')).toMatchObject({ xMm: 803.275, typed: { xMm: '31 5/8 in' } })
    const nudged = after(typed, { do: 'move', placementId: 'long-box', xMm: 710, yMm: -200 })
    expect(placed(nudged, 'long-box')?.typed).toBeUndefined()
  })

  it('leaves the plan it was given as it was', () => {
    const before = JSON.stringify(boatAndBox)
    after(boatAndBox, { do: 'move', placementId: 'long-box', xMm: 1, yMm: 1 })
    expect(JSON.stringify(boatAndBox)).toBe(before)
  })

  it('refuses what is not there, and turns that the gear does not allow', () => {
    expect(refusal(boatAndBox, { do: 'move', placementId: 'none', xMm: 0, yMm: 0 })).toContain('none')
    expect(refusal(boatAndBox, { do: 'turn', placementId: 'long-box', turn: 90 })).toContain(
      'cannot lie turned',
    )
    expect(
      placed(after(boatAndBox, { do: 'turn', placementId: 'long-box', turn: 180 }), 'long-box')?.turn,
    ).toBe(180)
    expect(refusal(boatAndBox, { do: 'setOnEdge', placementId: 'long-box', onEdge: true })).toContain(
      'on edge',
    )
    expect(
      placed(after(frameJob, { do: 'setOnEdge', placementId: 'wheel', onEdge: true }), 'wheel')?.onEdge,
    ).toBe(true)
  })

  it('refuses numbers outside any vehicle, naming the field', () => {
    expect(refusal(boatAndBox, { do: 'move', placementId: 'long-box', xMm: 1e9, yMm: 0 })).toContain('xMm')
  })

  it('says when a thing is on board', () => {
    expect(
      placed(after(boatAndBox, { do: 'setWhen', placementId: 'long-box', when: 'parked' }), 'long-box')?.when,
    ).toBe('parked')
  })
})

describe('putting on and taking off', () => {
  const second = { ...placed(boatAndBox, 'cradles')!, id: 'second', gearId: 'sea-boat' }

  it('mounts a thing, and brings its gear along when the plan has none of it', () => {
    const bare = { ...boatAndBox, gear: boatAndBox.gear.filter((gear) => gear.id !== 'gear-bag') }
    const bag = boatAndBox.gear.find((gear) => gear.id === 'gear-bag')!
    const mounted = after(bare, { do: 'mount', gear: bag, placement: { ...second, gearId: 'gear-bag' } })
    expect(mounted.gear.some((gear) => gear.id === 'gear-bag')).toBe(true)
    expect(placed(mounted, 'second')).toBeDefined()
  })

  it('refuses the same placement twice and a placement of other gear', () => {
    expect(
      refusal(boatAndBox, { do: 'mount', gear: seaBoat, placement: { ...second, id: 'cradles' } }),
    ).toContain('already')
    expect(
      refusal(boatAndBox, { do: 'mount', gear: { ...seaBoat, id: 'other' }, placement: second }),
    ).toContain('other gear')
  })

  it('takes a thing off with all that stands in it', () => {
    const off = after(frameJob, { do: 'takeOff', placementId: 'basket' })
    expect(off.placements.map((each) => each.id)).not.toEqual(expect.arrayContaining(['tripod']))
    expect(placed(off, 'bag')).toBeUndefined()
    expect(placed(off, 'wheel')).toBeDefined()
    expect(refusal(off, { do: 'takeOff', placementId: 'basket' })).toContain('basket')
  })

  it('moves a thing to another host, but never into itself', () => {
    const rehosted = after(twinSpan, {
      do: 'rehost',
      placementId: 'sea-boat',
      host: { on: 'bars', barIds: ['cab-front', 'cab-rear'] },
      xMm: 700,
      yMm: 0,
    })
    expect(placed(rehosted, 'sea-boat')?.host).toEqual({ on: 'bars', barIds: ['cab-front', 'cab-rear'] })
    const circle: Command = {
      do: 'rehost',
      placementId: 'cradles',
      host: { on: 'place', placementId: 'cradles', placeId: 'saddle' },
      xMm: 0,
      yMm: 0,
    }
    expect(refusal(boatAndBox, circle)).toContain('stands on itself')
    expect(refusal(boatAndBox, { ...circle, host: { on: 'bars', barIds: ['gone'] } })).toContain('gone')
  })
})

describe('loads and gear', () => {
  const load = {
    id: 'more',
    name: 'More',
    when: 'always' as const,
    what: { kind: 'fluid' as const, fluid: 'water' as const, litres: 5 },
  }

  it('adds, replaces and removes loads', () => {
    const more = after(boatAndBox, { do: 'setLoad', placementId: 'long-box', load })
    expect(placed(more, 'long-box')?.loads).toHaveLength(2)
    const again = after(more, { do: 'setLoad', placementId: 'long-box', load: { ...load, name: 'Less' } })
    expect(placed(again, 'long-box')?.loads.map((each) => each.name)).toEqual(['Box contents', 'Less'])
    expect(
      placed(after(again, { do: 'removeLoad', placementId: 'long-box', loadId: 'more' }), 'long-box')?.loads,
    ).toHaveLength(1)
    expect(refusal(again, { do: 'removeLoad', placementId: 'long-box', loadId: 'none' })).toContain('none')
  })

  it('changes gear and its mass, and adds gear that is new', () => {
    const heavier = after(boatAndBox, {
      do: 'setGearMass',
      gearId: 'sea-boat',
      mass: { kg: 30, basis: 'weighed' },
    })
    expect(heavier.gear.find((gear) => gear.id === 'sea-boat')?.mass.kg).toBe(30)
    expect(after(boatAndBox, { do: 'setGear', gear: { ...seaBoat, id: 'new-boat' } }).gear).toHaveLength(
      boatAndBox.gear.length + 1,
    )
    expect(
      refusal(boatAndBox, { do: 'setGearMass', gearId: 'none', mass: { kg: 1, basis: 'guess' } }),
    ).toContain('none')
  })

  it('refuses gear that loses a place something stands in', () => {
    const cradles = boatAndBox.gear.find((gear) => gear.id === 'cradles')!
    expect(
      refusal(boatAndBox, {
        do: 'setGear',
        gear: { ...cradles, carries: { ...cradles.carries!, places: [] } },
      }),
    ).toContain('offers no place')
  })
})

describe('racks, bars and parts', () => {
  it('adds and removes racks, with what stands on them', () => {
    const rack = { ...cabBars, attachmentId: 'estate-rails' }
    const two = after(boatAndBox, { do: 'addRack', rack })
    expect(two.racks).toHaveLength(2)
    expect(refusal(two, { do: 'addRack', rack })).toContain('already')
    expect(refusal(boatAndBox, { do: 'addRack', rack: cabBars })).toContain('no attachment')
    const none = after(boatAndBox, { do: 'removeRack', rackId: 'wing' })
    expect(none.placements).toHaveLength(0)
    expect(refusal(none, { do: 'removeRack', rackId: 'wing' })).toContain('wing')
    const noBed = after(twinSpan, { do: 'removeRack', rackId: 'cab' })
    expect(noBed.racks.map((each) => each.id)).toEqual(['bed'])
    expect(
      after(ladderJob, { do: 'removeRack', rackId: 'hatch-ladder' }).placements.some(
        (each) => each.id === 'person',
      ),
    ).toBe(false)
  })

  it('replaces a rack, and refuses one that loses a bar something stands on', () => {
    const [rack] = boatAndBox.racks
    if (rack?.kind !== 'bars') throw new Error('expected bars')
    expect(after(boatAndBox, { do: 'setRack', rack: { ...rack, name: 'Other' } }).racks[0]?.name).toBe(
      'Other',
    )
    expect(refusal(boatAndBox, { do: 'setRack', rack: { ...rack, bars: rack.bars.slice(0, 1) } })).toContain(
      'No rack has a bar',
    )
  })

  it('moves a bar and changes its numbers', () => {
    const moved = after(boatAndBox, {
      do: 'moveBar',
      barId: 'wing-front',
      xMm: 500,
      typed: { xMm: '500 mm' },
    })
    const bar = barsOf(moved.racks[0]!).find((each) => each.id === 'wing-front')!
    expect(bar).toMatchObject({ xMm: 500, typed: { xMm: '500 mm' } })
    expect(refusal(boatAndBox, { do: 'moveBar', barId: 'none', xMm: 0 })).toContain('none')
    const longer = after(moved, { do: 'setBar', bar: { ...bar, lengthMm: 1400 } })
    expect(barsOf(longer.racks[0]!)[0]?.lengthMm).toBe(1400)
    expect(refusal(moved, { do: 'setBar', bar: { ...bar, usableMm: 5000 } })).toContain(
      'more width than it is long',
    )
  })

  it('swaps a part for one of its own role only', () => {
    const bars = DEMO_PARTS.find((part) => part.role === 'bars')!
    const feet = DEMO_PARTS.find((part) => part.role === 'feet')!
    expect(
      after(boatAndBox, { do: 'swapPart', partId: 'aero-bars', part: { ...bars, id: 'aero-bars' } }).racks[0]
        ?.parts[0]?.name,
    ).toBe(bars.name)
    expect(refusal(boatAndBox, { do: 'swapPart', partId: 'aero-bars', part: feet })).toContain(
      'cannot stand in',
    )
  })
})

describe('figures', () => {
  const rating = {
    id: 'new',
    state: 'parked' as const,
    kg: 200,
    per: 'set' as const,
    source: { kind: 'sheet' as const },
  }

  it('sets, replaces and removes figures of roof, attachment, part and gear', () => {
    for (const owner of [
      { of: 'roof' as const },
      { of: 'attachment' as const, id: 'pickup-bed-rails' },
      { of: 'part' as const, id: 'cab-feet' },
    ]) {
      const set = after(twinSpan, { do: 'setRating', owner, rating })
      expect(JSON.stringify(set)).toContain('"new"')
      const gone = after(set, { do: 'removeRating', owner, ratingId: 'new' })
      expect(JSON.stringify(gone)).toBe(JSON.stringify(twinSpan))
      expect(refusal(gone, { do: 'removeRating', owner, ratingId: 'new' })).toContain('new')
    }
    const gear = { of: 'gear' as const, id: 'long-box' }
    expect(JSON.stringify(after(boatAndBox, { do: 'setRating', owner: gear, rating }))).toContain('"new"')
    expect(refusal(boatAndBox, { do: 'setRating', owner: { of: 'gear', id: 'sea-boat' }, rating })).toContain(
      'carries nothing',
    )
    expect(refusal(boatAndBox, { do: 'setRating', owner: { of: 'part', id: 'none' }, rating })).toContain(
      'none',
    )
  })
})

describe('the job itself', () => {
  it('never takes two people of one name tag: a list in what is set as a whole is looked through too', () => {
    const driver = { id: 'driver', name: 'Driver', mass: { kg: 80, basis: 'told' as const } }
    const use = { ...boatAndBox.use, occupants: [driver, { ...driver, name: 'Mate' }] }
    expect(refusal(boatAndBox, { do: 'setUse', use })).toContain('driver')
  })

  it('sets job, vehicle, clearances, use and rules', () => {
    expect(after(boatAndBox, { do: 'setJob', job: { name: 'Other' } }).job).toEqual({ name: 'Other' })
    expect(
      after(boatAndBox, { do: 'setVehicle', vehicle: { ...boatAndBox.vehicle, heightMm: 1500 } }).vehicle
        .heightMm,
    ).toBe(1500)
    expect(refusal(boatAndBox, { do: 'setVehicle', vehicle: ridgeTent.vehicle })).toContain('no attachment')
    const barn = { id: 'barn', name: 'Barn', heightMm: 2600 }
    const more = after(boatAndBox, { do: 'setClearance', clearance: barn })
    expect(more.clearances).toContainEqual(barn)
    expect(after(more, { do: 'removeClearance', clearanceId: 'barn' }).clearances).toEqual(
      boatAndBox.clearances,
    )
    expect(refusal(boatAndBox, { do: 'removeClearance', clearanceId: 'barn' })).toContain('barn')
    expect(after(boatAndBox, { do: 'setUse', use: { ...boatAndBox.use, roadKmH: 90 } }).use.roadKmH).toBe(90)
    expect(
      after(boatAndBox, { do: 'setRules', rules: { ...boatAndBox.rules, parkedMissing: 'ruleOfThree' } })
        .rules.parkedMissing,
    ).toBe('ruleOfThree')
  })

  it('takes several edits as one, or none of them', () => {
    const both = after(boatAndBox, {
      do: 'together',
      commands: [
        { do: 'takeOff', placementId: 'long-box' },
        { do: 'takeOff', placementId: 'cradles' },
      ],
    })
    expect(both.placements).toHaveLength(0)
    expect(
      refusal(boatAndBox, {
        do: 'together',
        commands: [
          { do: 'takeOff', placementId: 'long-box' },
          { do: 'takeOff', placementId: 'long-box' },
        ],
      }),
    ).toContain('long-box')
  })
})
