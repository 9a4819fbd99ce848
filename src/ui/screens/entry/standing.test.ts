import type { Rack, Vehicle } from '@/core'
import { describe, expect, it } from 'vitest'
import { longBox } from '@/demo/gear/carriers'
import { squareBars, wingBars } from '@/demo/racks'
import { estate, hatchback } from '@/demo/vehicles'
import { NO_BALANCE, type BalanceDraft } from './balance-draft'
import { gearToDraft, readGear } from './gear-draft'
import { rackToDraft, readRack } from './rack-draft'
import { readVehicle, vehicleToDraft } from './vehicle-draft'

const read = (vehicle: Vehicle, balance: Partial<BalanceDraft>, system: 'metric' | 'us' = 'metric') =>
  readVehicle(
    { ...vehicleToDraft(vehicle, system), balance: { ...NO_BALANCE, ...balance } },
    system,
    vehicle.id,
    vehicle,
  )

describe('how a vehicle stands, typed', () => {
  it('is taken whole: track, axles, centre of gravity, what drives it', () => {
    const { value, problems } = read(hatchback, {
      trackFront: '1480',
      trackRear: '1470 mm',
      axleFront: '820 kg',
      axleRear: '780',
      centre: 'stability',
      frontShare: '61 %',
      factor: '1,35',
      energy: 'battery',
      efficiency: '85',
    })
    expect(problems).toEqual({})
    expect(value).toMatchObject({
      trackMm: { front: 1480, rear: 1470 },
      axleLimitKg: { front: 820, rear: 780 },
      centreOfGravity: { known: 'stability', frontShare: 0.61, staticStabilityFactor: 1.35 },
      drive: { energy: 'battery', efficiencyPercent: 85 },
    })
  })

  it('takes a place and a height instead, in inches too', () => {
    const { value, problems } = read(
      hatchback,
      { centre: 'position', centreX: '20', centreHeight: '22 1/2' },
      'us',
    )
    expect(problems).toEqual({})
    expect(value.centreOfGravity).toEqual({ known: 'position', xMm: 508, heightMm: 571.5 })
  })

  it('keeps what drives it though nobody knows how much of that reaches the road (E7)', () => {
    const { value, problems } = read(hatchback, { energy: 'battery', efficiency: '' })
    expect(problems).toEqual({})
    expect(value.drive).toEqual({ energy: 'battery' })
  })

  it('left empty is not known any more', () => {
    const { value } = read(estate, {})
    expect(value.trackMm ?? value.centreOfGravity ?? value.axleLimitKg ?? value.drive).toBeUndefined()
  })

  it.each([
    [{ trackFront: '1480' }, 'balance.trackRear', /both/],
    [{ axleRear: '780' }, 'balance.axleFront', /both/],
    [{ centre: 'stability', frontShare: 'most', factor: '1.3' }, 'balance.frontShare', /0 to 100/],
    [{ centre: 'stability', frontShare: '60', factor: '' }, 'balance.factor', /0.1 to 5/],
    [{ energy: 'petrol', efficiency: '240' }, 'balance.efficiency', /1 to 100/],
  ] as const)('%o is named with what is wrong', (balance, field, words) => {
    expect(read(hatchback, balance).problems[field]).toMatch(words)
  })
})

describe('what a bar is made of, typed', () => {
  const typed = (rack: Rack, section: object) =>
    readRack(
      { ...rackToDraft(rack, 'metric'), section: { ...rackToDraft(rack, 'metric').section, ...section } },
      'metric',
      rack.id,
      rack,
    )
  const profile = (rack: Rack) => (rack.kind === 'ladder' ? undefined : rack.bars[0]?.profile)

  it('is wall, material and yield', () => {
    const { value, problems } = typed(wingBars, { wall: '2.5', material: 'aluminium', yield: '160 MPa' })
    expect(problems).toEqual({})
    expect(profile(value)).toMatchObject({
      wallMm: 2.5,
      material: { name: 'Aluminium', eGPa: 69, yieldMPa: 160 },
    })
  })

  it('needs a material for a yield, and forgets both when they are emptied', () => {
    expect(typed(wingBars, { yield: '160' }).problems['section.yield']).toMatch(/material/)
    const { value } = typed(squareBars, { wall: '', material: 'unsaid', yield: '' })
    expect(profile(value)).not.toHaveProperty('material')
    expect(profile(value)).not.toHaveProperty('wallMm')
  })

  it('keeps a material and section that only a sheet gives, and what a foot holds upward', () => {
    if (squareBars.kind !== 'bars') throw new Error('not bars')
    const given: Rack = {
      ...squareBars,
      bars: squareBars.bars.map((bar) => ({
        ...bar,
        profile: {
          ...bar.profile,
          section: { known: 'figures', iMm4: 5000, wMm3: 450 },
          material: { name: 'Titanium', eGPa: 114 },
        },
      })),
      parts: squareBars.parts.map((part) => ({
        ...part,
        tension: { eachKg: 30, source: { kind: 'sheet' } },
      })),
    }
    const { value } = readRack(rackToDraft(given, 'metric'), 'metric', given.id, given)
    expect(profile(value)).toMatchObject({
      section: { known: 'figures', iMm4: 5000, wMm3: 450 },
      material: { name: 'Titanium', eGPa: 114 },
    })
    expect(value.parts.every(({ tension }) => tension?.eachKg === 30)).toBe(true)
  })
})

describe('what no form shows', () => {
  it('stays with a thing: the drag area its maker measured', () => {
    const given = { ...longBox, dragAreaM2: 0.11 }
    const { value } = readGear(gearToDraft(given, 'metric'), 'metric', given.id, given)
    expect(value.dragAreaM2).toBe(0.11)
  })
})
