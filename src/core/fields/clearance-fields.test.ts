import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { apply } from '../plan/commands/apply'
import { CLEARANCES_FIELD, clearanceEdits, clearancesSchema } from './clearance-fields'
import { toDraft } from './draft'
import { readDraft } from './read-draft'

const plan = DEMO_PLANS.find(({ clearances }) => clearances.length > 0)
if (!plan) throw new Error('A job of the demo passes a gate.')
const [gate] = plan.clearances
if (!gate) throw new Error('It has a gate.')
const shed = { id: 'shed', name: 'Shed', heightMm: 2000 }

describe('doors and garages as one sheet', () => {
  it('are read as they were where nothing was typed', () => {
    const was = { clearances: plan.clearances }
    const draft = toDraft(CLEARANCES_FIELD, was, { system: 'us', typed: {}, rel: '' })
    expect(readDraft(CLEARANCES_FIELD, clearancesSchema, draft, was, 'us').value).toBe(was)
  })

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
