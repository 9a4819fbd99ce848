import { reviewReportSchema } from '@/core/api/files'
import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { answerTo } from './review-answer'

const review = (plan: unknown, fixes: boolean) => {
  const { status, body } = answerTo({ text: JSON.stringify(plan), fixes })
  expect(status).toBe(200)
  return reviewReportSchema.parse(JSON.parse(body))
}

describe('what is answered to a plan', () => {
  it('is its review, with what would clear each finding only where that was asked for', () => {
    const report = review(boatAndBox, true)
    expect(report.states.road.verdict).toBe('stop')
    expect(report.findings[0]?.remedies[0]?.command.do).toBe('setLoad')
    const plain = review(boatAndBox, false)
    expect(plain.findings.flatMap(({ remedies }) => remedies)).toEqual([])
    expect(plain.states).toEqual(report.states)
  })

  it('names the fields that are wrong, twenty at most, and says how many more there are', () => {
    const wrong = answerTo({
      text: JSON.stringify({ ...boatAndBox, vehicle: { ...boatAndBox.vehicle, heightMm: null } }),
      fixes: false,
    })
    expect(wrong.status).toBe(400)
    expect(JSON.parse(wrong.body)).toMatchObject({ problems: [{ path: 'vehicle.heightMm' }] })
    for (const text of ['', '{', '[]']) expect(answerTo({ text, fixes: false }).status).toBe(400)
    const gear = Array.from({ length: 50 }, (_, i) => ({ ...boatAndBox.gear[0], id: `g${i}`, name: 7 }))
    const many = JSON.parse(
      answerTo({ text: JSON.stringify({ ...boatAndBox, gear }), fixes: false }).body,
    ) as {
      problems: unknown[]
      more: number
    }
    expect(many.problems).toHaveLength(20)
    expect(many.more).toBeGreaterThanOrEqual(30)
  })
})
