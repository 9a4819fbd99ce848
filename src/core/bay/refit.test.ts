import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import { USUAL_BAY } from '../plan/schema/house'
import { survey } from '../survey/survey'
import type { LogEvent } from '../log/event'
import { replay } from '../log/replay'
import { estimate } from './steps/estimate'
import { jobSteps } from './steps/job-steps'
import { workedEvents } from './worked'
import { gutterPlatform, hatchLadder, wingBars } from '@/demo/racks'
import { refitNotes, refitValues } from './refit'

it('says where the bars stood and what their joints were pulled to', () => {
  expect(refitValues(wingBars).replace(/\s/g, ' ')).toBe(
    'Front bar 430 mm behind the windscreen, feet 1 060 mm apart; Rear bar 1 190 mm behind the windscreen, feet 1 060 mm apart; rail clamps 6 N·m',
  )
  expect(refitValues(gutterPlatform)).toContain('gutter clamps 11 to 13 N·m')
  expect(refitValues(hatchLadder)).toBe('')
})

it('never hands on a figure from another rack', () => {
  const carried = {
    ...wingBars,
    parts: wingBars.parts.map((part) => ({
      ...part,
      fasteners:
        part.fasteners?.map((each) => ({ ...each, torqueFrom: { kind: 'otherRack' as const, rack: 'x' } })) ??
        [],
    })),
  }
  expect(refitValues(carried)).not.toContain('N·m')
})

describe('a summer rack that comes off and goes on again', () => {
  const racks = (status: 'comesOff' | 'toFit'): Plan => ({
    ...boatAndBox,
    id: `job-${status}`,
    placements: [],
    racks: boatAndBox.racks.map((rack) => ({ ...rack, status })),
  })
  const stepsOf = (plan: Plan) => {
    const order = jobSteps(survey(plan), USUAL_BAY)
    if (!order.ok) throw new Error(order.reason)
    return order.steps
  }
  const [off, on] = [racks('comesOff'), racks('toFit')]
  const events = [
    ...workedEvents(survey(on), USUAL_BAY).map((event) => ({ ...event, jobId: on.id })),
    ...off.racks.map((rack) => ({
      kind: 'removed' as const,
      rackId: rack.id,
      what: rack.name,
      note: refitValues(rack),
      jobId: off.id,
    })),
  ].map((event, i) => ({
    ...event,
    id: `e${i}`,
    at: '2027-10-12T09:00:00Z',
    vehicleId: 'v',
    turn: i + 1,
  })) as LogEvent[]

  it('is a job of taking off alone, and less than half the work', () => {
    const steps = stepsOf(off)
    expect(steps.filter(({ id }) => id.startsWith('off/'))).toHaveLength(off.racks.length)
    expect(steps.some(({ task }) => task.kind === 'torque')).toBe(false)
    const hands = (of: Plan) =>
      stepsOf(of)
        .filter(({ stage }) => stage !== 'prove')
        .reduce((sum, { minutes }) => sum + minutes.to, 0)
    expect(hands(off)).toBeLessThan(hands(on) / 2)
    expect(estimate(steps).one.toMin).toBeLessThan(estimate(stepsOf(on)).one.toMin)
  })

  it('leaves how it stood, so that it is put back by its old values', () => {
    const record = replay(events)
    expect(record.racks.every(({ on: is }) => !is)).toBe(true)
    const notes = refitNotes(record.counting)
    expect([...notes.keys()]).toEqual(off.racks.map(({ id }) => id))
    expect([...notes.values()].join().replace(/\s/g, ' ')).toContain('Front bar 430 mm behind the windscreen')
    // The same rack a year later, though its plan was moved meanwhile: what is read is how it stood.
    const struck = replay([
      ...events,
      {
        ...events[0]!,
        kind: 'corrected',
        id: 'x',
        eventId: events.at(-1)!.id,
        reason: 'r',
        turn: 9999,
      },
    ])
    expect(refitNotes(struck.counting).size).toBe(off.racks.length - 1)
  })

  it('is fitted anew as a job of its own: no tick of the first one stands for it', () => {
    const again = { ...on, id: 'job-next-year' }
    expect(replay(events).jobs.get(again.id)).toBeUndefined()
    expect(stepsOf(again).map(({ id }) => id)).toEqual(stepsOf(on).map(({ id }) => id))
  })
})
