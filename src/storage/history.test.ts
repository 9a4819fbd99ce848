import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { FORMAT_VERSION, patchBetween } from '@/core/api/plan'
import { readPlan } from '@/core/api/files'
import { savePlanIfCurrent, openPlan } from './plans'
import { transaction } from './database'

type Raw = Record<string, unknown>

/** A job as an earlier program left it: a plan of version 3, and one step that leads back to another name. */
async function left(): Promise<{ readonly now: Raw; readonly before: Raw }> {
  const now = JSON.parse(readFileSync('src/core/formats/frozen/plan-3.json', 'utf8')) as Raw
  const before = { ...now, job: { ...(now['job'] as Raw), name: 'As it was' } }
  await transaction(['plans', 'revisions', 'history'], (tx) => {
    const id = String(now['id'])
    tx.put('plans', id, now)
    tx.put('revisions', `plans/${id}`, 4)
    tx.put('history', id, {
      revision: 4,
      steps: [{ at: '2027-03-12T09:00:00Z', by: 'Ida', back: patchBetween(now, before) }],
    })
    return Promise.resolve()
  })
  return { now, before }
}

describe('a job that an earlier program left', () => {
  it('opens with its past in the present version, and keeps it through the next writing', async () => {
    const { now, before } = await left()
    const { stored, steps, revision } = await openPlan(String(now['id']))
    if (!stored?.ok) throw new Error('it does not read')
    expect(stored.plan.version).toBe(FORMAT_VERSION)
    expect(steps).toHaveLength(1)
    const then = readPlan(before)
    if (!then.ok) throw new Error(then.problems[0]?.text)
    expect(steps[0]?.back).toEqual(patchBetween(stored.plan, then.plan))
    const saved = await savePlanIfCurrent({
      plan: { ...stored.plan, note: 'Written by the program of today' },
      over: revision,
      base: stored.plan,
      steps,
    })
    expect(saved.saved).toBe('yes')
    expect((await openPlan(stored.plan.id)).steps).toEqual(steps)
  })
})
