import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { NOTHING_DONE } from '../../log/record'
import type { Plan } from '../../plan/schema/plan'
import type { Attachment } from '../../plan/schema/vehicle'
import { USUAL_BAY } from '../../plan/schema/house'
import { phraseText } from '../../units/phrase'
import { survey } from '../../survey/survey'
import { currentProgress } from '../evidence'
import { holdsOf } from '../holds'
import { stepFindings } from '../step-findings'
import { jobSteps } from './job-steps'
import { mustTape, pairsOf } from './pairs'
import { plainJob } from './plain-job.testing'
import { isPlacedByVehicle, vehiclePlace } from './vehicle-place'

const placed = DEMO_PLANS.flatMap((plan) => {
  const surveyed = survey(plan)
  return surveyed.racks.filter(isPlacedByVehicle).map((rack) => ({ plan, surveyed, rack }))
})

describe('bars that the vehicle places (B7)', () => {
  it('are taped along nothing: what is read are their ends', () => {
    expect(placed.length).toBeGreaterThan(0)
    for (const { surveyed, rack } of placed)
      for (const ask of pairsOf(surveyed, rack)) {
        expect(ask.taped.filter((name) => /^(spread|diagonal)/.test(name))).toEqual([])
        expect(mustTape(ask).length).toBeGreaterThan(0)
      }
  })

  it('are set at their place by its number from the front', () => {
    for (const { plan, surveyed, rack } of placed) {
      const order = jobSteps(surveyed, USUAL_BAY)
      const steps = order.ok ? order.steps : []
      // Where the vehicle leaves a bar no way along, it is set down there; in notches it is placed.
      const own = ['place', 'lift-on'].map((key) => steps.find(({ id }) => id === `${rack.rack.id}/${key}`))
      expect(own.map((step) => phraseText(step?.detail ?? [])).join(' '), plan.job.name).toMatch(
        /first .* from the front, on both sides/,
      )
    }
  })

  it('are counted in notches where there are some; a bar between two has no place', () => {
    const [first] = placed
    const [bar] = first?.rack.bars ?? []
    if (!bar) throw new Error('The rack has a bar.')
    const rail = {
      id: 'r',
      kind: 'raisedRail',
      name: 'Rail',
      notchesXMm: [300, 500, 700, 900],
    } as unknown as Attachment
    const at = (xMm: number) => vehiclePlace({ ...bar, attachment: rail, bar: { ...bar.bar, xMm } })
    expect(at(700)).toBe('third notch from the front, on both sides')
    expect(at(900)).toBe('last notch, on both sides')
    expect(at(800)).toBeUndefined()
    expect(vehiclePlace({ ...bar, attachment: undefined })).toBeUndefined()
  })
})

describe('a length that only a form filled in', () => {
  const started = plainJob('raisedRail', 'bars')
  const known = (plan: Plan): Plan => ({
    ...plan,
    racks: plan.racks.map((rack) =>
      rack.kind === 'bars' ? { ...rack, bars: rack.bars.map(({ known: _, ...bar }) => bar) } : rack,
    ),
  })
  const step = (plan: Plan, key: string) => {
    const order = jobSteps(survey(plan), USUAL_BAY)
    const found = order.ok ? order.steps.find((each) => each.key === key) : undefined
    if (!found) throw new Error(key)
    return found
  }
  const holds = (plan: Plan, key: string) => {
    const [at, now] = [step(plan, key), survey(plan)]
    return holdsOf(at, now, stepFindings(at, now, NOTHING_DONE), NOTHING_DONE).map(({ message }) => message)
  }

  it('is asked for and no instruction: at placing, at the feet and at the strips (B8)', () => {
    expect(phraseText(step(started, 'place').detail)).toBe(
      'Front bar: find out where it stands. Rear bar: find out where it stands.',
    )
    expect(phraseText(step(started, 'feet-on-bars').detail)).not.toMatch(/\d/)
    for (const key of ['place', 'feet-on-bars'])
      expect(holds(started, key)).toEqual(Array(2).fill('Find out the length first, or say what differs.'))
    expect(phraseText(step(known(started), 'place').detail)).toMatch(/\d+ mm behind the windscreen/)
    for (const key of ['place', 'feet-on-bars']) expect(holds(known(started), key)).toEqual([])
  })

  it('opens nothing that was done by it', () => {
    const now = survey(started)
    const place = step(started, 'place')
    const logged = { ...NOTHING_DONE, done: new Set([place.id]) }
    expect(currentProgress([place], now, logged).progress.done.has(place.id)).toBe(true)
  })
})
