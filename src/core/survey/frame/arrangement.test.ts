import { describe, expect, it } from 'vitest'
import { boatAndBox, frameJob, twinSpan, yardVan } from '@/demo/plans'
import { at, barsRack, carrier, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { addTurns, arrange, sizeAsPlaced, turned } from './arrangement'
import { moveBy } from '../../edits/move'
import { snapsFor, snapTo } from '../../edits/snap'
import { survey } from '../survey'
import { barNames, carryingBars, firstPlace, hostsFor, placeOn, weightRoom } from '../../placing/room'

const ANY = { road: 100, trail: 100, parked: 100 }
const racks = [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })]

describe('where things are', () => {
  it('marks the corners as parts are: left is y < 0, front is the foremost bar', () => {
    const { feet } = arrange(boatAndBox)
    expect(feet.map((foot) => [foot.corner, Math.sign(foot.yMm), foot.xMm])).toEqual([
      ['LHF', -1, 430],
      ['RHF', 1, 430],
      ['LHR', -1, 1190],
      ['RHR', 1, 1190],
    ])
    expect(arrange(yardVan).feet.map((foot) => foot.corner)).toEqual([
      'LHF',
      'RHF',
      'LHM',
      'RHM',
      'LHR',
      'RHR',
    ])
  })

  it('stands a thing on the highest bar it lies on, over its own mounts', () => {
    const { things, bars } = arrange(twinSpan)
    const top = Math.max(...bars.map(({ box }) => box.z1))
    expect(things.find(({ placement }) => placement.id === 'double-boat')?.box.z0).toBe(top)
    const box = arrange(boatAndBox).things[0]!
    expect(box.box.z0).toBe(1490 + 60 + 28 + 25)
  })

  it('turns right-handed about z: counter-clockwise seen from above with the front to the left', () => {
    expect(turned(1, 0, 90)).toEqual([-0, 1])
    expect(turned(1, 2, 180)).toEqual([-1, -2])
    expect(turned(0, 1, 270)).toEqual([1, -0])
    expect(addTurns(270, 180)).toBe(90)
  })

  it('lays length, width and height as the turn and the edge say', () => {
    const crate = thing('crate', 1, { lengthMm: 900, widthMm: 500, heightMm: 300 })
    expect(sizeAsPlaced(crate, 0, false)).toEqual({ length: 900, width: 500, height: 300 })
    expect(sizeAsPlaced(crate, 90, false)).toEqual({ length: 500, width: 900, height: 300 })
    expect(sizeAsPlaced(crate, 0, true)).toEqual({ length: 900, width: 300, height: 500 })
    expect(sizeAsPlaced(crate, 270, true)).toEqual({ length: 300, width: 900, height: 500 })
  })

  it('carries the centre of gravity round with the thing', () => {
    const lopsided = thing('load', 10, { centreOfGravity: { xMm: 200, yMm: 50, zMm: 100 } })
    const centre = (turn: 0 | 90 | 180 | 270) =>
      arrange(planOf(vehicleWith(roofOf(ANY)), racks, [[lopsided, { turn }]])).things[0]!.centre
    expect(centre(0)).toMatchObject({ x: 1150, y: 50 })
    expect(centre(90)).toMatchObject({ x: 900, y: 200 })
    expect(centre(180)).toMatchObject({ x: 750, y: -50 })
  })

  it('puts what sits in a turned carrier where the carrier turned it', () => {
    const tray = carrier('tray', 5, ANY, {
      carries: {
        rated: own('tray', ANY),
        places: [{ id: 'end', name: 'End', kind: 'tray', xMm: 300, yMm: 0, zMm: 40 }],
      },
    })
    const plan = planOf(vehicleWith(roofOf(ANY)), racks, [
      [tray, { turn: 90 }],
      [
        thing('can', 5, { lengthMm: 200, widthMm: 100 }),
        { host: { on: 'place', placementId: 'tray', placeId: 'end' }, xMm: 50, yMm: 0 },
      ],
    ])
    const can = arrange(plan).thingById.get('can')!
    expect([(can.box.x0 + can.box.x1) / 2, (can.box.y0 + can.box.y1) / 2]).toEqual([950, 350])
    expect(can.box.x1 - can.box.x0).toBe(100)
    expect(can.box.z0).toBe(arrange(plan).thingById.get('tray')!.box.z0 + 40)
  })
})

describe('moving, snapping and finding room', () => {
  it('moves along the vehicle even inside a turned carrier', () => {
    const tray = carrier('tray', 5, ANY)
    const plan = planOf(vehicleWith(roofOf(ANY)), racks, [
      [tray, { turn: 90 }],
      [thing('can', 5), { host: { on: 'place', placementId: 'tray', placeId: 'inside' }, xMm: 0 }],
    ])
    const before = survey(plan)
    const command = moveBy(before, 'can', { xMm: 0, yMm: 0 }, 100, 0)
    expect(command).toMatchObject({ do: 'move', xMm: 0, yMm: -100 })
    expect(moveBy(before, 'tray', { xMm: 950, yMm: 0 }, 10, -5)).toMatchObject({ xMm: 960, yMm: -5 })
  })

  it('snaps to bars, their middle, the centreline and a neighbour plus the gap', () => {
    const plan = planOf(vehicleWith(roofOf(ANY)), racks, [
      [thing('a', 5, { widthMm: 400 }), { yMm: -300 }],
      [thing('b', 5, { widthMm: 300 }), { yMm: 200 }],
    ])
    const snaps = snapsFor(survey(plan), 'b')
    expect(snaps.xMm).toEqual(expect.arrayContaining([500, 1400, 950]))
    expect(snaps.yMm).toEqual(expect.arrayContaining([0, -100 + 20 + 150]))
    expect(snapTo(74, snaps.yMm, 10)).toBe(70)
    expect(snapTo(90, snaps.yMm, 10)).toBe(90)
  })

  it('says what a thing would leave in its worst state, and nothing without a figure', () => {
    const plan = planOf(vehicleWith(roofOf({ road: 60, trail: 40, parked: 100 })), racks, [[thing('a', 10)]])
    expect(weightRoom(survey(plan), thing('b', 12, { wetKg: 1 }), 'rack')).toEqual({
      state: 'trail',
      addableKg: 30,
      leftKg: 17,
      known: true,
    })
    expect(weightRoom(survey(plan), thing('b', 35), 'rack')?.leftKg).toBe(-5)
    expect(weightRoom(survey(plan), thing('b', 35, { when: 'parked' }), 'rack')?.state).toBe('parked')
    const half = planOf(vehicleWith(roofOf({ road: 60 })), [barsRack({})])
    expect(weightRoom(survey(half), thing('b', 1, { when: 'driving' }), 'rack')?.known).toBe(false)
    const unrated = planOf(vehicleWith([]), [barsRack({})])
    expect(weightRoom(survey(unrated), thing('b', 1), 'rack')).toBeUndefined()
  })

  it('puts a new thing beside what stands there, or in the middle when nothing is free', () => {
    const plan = planOf(vehicleWith(roofOf(ANY)), racks, [[thing('a', 10, { widthMm: 400 }), { yMm: -200 }]])
    const free = firstPlace(survey(plan), thing('b', 5, { widthMm: 300 }), 'rack', 'b')
    expect(free).toMatchObject({
      xMm: 950,
      yMm: 170,
      host: { on: 'bars', barIds: ['rack-bar-1', 'rack-bar-2'] },
    })
    expect(firstPlace(survey(plan), thing('b', 5, { widthMm: 2000 }), 'rack', 'b')?.yMm).toBe(0)
    expect(firstPlace(survey(plan), thing('b', 5), 'none', 'b')).toBeUndefined()
    expect(firstPlace(survey(frameJob), thing('b', 5), 'frame', 'b')?.host).toEqual({
      on: 'deck',
      rackId: 'frame',
    })
  })

  it('names every host a thing may go to, never itself', () => {
    const names = hostsFor(twinSpan, 'sea-boat').map((each) => each.name)
    expect(names).toEqual(
      expect.arrayContaining([
        'Cab rack, all bars',
        'Bed rack, left panel',
        'Cab rack and Bed rack, all bars',
        'Cab rack, Cab front bar only',
      ]),
    )
    expect(
      hostsFor(boatAndBox, 'cradles').some(
        (each) => each.host.on === 'place' && each.host.placementId === 'cradles',
      ),
    ).toBe(false)
    expect(carryingBars(twinSpan).map(([, name]) => name)).toContain('Bed rack, Bed rear bar')
    expect(barNames(twinSpan, { on: 'bars', barIds: ['cab-front', 'bed-rear'] })).toBe(
      'Cab rack, Cab front bar and Bed rack, Bed rear bar',
    )
    expect(barNames(twinSpan, { on: 'deck', rackId: 'cab' })).toBeUndefined()
    const moved = survey(twinSpan)
    const boat = moved.thingById.get('sea-boat')!
    expect(placeOn(moved, boat, { on: 'bars', barIds: ['bed-front', 'bed-rear'] }).xMm).toBe(1500)
    expect(placeOn(moved, boat, { on: 'panel', rackId: 'bed', side: 'right', zMm: 100 })).toEqual({
      xMm: 2290,
      yMm: 700 + 270,
    })
    expect(placeOn(moved, boat, { on: 'place', placementId: 'x', placeId: 'y' })).toEqual({ xMm: 0, yMm: 0 })
  })

  it('takes the highest thing of each state as the height', () => {
    const plan = planOf(vehicleWith(roofOf(ANY)), racks, [
      [thing('tall', 5, { heightMm: 900 }), { when: 'parked' }],
      [thing('low', 5)],
    ])
    const { heights } = survey({ ...plan, placements: [plan.placements[0]!, at('low')] })
    expect([heights.road.name, heights.parked.name]).toEqual(['low', 'tall'])
    expect(heights.parked.topMm - heights.road.topMm).toBe(600)
    expect(survey(planOf(vehicleWith([]), [])).heights.road).toMatchObject({
      topMm: 1490,
      name: 'Test estate',
    })
  })
})
