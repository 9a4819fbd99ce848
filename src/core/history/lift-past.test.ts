import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { boatAndBox, DEMO_PLANS } from '@/demo/plans'
import { readPlan } from '../formats/plan-file'
import { liftTrail, type Trail } from './lift-past'
import { patchBetween, patched } from './patch'
import { statesAlong } from './past-step'
import { type FormatLift, FORMAT_VERSION, LIFTS } from '../plan/schema/lifts'
import { type Plan } from '../plan/schema/plan'

type Raw = Record<string, unknown>
const AT = '2027-03-12T09:00:00Z'

/** The trail between states of a raw plan, oldest first; the one at `at` is where it stands. */
const trailOf = (states: readonly Raw[], at: number): Trail => ({
  steps: states
    .slice(0, at)
    .map((state, i) => ({ at: AT, by: 'Ida', back: patchBetween(states[i + 1], state) })),
  ahead: states.slice(at + 1).map((state, i) => patchBetween(states[at + i], state)),
})

/** A plan of the frozen version 3 that was changed in ways a person changes it. */
const ofThree = (): readonly Raw[] => {
  const first = JSON.parse(readFileSync('src/core/formats/frozen/plan-3.json', 'utf8')) as Raw
  const second = { ...first, job: { ...(first['job'] as Raw), name: 'Renamed' } }
  const vehicle = first['vehicle'] as Raw
  const third = { ...second, vehicle: { ...vehicle, typed: { length: '15 ft' } } }
  const gone = { ...third, placements: (first['placements'] as unknown[]).slice(0, -1) }
  return [first, second, third, gone]
}

describe('a past that was kept in an older version', () => {
  it.each([0, 1, 2, 3])('leads through every state of version 3, lifted, from the one at %i', (at) => {
    const states = ofThree()
    const raw = states[at]!
    const trail = liftTrail(raw, trailOf(states, at))
    const here = readPlan(raw)
    if (!here.ok) throw new Error(here.problems[0]?.text)
    const back = statesAlong(here.plan, trail.steps)
    const on: Plan[] = []
    for (const patch of trail.ahead) on.push(patched(on.at(-1) ?? here.plan, patch) as Plan)
    const led = [...back, ...on]
    expect(led).toHaveLength(states.length)
    for (const [i, state] of states.entries()) {
      const read = readPlan(state)
      if (!read.ok) throw new Error(read.problems[0]?.text)
      expect(led[i]).toEqual(read.plan)
      expect(led[i]!.version).toBe(FORMAT_VERSION)
    }
    expect(trail.steps.every((step) => step.at === AT && step.by === 'Ida')).toBe(true)
  })

  it('leads on through a made next version that calls a field by another name', () => {
    const next: FormatLift = {
      from: FORMAT_VERSION,
      lift: ({ job, ...rest }) => ({ ...rest, order: job }),
    }
    const made = { lifts: [...LIFTS, next], present: FORMAT_VERSION + 1 }
    const states: Raw[] = ['One', 'Two', 'Three'].map((name) => ({
      ...(boatAndBox as unknown as Raw),
      job: { ...boatAndBox.job, name },
    }))
    const { steps } = liftTrail(states[2]!, trailOf(states, 2), made.lifts, made.present)
    const { job, ...rest } = states[2]!
    let state: unknown = { ...rest, order: job, version: made.present }
    const names: unknown[] = []
    for (const { back } of steps.toReversed()) {
      state = patched(state, back)
      names.push((state as { order: { name: string } }).order.name)
      expect(state).not.toHaveProperty('job')
    }
    expect(names).toEqual(['Two', 'One'])
  })

  it('is what it is where it was kept in the present version, and ends where a state cannot be lifted', () => {
    const [one, two] = DEMO_PLANS as unknown as readonly Raw[]
    const trail = trailOf([one!, two!], 1)
    expect(liftTrail(two, trail)).toBe(trail)
    const states = ofThree()
    const torn = [{ ...states[0]!, format: 'other' }, ...states.slice(1)]
    expect(liftTrail(torn[3], trailOf(torn, 3)).steps).toHaveLength(2)
  })
})
