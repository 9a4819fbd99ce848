import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boatAndBox, hatchJob } from '@/demo/plans'
import { factText } from '../log/fact-print'
import { apply } from '../plan/commands/apply'
import type { Command } from '../plan/commands/command'
import { patchBetween } from '../history/patch'
import { type PastStep, statesAlong } from '../history/past-step'
import type { Plan } from '../plan/schema/plan'
import { type Copy, compareCopies } from './copies'
import { isBundle, printBundle, readBundle } from './job-bundle'

const AT = '2026-03-02T08:00:00.000Z'
const START: Copy = { plan: boatAndBox, steps: [] }
const move = (id: string, xMm: number): Command => ({ do: 'move', placementId: id, xMm, yMm: 0 })
const used = (guess: number): Command => ({ do: 'setUse', use: { ...boatAndBox.use, roadKmH: guess } })

/** A copy after edits, each a step of its own. */
const worked = (copy: Copy, by: string, ...commands: readonly Command[]): Copy =>
  commands.reduce<Copy>(({ plan, steps }, command) => {
    const done = apply(plan, command)
    if (!done.ok) throw new Error(done.reason)
    const step: PastStep = { at: AT, by, back: patchBetween(done.plan, plan) }
    return { plan: done.plan, steps: [...steps, step] }
  }, copy)
const xOf = (plan: Plan, id: string) => plan.placements.find((each) => each.id === id)?.xMm
const same = (a: unknown, b: unknown) => expect(factText(a)).toBe(factText(b))

describe('two copies of a job that meet', () => {
  const desk = worked(START, 'Desk', move('long-box', 900))

  it('say the same, however they were written', () =>
    expect(compareCopies(desk, JSON.parse(JSON.stringify(desk)) as Copy, AT)).toEqual({ at: 'same' }))

  it('one is an earlier state of the other: nothing to take in, or its steps go on from here', () => {
    const tablet = worked(desk, 'Tablet', move('long-box', 950), move('sea-boat', 1000))
    expect(compareCopies(tablet, desk, AT)).toEqual({ at: 'ahead' })
    const met = compareCopies(desk, tablet, AT)
    if (met.at !== 'behind') throw new Error(met.at)
    expect(met.others.map(({ by }) => by)).toEqual(['Tablet', 'Tablet'])
    same(met.after.plan, tablet.plan)
    expect(met.after.steps).toHaveLength(3)
    same(statesAlong(met.after.plan, met.after.steps)[0], boatAndBox)
  })

  it('both went on: what each did stands, and the step back is to what was here', () => {
    const tablet = worked(desk, 'Tablet', move('sea-boat', 1000))
    const here = worked(desk, 'Desk', move('long-box', 870))
    const met = compareCopies(here, tablet, AT, 'Tablet')
    if (met.at !== 'merged') throw new Error(met.at)
    expect([xOf(met.after.plan, 'long-box'), xOf(met.after.plan, 'sea-boat')]).toEqual([870, 1000])
    same(statesAlong(met.after.plan, met.after.steps).at(-2), here.plan)
    expect(met.after.steps.at(-1)).toMatchObject({ at: AT, by: 'Tablet' })
    expect(met.others).toHaveLength(1)
    expect(compareCopies(met.after, tablet, AT)).toEqual({ at: 'ahead' })
  })

  it('both set the same otherwise: it is asked, and taking the other keeps what was here before it', () => {
    const tablet = worked(desk, 'Tablet', move('long-box', 950))
    const here = worked(desk, 'Desk', move('long-box', 870))
    const met = compareCopies(here, tablet, AT)
    if (met.at !== 'apart') throw new Error(met.at)
    expect(met.clashes.map(({ path }) => path)).toEqual(['placements.long-box.xMm'])
    same(met.theirs.plan, tablet.plan)
    same(statesAlong(met.theirs.plan, met.theirs.steps).at(-2), here.plan)
    same(met.mine.plan, here.plan)
    same(statesAlong(met.mine.plan, met.mine.steps).at(-2), tablet.plan)
  })

  it('of two that share no state it is asked, whatever they say', () =>
    expect(compareCopies(START, { plan: { ...hatchJob, id: boatAndBox.id }, steps: [] }, AT)).toMatchObject({
      at: 'apart',
      clashes: [],
      reason: 'The two jobs have no common state.',
    }))

  it('goes there and back and there again without a question where nothing clashes', () => {
    const tablet = worked(desk, 'Tablet', move('sea-boat', 1000))
    const here = worked(desk, 'Desk', used(117))
    const first = compareCopies(here, tablet, AT)
    if (first.at !== 'merged') throw new Error(first.at)
    const back = compareCopies(tablet, first.after, AT)
    expect(['behind', 'merged']).toContain(back.at)
    if (back.at === 'behind' || back.at === 'merged') same(back.after.plan, first.after.plan)
  })

  it('loses no edit of either, in any order of edits to different things', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 700, max: 1100 }), { minLength: 1, maxLength: 4 }),
        fc.array(fc.integer({ min: 80, max: 130 }), { minLength: 1, maxLength: 4 }),
        (places, speeds) => {
          const here = worked(START, 'Desk', ...places.map((x) => move('long-box', x)))
          const there = worked(START, 'Tablet', ...speeds.map(used))
          const met = compareCopies(here, there, AT)
          const after = met.at === 'merged' || met.at === 'behind' ? met.after.plan : here.plan
          expect(xOf(after, 'long-box')).toBe(places.at(-1))
          expect(after.use.roadKmH).toBe(there.plan.use.roadKmH)
        },
      ),
      { numRuns: 40 },
    ))

  it('keeps the past as a job keeps it: all of the last days, of what is older one step a day', () => {
    const on = (at: string): Copy => ({
      plan: boatAndBox,
      steps: Array.from({ length: 600 }, () => ({ at, back: [] })),
    })
    const met = (here: Copy) => compareCopies(here, worked(here, 'Tablet', move('sea-boat', 1000)), AT)
    const steps = (of: ReturnType<typeof met>) => (of.at === 'behind' ? of.after.steps.length : 0)
    expect(steps(met(on(AT)))).toBe(601)
    expect(steps(met(on('2020-01-01T08:00:00.000Z')))).toBe(501)
  })
})

describe('a job bundle', () => {
  const bundle = {
    madeAt: AT,
    by: 'Tablet',
    ...worked(START, 'Tablet', move('long-box', 900)),
    events: [],
    pictures: { front: 'data:image/png;base64,AAAA' },
  }
  const raw = () => JSON.parse(printBundle(bundle, '0'.repeat(64))) as Record<string, unknown>

  it('is read back as it was written', () => {
    const read = readBundle(raw())
    same(read.ok && read.bundle, bundle)
    expect([isBundle(raw()), isBundle(boatAndBox), isBundle(null)]).toEqual([true, false, false])
  })

  it('names what is wrong in it, also in its plan', () => {
    const problems = (of: object) => {
      const read = readBundle({ ...raw(), ...of })
      return read.ok ? [] : read.problems.map(({ path }) => path)
    }
    expect(problems({ madeAt: 'yesterday' })).toEqual(['madeAt'])
    expect(problems({ pictures: { front: 'javascript:alert(1)' } })).toEqual(['pictures.front'])
    expect(problems({ plan: { ...boatAndBox, vehicle: { ...boatAndBox.vehicle, heightMm: -1 } } })).toEqual([
      'vehicle.heightMm',
    ])
  })

  it('leaves out steps that lead through no plan, and keeps the plan', () => {
    const back = [{ at: ['vehicle', 'heightMm'], is: 'tall' }]
    const read = readBundle({
      ...raw(),
      steps: [
        { at: AT, back },
        { at: AT, back: [] },
      ],
    })
    expect(read.ok && read.bundle.steps).toEqual([{ at: AT, back: [] }])
  })
})
