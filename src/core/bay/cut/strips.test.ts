import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { yardVan, podJob } from '@/demo/plans'
import { USUAL_BAY } from '../../plan/schema/house'
import { survey } from '../../survey/survey'
import { barsRack, planOf, vehicleWith } from '../../plan/plans.testing'
import type { Plan } from '../../plan/schema/plan'
import { barsOf, type Rack } from '../../plan/schema/rack'
import { cutLength, cutList, stripsByBar, gapsBetween, unsureFindings } from './strips'

const stretch = fc
  .tuple(fc.integer({ min: -900, max: 900 }), fc.integer({ min: 5, max: 400 }))
  .map(([from, length]) => [from, from + length] as const)

describe('the gaps between mounts', () => {
  it('with what is covered make up the whole stretch, each place once', () => {
    fc.assert(
      fc.property(fc.array(stretch, { maxLength: 8 }), (covered) => {
        const gaps = gapsBetween(-700, 700, covered)
        for (let x = -699.5; x < 700; x += 7) {
          const inGap = gaps.filter(([from, to]) => x > from && x < to).length
          const isCovered = covered.some(([from, to]) => x > from && x < to)
          expect(inGap).toBe(isCovered ? 0 : 1)
        }
      }),
    )
  })
})

describe('the cut list', () => {
  it('covers every gap: each strip is as long as its gap with shrinkage, and less than a millimetre longer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 2000, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (gap, shrink) => {
          const cut = cutLength(gap, shrink)
          expect(cut).toBeGreaterThanOrEqual(gap * (1 + shrink / 100) - 1e-6)
          expect(cut - gap * (1 + shrink / 100)).toBeLessThan(1)
        },
      ),
    )
  })

  it('leaves out what the clamps on a bar cover, and closes what nothing stands in', () => {
    const based = (plan: Plan): Plan => ({
      ...plan,
      gear: plan.gear.map((gear) => ({
        ...gear,
        contactsMm: gear.contactsMm ?? { along: [0], across: [-300, 300] },
        fit: { ...gear.fit, baseMm: 60 },
      })),
    })
    const { strips, plans } = cutList(survey(based(yardVan)), USUAL_BAY)
    const front = strips.filter(({ barId }) => barId === 'van-front')
    const rear = strips.filter(({ barId }) => barId === 'van-rear')
    // 1780 long with caps of 5: 1770 between them, 1 % for shrinkage.
    expect(rear).toEqual([expect.objectContaining({ kind: 'infill', fromMm: -885, toMm: 885, cutMm: 1788 })])
    expect(front.length).toBeGreaterThan(1)
    const covered = 1770 - front.reduce((so, { fromMm, toMm }) => so + toMm - fromMm, 0)
    expect(covered).toBeGreaterThanOrEqual(60)
    expect(plans.map(({ kind }) => kind)).toEqual(['infill'])
    expect(cutList(survey(podJob), USUAL_BAY).strips.length).toBeGreaterThan(0)
  })

  it('cuts none for a slot in which something covers nobody knows how much: it asks (B14)', () => {
    const surveyed = survey(yardVan)
    const { strips, unsure } = cutList(surveyed, USUAL_BAY)
    expect(strips.some(({ barId }) => barId === 'van-front')).toBe(false)
    expect(strips.some(({ barId }) => barId === 'van-rear')).toBe(true)
    expect(unsure.map(({ barId }) => barId)).toContain('van-front')
    const [found] = unsureFindings(surveyed, new Set(['van-front']))
    expect(found).toMatchObject({ severity: 'findOut', subject: { barId: 'van-front' } })
    expect(unsureFindings(surveyed, new Set(['van-rear']))).toEqual([])
  })

  it('sets feet in an underside groove by spacers between and gap strips outside them', () => {
    const plan: Plan = {
      ...yardVan,
      racks: yardVan.racks.map((rack) =>
        rack.kind === 'bars'
          ? {
              ...rack,
              footWidthMm: 100,
              bars: rack.bars.map((bar) => ({
                ...bar,
                profile: { ...bar.profile, underChannel: { slotMm: 11, headRoomMm: 7 } },
              })),
            }
          : rack,
      ),
    }
    const rear = cutList(survey(plan), { ...USUAL_BAY, stripShrinkPercent: 1 }).strips.filter(
      ({ barId }) => barId === 'van-rear',
    )
    const unknown = {
      ...plan,
      racks: plan.racks.map(({ footWidthMm: _width, ...rack }) => rack as (typeof plan.racks)[number]),
    }
    const silent = cutList(survey(unknown), USUAL_BAY)
    expect(silent.unsure.filter(({ say }) => say.includes('foot')).map(({ barName }) => barName)).toEqual([
      'Front bar',
      'Middle bar',
      'Rear bar',
    ])
    expect(silent.strips.every(({ kind }) => kind === 'infill')).toBe(true)
    // What sets the feet is cut as long as its gap, whatever the house adds in a slot for shrinkage.
    // Feet at ±800, 100 wide, caps inside at ±885: 1500 between them, 35 outside each.
    expect(rear.filter(({ kind }) => kind === 'spacer').map(({ cutMm }) => cutMm)).toEqual([1500])
    expect(rear.filter(({ kind }) => kind === 'gap').map(({ cutMm }) => cutMm)).toEqual([35, 35])
  })

  it('come to a sum for each bar: 862 from foot to foot, feet of 88, bars of 1180 with caps of 10', () => {
    const rack = barsRack({})
    const grooved = {
      ...rack,
      footWidthMm: 88,
      bars: barsOf(rack).map((bar) => ({
        ...bar,
        lengthMm: 1180,
        usableMm: 700,
        capMm: 10,
        feetYMm: [-431, 431],
        profile: { kind: 'square' as const, widthMm: 30, heightMm: 20, hasUnderChannel: true },
      })),
    } as Rack
    const bars = stripsByBar(cutList(survey(planOf(vehicleWith([]), [grooved])), USUAL_BAY).strips)
    expect(bars.map(({ strips }) => strips.map(({ cutMm }) => cutMm))).toEqual([
      [105, 774, 105],
      [105, 774, 105],
    ])
    expect(bars.map(({ sumMm }) => sumMm)).toEqual([984, 984])
  })
})
