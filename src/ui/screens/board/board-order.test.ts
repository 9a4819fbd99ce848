import { describe, expect, it } from 'vitest'
import { jobSummaryOf, assess, type WorkState } from '@/core/api/assess'
import { boatAndBox, DEMO_PLANS, hatchJob, ridgeTent } from '@/demo/plans'
import { pictureOf } from '@/drawing/side-marks'
import type { BoardCard } from '@/workers/board-messages'
import { type BoardFilter, customersOf, dueBy, filtered, ordered, WHOLE_BOARD } from './board-order'

const card = (
  plan: (typeof DEMO_PLANS)[number],
  backOn?: string,
  work: WorkState = backOn === undefined ? 'planned' : 'handedOver',
) => {
  const assessment = assess(plan)
  const picture = pictureOf(assessment.survey)
  return { ok: true, id: plan.id, summary: jobSummaryOf(assessment), picture, work, backOn } as const
}
const NONE: ReadonlySet<string> = new Set()
const DAY = '2026-11-01'
const asked = (
  cards: readonly BoardCard[],
  filter: Partial<BoardFilter>,
  archived: ReadonlySet<string> = NONE,
) => filtered(cards, { ...WHOLE_BOARD, ...filter }, archived, DAY)
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
    const found = (words: string) => ids(asked(cards, { words }))
    expect(found('')).toHaveLength(cards.length)
    expect(found('BOX  bóat')).toContain(boatAndBox.id)
    expect(found('estate tent')).toEqual(['odd'])
    const stops = asked(cards, { verdict: 'stop' })
    expect(stops.length).toBeGreaterThan(1)
    for (const each of stops) expect(!each.ok || each.summary.verdict === 'stop').toBe(true)
  })

  it('calls a job overdue by its own day until it is done, and by its car’s after', () => {
    const on = due(boatAndBox, '2026-10-20')
    expect(dueBy(card(on), DAY)).toBe('overdue')
    expect(dueBy(card(on, undefined, 'begun'), DAY)).toBe('overdue')
    expect(dueBy(card(on, undefined, 'handedOver'), DAY)).toBe('none')
    expect(dueBy(card(on, '2026-10-31', 'handedOver'), DAY)).toBe('overdue')
    expect(dueBy(card(on, '2026-11-01', 'fitted'), DAY)).toBe('week')
    expect(dueBy(card(due(boatAndBox, '2026-11-08')), DAY)).toBe('week')
    expect(dueBy(card(due(boatAndBox, '2026-11-09')), DAY)).toBe('later')
    expect(dueBy(card(due(boatAndBox)), DAY)).toBe('none')
    // Done, and nothing to come back for: it stands behind what is still to be done.
    const cards = [card(on, undefined, 'handedOver'), card(due(hatchJob, '2027-05-01'))]
    expect(ids(ordered(cards, DAY))).toEqual([hatchJob.id, boatAndBox.id])
  })

  it('shows what has the work, the day and the customer asked for, and the archive apart', () => {
    const cards = [
      card(due(boatAndBox, '2026-10-20')),
      card(due(ridgeTent), undefined, 'begun'),
      card({ ...hatchJob, job: { name: 'Hatch', customer: 'Mo' } }, '2027-01-01', 'fitted'),
      odd,
    ]
    expect(ids(asked(cards, { work: 'begun' }))).toEqual([ridgeTent.id, 'odd'])
    expect(ids(asked(cards, { due: 'overdue' }))).toEqual([boatAndBox.id, 'odd'])
    expect(ids(asked(cards, { due: 'later' }))).toEqual([hatchJob.id, 'odd'])
    expect(ids(asked(cards, { customer: 'Mo' }))).toEqual([hatchJob.id, 'odd'])
    expect(customersOf(cards)).toContain('Mo')
    const away = new Set([hatchJob.id])
    expect(ids(asked(cards, {}, away))).toEqual([boatAndBox.id, ridgeTent.id, 'odd'])
    expect(ids(asked(cards, { archive: true }, away))).toEqual([hatchJob.id])
  })

  it('keeps a card small enough for five hundred of them', () => {
    const bytes = DEMO_PLANS.map((plan) => JSON.stringify(card(plan)).length)
    expect(Math.max(...bytes)).toBeLessThan(12_000)
  })
})
