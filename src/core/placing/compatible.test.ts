import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS, hatchJob, pointsJob, podJob, ridgeTent, threeSpreads, yardVan } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { barsRack, planOf, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import { apply } from '../plan/commands/apply'
import type { Gear } from '../plan/schema/gear'
import type { Plan } from '../plan/schema/plan'
import { barsOf } from '../plan/schema/rack'
import { survey } from '../survey/survey'
import { compatible, type Compatible } from './compatible'
import { phraseText } from '../units/phrase'
import { PLACE_CHECKS } from '../review/checks'
import { review } from '../review/review'
import { runs } from '@/core/runs.testing'

const ANY = { road: 900, trail: 900, parked: 900 }
const FIT_RULES = [...PLACE_CHECKS.map(({ id }) => id), 'spread']

const ask = (plan: Plan, gear: Gear, rackId = plan.racks[0]!.id) =>
  compatible(survey(plan), gear, rackId, DEMO_STOCK.adapters, 'trial')

/** The plan with the thing put on as the answer says. */
function mounted(plan: Plan, gear: Gear, answer: Exclude<Compatible, { kind: 'cannot' }>): Plan {
  const commands = answer.kind === 'fitsIf' ? answer.commands : []
  const applied = apply(plan, {
    do: 'together',
    commands: [...commands, { do: 'mount', gear, placement: answer.placement }],
  })
  if (!applied.ok) throw new Error(applied.reason)
  return applied.plan
}

describe('bars that must be moved for what is put on', () => {
  const rack = { ...barsRack({ xs: [500, 1500] }), name: 'Bars' }
  const nominal = (plan: Plan): Plan => ({ ...plan, rules: { ...plan.rules, spread: 'nominal' } })
  const platform = (likesMm?: number) =>
    thing('platform', 20, {
      fit: {
        mount: { kind: 'strap' },
        spreadMm: { fromMm: 700, toMm: 900 },
        ...(likesMm === undefined ? {} : { likesMm }),
      },
    })
  const spreadAfter = (plan: Plan, gear: Gear) => {
    const answer = ask(plan, gear)
    if (answer.kind !== 'fitsIf') throw new Error(answer.kind)
    const bars = barsOf(mounted(plan, gear, answer).racks[0]!)
    return bars[1]!.xMm - bars[0]!.xMm
  }

  it('go where the very thing is best, under the school of nominal', () => {
    const plan = nominal(planOf(vehicleWith(roofOf(ANY)), [rack]))
    expect(spreadAfter(plan, platform(733))).toBeCloseTo(733, 1)
    expect(spreadAfter(plan, platform())).toBeCloseTo(800, 1)
  })

  it('take a fit sheet’s range as what may be, and for no wish', () => {
    const sheet = {
      source: { kind: 'sheet' as const },
      rows: [
        {
          profile: 'aero' as const,
          towerMm: { front: 1000, rear: 1000 },
          spreadMm: { fromMm: 700, toMm: 1300 },
        },
      ],
    }
    const plan = nominal(planOf(vehicleWith(roofOf(ANY)), [{ ...rack, fitSheet: sheet }]))
    expect(spreadAfter(plan, platform(733))).toBeCloseTo(733, 1)
  })
})

describe('whether gear goes on a rack', () => {
  it('is never a yes that the checks then take back, for all of the stock on every demo plan', () => {
    let [yes, no] = [0, 0]
    for (const plan of DEMO_PLANS) {
      const before = new Set(
        review(survey(plan))
          .findings.filter(({ severity }) => severity === 'stop')
          .map(({ id }) => id),
      )
      for (const gear of DEMO_STOCK.gear) {
        const answer = ask(plan, gear)
        if (answer.kind === 'cannot') {
          no += 1
          expect(phraseText(answer.why).length).toBeGreaterThan(5)
          continue
        }
        yes += 1
        const known = plan.gear.find(({ id }) => id === gear.id) ?? gear
        const stops = review(survey(mounted(plan, known, answer))).findings.filter(
          ({ id, rule, severity }) => severity === 'stop' && FIT_RULES.includes(rule) && !before.has(id),
        )
        expect(
          stops.map(({ sentence }) => phraseText(sentence)),
          `${gear.name} on ${plan.job.name}`,
        ).toEqual([])
      }
    }
    expect(Math.min(yes, no)).toBeGreaterThan(40)
  })

  it('says what change it takes: an adapter, other nuts, bars moved', () => {
    const words = (answer: Compatible) => (answer.kind === 'fitsIf' ? phraseText(answer.say) : answer.kind)
    const pod = DEMO_STOCK.gear.find(({ id }) => id === 'cargo-pod')!
    expect(words(ask({ ...podJob, placements: [] }, pod))).toContain('Saddle adapters')
    const clamps = DEMO_STOCK.gear.find(({ id }) => id === 'tool-clamps')!
    expect(words(ask(yardVan, clamps))).toContain('nuts for a slot of 11 mm')
    const edge = DEMO_STOCK.gear.find(({ id }) => id === 'edge-carrier')!
    expect(words(ask({ ...threeSpreads, placements: [] }, edge))).toContain(
      'bars moved for a spread of 750 mm to 770 mm',
    )
  })

  it('is not called fitting where a size is not known, nor refused: the question is said with it', () => {
    const unknown: Plan = {
      ...ridgeTent,
      placements: [],
      racks: ridgeTent.racks.map((rack) => {
        if (rack.kind !== 'platform') return rack
        const { slatSlotMm: _, ...deck } = rack.deck
        return { ...rack, deck }
      }),
    }
    const basket = DEMO_STOCK.gear.find(({ name }) => name === 'Deck basket')!
    const answer = ask(unknown, basket)
    expect(answer).toMatchObject({ kind: 'fitsIf', commands: [] })
    expect(answer.kind === 'fitsIf' && phraseText(answer.say)).toBe(
      'once it is known: the mouth of the slots between the slats',
    )
    expect(ask({ ...ridgeTent, placements: [] }, basket).kind).toBe('fits')
  })

  it('says why not: no spread on fixed points, no width, no carrier', () => {
    const why = (answer: Compatible) => (answer.kind === 'cannot' ? phraseText(answer.why) : answer.kind)
    const box = DEMO_STOCK.gear.find(({ id }) => id === 'long-box')!
    expect(why(ask({ ...pointsJob, placements: [] }, box))).toBe(
      'wants a spread of 600 mm to 900 mm; the bars stand at 590 mm',
    )
    expect(
      why(
        ask(
          yardVan,
          DEMO_STOCK.gear.find(({ id }) => id === 'open-canoe')!,
        ),
      ),
    ).toContain('of bar is left, it takes 910 mm')
    expect(
      why(
        ask(
          { ...hatchJob, placements: [] },
          DEMO_STOCK.gear.find(({ id }) => id === 'trail-bike')!,
        ),
      ),
    ).toContain('needs a carrier')
  })

  it('is not turned to spare a question: brackets that lie one way stay so, and are asked where they touch', () => {
    const plan = planOf(vehicleWith(roofOf(ANY)), [barsRack({})])
    const sized = { lengthMm: 700, widthMm: 1100, turns: [0, 90] } as const
    const brackets = { kind: 'bracket', spacingMm: { fromMm: 500, toMm: 1200 }, direction: 'along' } as const
    const tent = thing('Tent', 60, { ...sized, turns: [0, 90], fit: { mount: brackets } })
    expect(compatible(survey(plan), tent, 'rack', [], 'trial')).toMatchObject({
      kind: 'fits',
      placement: { turn: 0 },
    })
    const strapped = thing('Mat', 5, { ...sized, turns: [0, 90] })
    expect(compatible(survey(plan), strapped, 'rack', [], 'trial')).toMatchObject({ placement: { turn: 90 } })
  })

  it('goes to the nearest place that suits when a hand holds it somewhere', () => {
    const plan = planOf(vehicleWith(roofOf(ANY)), [barsRack({})])
    const crate = thing('Crate', 5, { widthMm: 300 })
    const at = compatible(survey(plan), crate, 'rack', [], 'trial', { xMm: 1000, yMm: 200 })
    expect(at).toMatchObject({ kind: 'fits', placement: { xMm: 1000, yMm: 200 } })
    const beyond = compatible(survey(plan), crate, 'rack', [], 'trial', { xMm: 3000, yMm: 900 })
    // Usable 920: the middle of a crate 300 wide goes to 310 at most; 1200 long, it reaches both bars up to 1100.
    expect(beyond).toMatchObject({ kind: 'fits', placement: { xMm: 1100, yMm: 310 } })
  })

  it('never gets worse by wider bars', () => {
    const widths = fc.integer({ min: 200, max: 1400 })
    fc.assert(
      fc.property(
        widths,
        fc.integer({ min: 400, max: 1200 }),
        fc.integer({ min: 0, max: 400 }),
        (widthMm, usableMm, moreMm) => {
          const rack = barsRack({})
          const withBars = (usable: number) =>
            planOf(vehicleWith(roofOf(ANY)), [
              rack.kind === 'bars'
                ? { ...rack, bars: rack.bars.map((bar) => ({ ...bar, lengthMm: 1700, usableMm: usable })) }
                : rack,
            ])
          const crate = thing('Crate', 5, { widthMm, turns: [0] })
          const narrow = compatible(survey(withBars(usableMm)), crate, 'rack', [], 't').kind
          const wide = compatible(survey(withBars(usableMm + moreMm)), crate, 'rack', [], 't').kind
          if (narrow === 'fits') expect(wide).toBe('fits')
          expect(narrow).toBe(widthMm <= usableMm ? 'fits' : 'cannot')
        },
      ),
      { numRuns: runs(300) },
    )
  })
})
