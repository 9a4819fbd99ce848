import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { survey } from '../../survey/survey'
import { remediesFor } from '../../remedies/remedies'
import { review } from '../review'
import { sentences, severities } from './findings.testing'
import { heightClearance } from './height-clearance'

const ANY = { road: 500, trail: 500, parked: 500 }
/** Estate 1490 high, bars 60 over it and 30 high, a box 300 high: its top stands at 1880 mm. */
const plan = (doorMm: number, rest: Parameters<typeof thing>[2] = {}) => ({
  ...planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })],
    [[thing('Crate', 10, rest)]],
  ),
  clearances: [{ id: 'door', name: 'Workshop door', heightMm: doorMm }],
})

describe('height', () => {
  it('measures the highest point and keeps the gap to the ceiling', () => {
    expect(severities(heightClearance, plan(1930))).toEqual({ road: 'clear', trail: 'clear' })
    expect(severities(heightClearance, plan(1929))).toEqual({ road: 'stop', trail: 'stop' })
    expect(sentences(heightClearance, plan(1929))[0]).toBe(
      'Workshop door: 1\u202f929 mm high; Crate stands at 1\u202f880 mm on the road and leaves 49 mm of the 50 mm wanted; 1 mm short.',
    )
    expect(sentences(heightClearance, plan(1800))[0]).toContain('80 mm too high')
  })

  it('agrees with the survey that the drawing reads', () => {
    for (const doorMm of [1800, 1879, 1880, 1929, 1930, 2400]) {
      const [door] = survey(plan(doorMm)).clearances
      expect(door!.spareMm).toBe(doorMm - 1880)
      expect(severities(heightClearance, plan(doorMm)).road).toBe(door!.passes ? 'clear' : 'stop')
    }
    expect(survey(plan(2400, { when: 'parked' })).drivingTop).toMatchObject({
      topMm: 1580,
      name: 'Test rack',
    })
  })

  it('counts driving states only: what is up when parked passes no door', () => {
    expect(severities(heightClearance, plan(1800, { when: 'parked' }))).toEqual({
      road: 'clear',
      trail: 'clear',
    })
  })

  it('offers to lay a thing flat when that is enough, and proves it', () => {
    const upright = plan(1840, { onEdge: true, widthMm: 300, heightMm: 200 })
    const standing = { ...upright, placements: upright.placements.map((each) => ({ ...each, onEdge: true })) }
    const surveyed = survey(standing)
    const found = review(surveyed)
    const finding = found.findings.find(
      (each) => each.rule === 'height-clearance' && each.severity === 'stop',
    )!
    const [first] = remediesFor(surveyed, found, finding, { parts: [] })
    expect(first?.command).toEqual({ do: 'setOnEdge', placementId: 'Crate', onEdge: false })
  })

  it('says so when no door is on the list', () => {
    const none = { ...plan(1800), clearances: [] }
    expect(review(survey(none)).findings.find((each) => each.rule === 'height-clearance')?.sentence).toEqual([
      'No door or garage is on the list.',
    ])
  })
})
