import { describe, expect, it } from 'vitest'
import { part } from '../../plan/starting/templates'
import { barsRack, NONE, own, planOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Attachment, Vehicle } from '../../plan/schema/vehicle'
import { review } from '../../review/review'
import { phraseText } from '../../units/phrase'
import { survey } from '../survey'

/**
 * Free-body by hand: on the tracks stand bars (2 × 3 kg), feet (4 × 1 kg) and a load of 40 kg, so 50 kg; on the bed's
 * sides stands all of that and the canopy's own 80 kg, so 130 kg, half on either side. The cab's roof bears nothing.
 */
const LIMITS = { road: 90, trail: 45, parked: 200 }
const tracks: Attachment = {
  kind: 'canopyTrack',
  id: 'tracks',
  name: 'Canopy tracks',
  ratings: ratingsOf('tracks', LIMITS),
  gaugeMm: 1000,
  ranges: [{ fromMm: 0, toMm: 3000 }],
  topZMm: 1700,
  canopyKg: 80,
}
const rails: Attachment = {
  kind: 'bedRail',
  id: 'bed',
  name: 'Bed rails',
  ratings: ratingsOf('bed', { road: 250, trail: 125, parked: 400 }),
  gaugeMm: 1300,
  ranges: [{ fromMm: 0, toMm: 3000 }],
  topZMm: 1100,
}

function ratingsOf(id: string, figures: typeof LIMITS) {
  const rated = own(id, figures, { counts: 'everything' })
  return rated.by === 'own' ? rated.ratings : []
}

const rack = {
  ...barsRack({}),
  attachmentId: 'tracks',
  parts: [part('bars', 'bars', 'Bars', 2, 3, NONE), part('feet', 'feet', 'Feet', 4, 1, NONE)],
}
const planWith = (...attachments: Attachment[]) => {
  const vehicle: Vehicle = { ...vehicleWith([], attachments), body: 'pickup' }
  return planOf(vehicle, [rack], [[thing('crate', 40), {}]])
}

describe('a rack on the tracks of a canopy', () => {
  const surveyed = survey(planWith(rails, tracks))
  const kg = (layerId: string, state: 'road' | 'trail' | 'parked') =>
    surveyed.loadPath.cellAt(layerId, state)?.countedKg

  it('weighs on the tracks, and with the canopy’s own mass on the bed’s sides, moving and parked', () => {
    for (const state of ['road', 'trail', 'parked'] as const) {
      expect(kg('attachment:tracks', state)).toBeCloseTo(50, 6)
      expect(kg('attachment:bed', state)).toBeCloseTo(130, 6)
    }
    const sides = surveyed.loadPath.layers.find(({ id }) => id === 'attachment:bed')
    const left = [...(sides?.load ?? []), ...(sides?.own ?? [])]
      .filter(({ unit }) => unit === 0)
      .reduce((sum, { mass, fraction }) => sum + mass.kg * fraction, 0)
    expect(left).toBeCloseTo(65, 6)
  })

  it('never loads the roof', () => {
    expect(surveyed.loadPath.layers.some(({ id }) => id === 'roof')).toBe(false)
  })

  it('is over each figure by itself: the tracks’ and, with the canopy, the bed’s', () => {
    const stops = review(surveyed).findings.filter(({ severity }) => severity === 'stop')
    expect(stops.map(({ subject, state }) => [subject.layerId, state])).toEqual(
      expect.arrayContaining([
        ['attachment:tracks', 'trail'],
        ['attachment:bed', 'trail'],
      ]),
    )
    expect(stops.some(({ state }) => state === 'parked')).toBe(false)
  })

  it('is never clear on bed’s sides that nobody described', () => {
    const { states, findings } = review(survey(planWith(tracks)))
    expect(Object.values(states)).not.toContain('clear')
    const asked = findings
      .filter(({ severity }) => severity === 'findOut')
      .map(({ sentence }) => phraseText(sentence))
    expect(asked.join()).toContain('What Canopy tracks stands on')
  })

  it('stands on the bed’s rails and on nothing else of the bed; what is not described is asked of the vehicle', () => {
    const channels: Attachment = { ...rails, kind: 'bedChannel', id: 'channels', name: 'Bed channels' }
    const both = survey(planWith(channels, rails, tracks))
    expect(both.loadPath.cellAt('attachment:bed', 'road')?.countedKg).toBeCloseTo(130, 6)
    expect(both.loadPath.cellAt('attachment:channels', 'road')).toBeUndefined()
    const asked = review(survey(planWith(channels, tracks))).findings.filter(
      ({ severity, subject }) => severity === 'findOut' && subject.layerId === 'under:tracks',
    )
    expect(asked.map(({ ask }) => ask?.target)).toContainEqual({ open: 'vehicle', at: 'attachments' })
  })

  it('counts the canopy against the payload', () => {
    const heavy = planWith(rails, tracks)
    const payload = survey({
      ...heavy,
      vehicle: { ...heavy.vehicle, kerbKg: 2000, grossKg: 2200 },
    }).loadPath.cellAt('payload', 'road')
    const without = survey({
      ...heavy,
      vehicle: {
        ...heavy.vehicle,
        kerbKg: 2000,
        grossKg: 2200,
        attachments: [rails, { ...tracks, canopyKg: 0 }],
      },
    }).loadPath.cellAt('payload', 'road')
    expect((payload?.countedKg ?? 0) - (without?.countedKg ?? 0)).toBeCloseTo(80, 6)
  })
})
