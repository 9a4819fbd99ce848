import { describe, expect, it } from 'vitest'
import { glanceOf, judgePlan } from '@/core'
import { boatAndBox, DEMO_PLANS, hatchJob, ridgeTent } from '@/demo/plans'
import { pictureOf } from '@/ui/drawing/side-marks'
import type { BoardCard } from '@/workers/board-messages'
import { filtered, ordered } from './board-order'

const card = (plan: (typeof DEMO_PLANS)[number], backOn?: string): BoardCard => {
  const judged = judgePlan(plan)
  return { ok: true, id: plan.id, glance: glanceOf(judged), picture: pictureOf(judged.survey), backOn }
}
const due = (plan: typeof boatAndBox, day?: string) => ({
  ...plan,
  job: { name: plan.job.name, ...(day === undefined ? {} : { due: day }) },
})
const ids = (cards: readonly BoardCard[]) => cards.map(({ id }) => id)
const odd: BoardCard = { ok: false, id: 'odd', reason: 'It is no plan.' }

describe('a board', () => {
  it('puts what cannot be read first, then what is overdue, then by day, then by name', () => {
    const cards = [
      card(due(ridgeTent)),
      card(due(boatAndBox, '2027-03-01')),
      card(due(hatchJob), '2026-10-01'),
      odd,
    ]
    expect(ids(ordered(cards, '2026-11-01'))).toEqual(['odd', hatchJob.id, boatAndBox.id, ridgeTent.id])
    // Not overdue yet, it is one day among the others.
    expect(ids(ordered(cards, '2026-09-01'))).toEqual(['odd', hatchJob.id, boatAndBox.id, ridgeTent.id])
    expect(ids(ordered([card(due(hatchJob), '2027-10-01'), ...cards.slice(0, 2)], '2026-09-01'))).toEqual([
      boatAndBox.id,
      hatchJob.id,
      ridgeTent.id,
    ])
  })

  it('finds jobs by any words of theirs, whatever their case and accents, and by verdict', () => {
    const cards = [...DEMO_PLANS.map((plan) => card(plan)), odd]
    const found = (words: string) => ids(filtered(cards, { words, verdict: 'any' }))
    expect(found('')).toHaveLength(cards.length)
    expect(found('BOX  bóat')).toContain(boatAndBox.id)
    expect(found('estate tent')).toEqual(['odd'])
    const stops = filtered(cards, { words: '', verdict: 'stop' })
    expect(stops.length).toBeGreaterThan(1)
    for (const each of stops) expect(!each.ok || each.glance.verdict === 'stop').toBe(true)
  })

  it('keeps a card small enough for five hundred of them', () => {
    const bytes = DEMO_PLANS.map((plan) => JSON.stringify(card(plan)).length)
    expect(Math.max(...bytes)).toBeLessThan(12_000)
  })
})
