import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { CLEARANCES_FIELD, clearancesSchema } from './clearance-fields'
import { toDraft } from './draft'
import { readDraft } from './read-draft'

const plan = DEMO_PLANS.find(({ clearances }) => clearances.length > 0)
if (!plan) throw new Error('A job of the demo passes a gate.')

describe('doors and garages as one sheet', () => {
  it('are read as they were where nothing was typed', () => {
    const was = { clearances: plan.clearances }
    const draft = toDraft(CLEARANCES_FIELD, was, { system: 'us', typed: {}, rel: '' })
    expect(readDraft(CLEARANCES_FIELD, clearancesSchema, draft, was, 'us').value).toBe(was)
  })
})
