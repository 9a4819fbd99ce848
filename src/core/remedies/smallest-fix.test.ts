import { describe, expect, it } from 'vitest'
import { DEMO_STOCK } from '@/demo/stock'
import { apply } from '../plan/commands/apply'
import { barsRack, carrier, own, planOf, roofOf, thing, vehicleWith, weight } from '../plan/plans.testing'
import type { Plan } from '../plan/schema/plan'
import { isStart } from '../plan/schema/provenance'
import { barsOf, type Rack } from '../plan/schema/rack'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { review } from '../review/review'
import { remediesFor, type Remedy } from './remedies'

const ANY = { road: 900, trail: 900, parked: 900 }

/** The fixes of the first finding of a rule, in a state or about something where that is told. */
function offers(plan: Plan, rule: string, about = ''): readonly Remedy[] {
  const surveyed = survey(plan)
  const found = review(surveyed)
  const finding = found.findings.find((each) => each.rule === rule && each.id.includes(about))
  if (!finding) throw new Error(`no finding of ${rule} about ${about}`)
  return remediesFor(surveyed, found, finding, DEMO_STOCK)
}
const say = (remedies: readonly Remedy[]) => remedies.map(({ message }) => phraseText(message))

function after(plan: Plan, { command }: Remedy): Plan {
  const applied = apply(plan, command)
  if (!applied.ok) throw new Error(applied.reason)
  return applied.plan
}

const loaded = (luggageKg: number, bars: typeof ANY, roofKg: typeof ANY) =>
  planOf(
    vehicleWith(roofOf(roofKg)),
    [barsRack({ bars: own('b', bars), feet: own('f', ANY) })],
    [[carrier('box', 10, ANY), { loads: [weight('luggage', luggageKg)] }]],
  )

describe('the first fix of what is over', () => {
  const both = loaded(60, { road: 60, trail: 900, parked: 900 }, { road: 40, trail: 900, parked: 900 })

  it('is the amount that clears every link and every state, whichever of them it is asked of', () => {
    expect(say(offers(both, 'layer-limit', 'rack-bars'))[0]).toBe('luggage to 30 kg')
    expect(say(offers(both, 'layer-limit', 'roof'))[0]).toBe('luggage to 30 kg')
    const cleared = review(survey(after(both, offers(both, 'layer-limit', 'rack-bars')[0]!)))
    expect(cleared.findings.filter(({ severity }) => severity === 'stop')).toEqual([])
  })

  it('says which state it leaves over, where nothing left of the load would clear that too', () => {
    // On the trail the box alone is over.
    const plan = loaded(60, ANY, { road: 40, trail: 8, parked: 900 })
    expect(say(offers(plan, 'layer-limit', 'roof road'))[0]).toBe(
      'luggage to 30 kg; it stays over on the trail',
    )
  })

  it('prints no more than it is, in pounds too', () => {
    const first = offers(both, 'layer-limit', 'roof')[0]!
    expect(phraseText(first.message, { show: 'us', denominator: 16 })).toBe('luggage to 66.1 lb')
  })

  it('is there though something weighs nobody knows what: that stays a question', () => {
    const plan: Plan = {
      ...both,
      gear: [...both.gear, thing('bag', 0, {}, 'unknown')],
      placements: [
        ...both.placements,
        { ...both.placements[0]!, id: 'bag', gearId: 'bag', loads: [], yMm: 500 },
      ],
    }
    expect(say(offers(plan, 'layer-limit', 'roof'))[0]).toBe('luggage to 30 kg')
  })

  it('is a move where one of several bears too much and nothing is loose', () => {
    // 40 kg at x 600: 35.6 on the front bar, which takes 30. At 725 it is just 30.
    const plan = planOf(
      vehicleWith(roofOf(ANY)),
      [
        barsRack({
          bars: own('b', { road: 30, trail: 30, parked: 30 }, { per: 'each' }),
          feet: own('f', ANY),
        }),
      ],
      [[thing('case', 40), { xMm: 600 }]],
    )
    const remedies = offers(plan, 'each-rating')
    expect(say(remedies)[0]).toBe('Move case rearward 125 mm')
    expect(remedies.map(({ kind }) => kind)).toEqual(['move', 'swap', 'off'])
  })
})

describe('a move', () => {
  it('brings a load in between the feet until none of them is lifted', () => {
    // 22 kg with its middle 80 mm behind the rear bar lift the front bar by 1.96 kg: forward by just that.
    const plan = planOf(
      vehicleWith(roofOf(ANY)),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[thing('ladder', 22, { lengthMm: 2400 }), { xMm: 1480 }]],
    )
    expect(say(offers(plan, 'uplift'))[0]).toMatch(/^Move ladder forward 80 mm/)
  })

  it('is never less than a tape reads', () => {
    // Half a millimetre past the usable width.
    const plan = planOf(
      vehicleWith(roofOf(ANY)),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [[thing('case', 10), { yMm: 350.5 }]],
    )
    const wide = { ...plan, gear: plan.gear.map((gear) => ({ ...gear, widthMm: 600 })) }
    const usable = barsOf(wide.racks[0]!)[0]!.usableMm
    const past: Plan = { ...wide, placements: [{ ...wide.placements[0]!, yMm: usable / 2 - 300 + 0.5 }] }
    expect(say(offers(past, 'usable-width'))[0]).toBe('Move case left 2 mm')
  })

  it('never brings anything past the vehicle’s side', () => {
    const plan = planOf(
      vehicleWith(roofOf(ANY)),
      [barsRack({ bars: own('b', ANY), feet: own('f', ANY) })],
      [
        [thing('one', 10, { widthMm: 900 }), { yMm: 0 }],
        [thing('other', 10, { widthMm: 900 }), { yMm: 20 }],
      ],
    )
    const { widthMm } = plan.vehicle
    for (const remedy of offers(plan, 'space').filter(({ kind }) => kind === 'move'))
      for (const { box } of survey(after(plan, remedy)).things)
        expect(Math.max(-box.y0, box.y1)).toBeLessThanOrEqual(widthMm / 2 + 0.4)
  })

  it('puts a bar where its sheet puts it, not at the edge of what the sheet lets pass', () => {
    const rack = barsRack({ bars: own('b', ANY), feet: own('f', ANY), xs: [520, 1400] })
    const sheet = {
      rows: [{ profile: 'aero' as const, xMm: { front: 500, rear: 1400, within: 5 } }],
      source: { kind: 'sheet' as const },
    }
    const plan = planOf(vehicleWith(roofOf(ANY)), [{ ...rack, fitSheet: sheet }], [[thing('case', 10)]])
    const first = offers(plan, 'bar-seat')[0]!
    expect(phraseText(first.message)).toBe('Move Bar 1 forward 20 mm')
    expect(barsOf(after(plan, first).racks[0]!)[0]!.xMm).toBe(500)
  })
})

describe('other bars from stock', () => {
  it('bring how their lengths are known with them', () => {
    const rack = barsRack({ bars: own('b', ANY), feet: own('f', ANY) })
    const started: Rack = {
      ...rack,
      kind: 'bars',
      bars: barsOf(rack).map((bar) => ({
        ...bar,
        usableMm: 800,
        known: { usableMm: { by: 'start' as const }, lengthMm: { by: 'start' as const } },
      })),
    }
    const plan = planOf(vehicleWith(roofOf(ANY)), [started], [[thing('case', 10, { widthMm: 1100 })]])
    const swap = offers(plan, 'usable-width').find(({ kind }) => kind === 'fit')!
    expect(phraseText(swap.message)).toMatch(/^Swap for bars of/)
    for (const bar of barsOf(after(plan, swap).racks[0]!)) expect(isStart(bar, 'usableMm')).toBe(false)
  })
})
