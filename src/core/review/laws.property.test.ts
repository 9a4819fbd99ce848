import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/stock/plans'
import { parsePlanText, printPlan } from '../formats/plan-file'
import type { Attachment } from '../plan/vehicle'
import type { Plan } from '../plan/plan'
import { STATES, type State } from '../plan/scalars'
import { survey } from '../survey/survey'
import { parseQuantity } from '../units/parse'
import { formatPrecise } from '../units/format'
import { SEVERITIES, worse, type Severity } from './finding'
import { review, type Review } from './review'
import { runs } from '@/core/runs.testing'

/** A plan of the demo with its weights, places and figures shaken, so that verdicts of every kind come up. */
const shaken: fc.Arbitrary<Plan> = fc
  .tuple(
    fc.nat(DEMO_PLANS.length - 1),
    fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 24, maxLength: 24 }),
  )
  .map(([index, noise]) => {
    const plan = DEMO_PLANS[index]!
    let at = 0
    const next = () => noise[(at += 1) % noise.length]!
    return {
      ...plan,
      gear: plan.gear.map((gear) => ({
        ...gear,
        mass: { ...gear.mass, kg: gear.mass.kg * (0.3 + 1.6 * next()) },
      })),
      placements: plan.placements.map((placement) => ({
        ...placement,
        xMm: placement.xMm + 400 * (next() - 0.5),
        yMm: placement.yMm + 200 * (next() - 0.5),
      })),
      rules: { ...plan.rules, parkedMissing: next() < 0.5 ? ('strict' as const) : ('ruleOfThree' as const) },
    }
  })

const rank = (severity: Severity) => SEVERITIES.indexOf(severity)

/** A verdict on weights: a lifted foot is left out, for ballast over it rightly cures it. */
function onWeights({ findings }: Review, state: State): Severity {
  return findings
    .filter((finding) => finding.rule !== 'uplift' && (finding.state === state || finding.state === 'all'))
    .reduce<Severity>((so, finding) => worse(so, finding.severity), 'clear')
}
const RUNS = { numRuns: runs(1000) }

describe('laws', () => {
  it('adding mass at a thing that presses on every foot never improves a verdict', () => {
    fc.assert(
      fc.property(shaken, fc.nat(40), fc.double({ min: 0.1, max: 60, noNaN: true }), (plan, which, more) => {
        const before = survey(plan)
        const pressing = before.masses.flatMap((mass) =>
          mass.of === 'gear' && [...mass.feet, ...mass.bars].every(([, share]) => share >= 0)
            ? [mass.thing.placement]
            : [],
        )
        const placement = pressing[which % Math.max(pressing.length, 1)]
        fc.pre(placement !== undefined)
        const load = {
          id: 'more',
          name: 'More',
          when: 'always' as const,
          what: { kind: 'mass' as const, mass: { kg: more, basis: 'weighed' as const } },
        }
        const heavier = {
          ...plan,
          placements: plan.placements.map((each) =>
            each === placement ? { ...each, loads: [...each.loads, load] } : each,
          ),
        }
        const [old, now] = [review(before), review(survey(heavier))]
        for (const state of STATES)
          expect(rank(onWeights(now, state))).toBeLessThanOrEqual(rank(onWeights(old, state)))
      }),
      RUNS,
    )
  })

  it('the mirror image of a plan has the mirror image of its answer', () => {
    fc.assert(
      fc.property(shaken, (plan) => {
        const [here, there] = [survey(plan), survey(mirrored(plan))]
        const verdicts = (surveyed: typeof here) => review(surveyed).states
        expect(verdicts(there)).toEqual(verdicts(here))
        for (const foot of here.feet) {
          const twin = there.feet.find(
            (each) => each.barIndex === foot.barIndex && Math.abs(each.yMm + foot.yMm) < 1e-9,
          )
          expect(twin?.side).not.toBe(foot.side)
          expect(there.footLoads[twin!.index]!.loadKg.road).toBeCloseTo(
            here.footLoads[foot.index]!.loadKg.road,
            6,
          )
        }
        here.things.forEach((thing, i) => {
          expect(there.things[i]!.box.y0).toBeCloseTo(-thing.box.y1, 6)
          expect(there.things[i]!.box.x0).toBeCloseTo(thing.box.x0, 6)
        })
      }),
      RUNS,
    )
  })

  it('typing the same numbers in other units changes no verdict and no figure that can be seen', () => {
    const retype = (dimension: 'length' | 'mass', value: number) => {
      const read = parseQuantity(dimension, formatPrecise(dimension, value, 'us'), 'us')
      if (!read.ok) throw new Error(read.reason)
      return read.value
    }
    fc.assert(
      fc.property(shaken, (plan) => {
        const typed = {
          ...plan,
          gear: plan.gear.map((gear) => ({
            ...gear,
            mass: { ...gear.mass, kg: retype('mass', gear.mass.kg) },
          })),
          placements: plan.placements.map((each) => ({
            ...each,
            xMm: retype('length', each.xMm),
            yMm: retype('length', each.yMm),
          })),
        }
        const [a, b] = [survey(plan), survey(typed)]
        a.loadPath.cells.forEach((cell, i) => {
          expect(Math.abs(cell.countedKg - b.loadPath.cells[i]!.countedKg)).toBeLessThan(0.02)
        })
        const near = a.loadPath.cells.some(
          (cell) => cell.leftKg !== undefined && Math.abs(cell.leftKg) < 0.02,
        )
        if (!near) expect(review(b).states).toEqual(review(a).states)
      }),
      RUNS,
    )
  })

  it('a plan printed and parsed is the same plan', () => {
    fc.assert(
      fc.property(shaken, (plan) => {
        const read = parsePlanText(printPlan(plan))
        expect(read.ok ? read.plan : read.problems).toEqual(plan)
      }),
      RUNS,
    )
  })
})

/** Left and right exchanged: every y with its sign turned, and what has a side on the other one. */
function mirrored(plan: Plan): Plan {
  const turn = { 0: 0, 90: 270, 180: 180, 270: 90 } as const
  return {
    ...plan,
    vehicle: { ...plan.vehicle, attachments: plan.vehicle.attachments.map((each): Attachment => each) },
    racks: plan.racks.map((rack) => {
      if (rack.kind === 'ladder') return { ...rack, yMm: -rack.yMm }
      const bars = rack.bars.map((bar) => ({ ...bar, feetYMm: bar.feetYMm.map((y) => -y).toReversed() }))
      return 'deck' in rack && rack.deck
        ? { ...rack, bars, deck: { ...rack.deck, yMm: -rack.deck.yMm } }
        : { ...rack, bars }
    }),
    gear: plan.gear.map((gear) =>
      gear.carries
        ? {
            ...gear,
            carries: {
              ...gear.carries,
              places: gear.carries.places.map((place) => ({ ...place, yMm: -place.yMm })),
            },
          }
        : gear,
    ),
    placements: plan.placements.map((each) => ({
      ...each,
      yMm: -each.yMm,
      turn: turn[each.turn],
      host:
        each.host.on === 'panel'
          ? { ...each.host, side: each.host.side === 'left' ? ('right' as const) : ('left' as const) }
          : each.host,
    })),
  }
}
