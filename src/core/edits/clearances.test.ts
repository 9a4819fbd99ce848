import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { apply } from '../plan/commands/apply'
import { clearanceEdits } from './clearances'

const plan = DEMO_PLANS.find(({ clearances }) => clearances.length > 0)
const [gate] = plan?.clearances ?? []
if (!plan || !gate) throw new Error('A job of the demo passes a gate.')
const shed = { id: 'shed', name: 'Shed', heightMm: 2000 }

describe('doors and garages as one sheet has them', () => {
  it('become the others by edits of one step', () => {
    const after = [{ ...gate, heightMm: gate.heightMm - 100 }, shed]
    const done = apply(plan, { do: 'together', commands: [...clearanceEdits(plan.clearances, after)] })
    if (!done.ok) throw new Error(done.reason)
    const rest = plan.clearances.slice(1).map(({ id }) => id)
    for (const id of rest) expect(done.plan.clearances.some((each) => each.id === id)).toBe(false)
    expect(done.plan.clearances).toEqual(after)
    expect(clearanceEdits(after, after)).toEqual([])
  })
})
