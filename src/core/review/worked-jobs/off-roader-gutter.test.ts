import { describe, expect, it } from 'vitest'
import type { Attachment } from '../../plan/schema/vehicle'
import {
  answers,
  barAt,
  IN,
  jobOf,
  LB,
  loadOf,
  manual,
  NO_FIGURE,
  onBars,
  part,
  sheet,
  thingOf,
  vehicleOf,
  WITH_ROOF,
  type Rack,
} from './worked.testing'

describe('round bars at the owner’s marks on a gutter, and a box that came late', () => {
  const GUTTER: Attachment = {
    kind: 'gutter',
    id: 'gutter',
    name: 'Gutter',
    rated: WITH_ROOF,
    gaugeMm: 1290,
    ranges: [{ fromMm: 0, toMm: 70.625 * IN }],
  }
  const vehicle = vehicleOf(
    'boxyOffRoader',
    { roofFigures: manual('roof', { road: 110 * LB }, { counts: 'everything' }), roofToXMm: 70.625 * IN },
    [GUTTER],
  )
  const ROUND = { kind: 'round', widthMm: 28, heightMm: 28 } as const
  const rack: Rack = {
    id: 'rack',
    kind: 'bars',
    name: 'Round bars',
    attachmentId: 'gutter',
    bars: [8.25 * IN, (70.625 - 8.25) * IN].map((x, i) =>
      barAt(i === 0 ? 'front' : 'rear', x, 1450, 645, ROUND),
    ),
    parts: [
      part('bars', 'bars', 'Round bars', 2, 3.6, NO_FIGURE),
      part('feet', 'feet', 'Feet', 4, 0.8, NO_FIGURE),
      part('cord', 'whole', 'Cord', 1, 0.35, { by: 'with', what: 'the feet', source: { kind: 'told' } }),
    ],
  }
  const box = (both: boolean) =>
    thingOf('Box', both ? 17.4 : 12.5, [1800, 800, 400], {
      kind: 'box',
      mass: both
        ? { kg: 17.4, basis: 'maker', others: [{ kg: 12.5, basis: 'guess' }] }
        : { kg: 12.5, basis: 'guess' },
      fit: { mount: { kind: 'strap' }, spreadMm: { fromMm: 24 * IN, toMm: 56 * IN } },
      carries: { rated: sheet('box', { road: 75 * LB }), places: [] },
    })
  const plan = (both: boolean, things = true) =>
    jobOf(
      vehicle,
      [rack],
      things
        ? [[box(both), onBars('Box', ['front', 'rear'], 897, 0, { loads: [loadOf('Bags', 24 * LB)] })]]
        : [],
    )

  it('is Find out in every state with the box on bars that nobody rated, and at most by itself', () => {
    const job = answers(plan(false))
    for (const state of ['road', 'trail', 'parked'] as const)
      expect(job.states[state] === 'findOut' || job.states[state] === 'stop').toBe(true)
    expect(answers(plan(false, false)).may('rack', 'road')).toMatchObject({ kind: 'unknown' })
  })

  it('counts the guess with its margin and then the maker’s figure: 14.5 and 10.9 kg left on the roof', () => {
    expect(answers(plan(false)).left('roof', 'road')).toBeCloseTo(14.5, 1)
    const job = answers(plan(true))
    expect(job.left('roof', 'road')).toBeCloseTo(10.9, 1)
    expect(job.left('roof', 'trail')).toBeCloseTo(-5.8, 1)
    expect(job.left('carrier:Box', 'road')).toBeCloseTo(51 * LB, 1)
    expect(job.says('figures-disagree').join(' ')).toMatch(/differ by 4.9 kg/)
  })

  it('stands on a spread of 54 1/8 in, 1 7/8 in inside what the box takes', () => {
    expect(answers(plan(true)).says('spread')[0]).toMatch(
      /1 374.8 mm between front and rear; Box needs 609.6 mm to 1 422.4 mm; 47.6 mm to spare/,
    )
  })
})
