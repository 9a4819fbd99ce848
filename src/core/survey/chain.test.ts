import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import { expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { apply } from '../plan/commands/apply'
import { review } from '../review/review'
import { survey } from './survey'

/** Ends what nobody holds. A last one may still lie on the stack of what ran before: it is given some turns to go. */
async function left(all: readonly WeakRef<object>[]): Promise<readonly WeakRef<object>[]> {
  setFlagsFromString('--expose_gc')
  const gc = runInNewContext('gc') as () => void
  let alive = all
  for (let i = 0; i < 20 && alive.length > 0; i += 1) {
    await new Promise((done) => setTimeout(done, i))
    gc()
    alive = all.filter((each) => each.deref() !== undefined)
  }
  return alive
}

it('a survey holds none of the surveys that it was made from', async () => {
  let now = survey(boatAndBox)
  const before: WeakRef<object>[] = []
  for (let i = 0; i < 30; i += 1) {
    // Some are reviewed on the way, as edits are; some are only passed through.
    if (i % 2 === 0) review(now)
    before.push(new WeakRef(now))
    const { id, xMm, yMm } = now.plan.placements[0]!
    const moved = apply(now.plan, { do: 'move', placementId: id, xMm: xMm + (i % 2 ? 5 : -5), yMm })
    if (!moved.ok) throw new Error(moved.reason)
    now = survey(moved.plan, now)
  }
  expect(await left(before)).toHaveLength(0)
  expect(now.masses.length).toBeGreaterThan(0)
})
