import { FIXES } from '../../remedies/fixes'
import { describe, expect, it } from 'vitest'
import { barsRack, own, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import { assess } from '../assess.testing'
import { apply } from '../../plan/commands/apply'
import { survey } from '../../survey/survey'
import { evenness } from './evenness'
import { run, sentences } from './findings.testing'

const ANY = { road: 900, trail: 900, parked: 900 }
const plan = (xMm: number, yMm = 0) =>
  planOf(
    vehicleWith(roofOf(ANY)),
    [barsRack({ bars: own('bars', ANY), feet: own('feet', { road: 80, trail: 80, parked: 200 }) })],
    [[thing('load', 60), { xMm, yMm }]],
  )

describe('an uneven load', () => {
  it('is minded when a foot bears more than its share of the set: 80 kg on four feet are 20 each', () => {
    // 60 kg at a quarter of the spread: 45 kg in front, 22.5 on each front foot.
    const found = run(evenness, plan(725))
    expect(found.map(({ severity, state }) => [state, severity])).toEqual([
      ['road', 'mind'],
      ['trail', 'mind'],
      ['parked', 'clear'],
    ])
    expect(found[0]?.measured?.value).toBeCloseTo(22.5, 9)
    expect(found[0]?.limit?.value).toBe(20)
    expect(sentences(evenness, plan(725))[0]).toContain('75 % in front and 25 % behind')
  })

  it('in the middle is clear, with what each foot has left', () => {
    expect(run(evenness, plan(950))[0]?.margin?.value).toBeCloseTo(5, 9)
  })

  it('is not asked where the house looks at totals only', () => {
    const now = plan(725)
    expect(run(evenness, { ...now, rules: { ...now.rules, uneven: 'totalOnly' } })).toEqual([])
  })

  it('offers moves that even it out, each of which does', () => {
    const assessment = assess(plan(725, 60), { parts: [] })
    const finding = assessment.review.findings.find(({ id }) => id === 'evenness part:rack-feet road')!
    const remedies = assessment.remedies(finding)
    expect(remedies.length).toBeGreaterThan(0)
    for (const { command } of remedies) {
      const applied = apply(plan(725, 60), command)
      expect(applied.ok && run(evenness, applied.plan)[0]?.severity).toBe('clear')
    }
  })

  it('offers two things to change places where that evens it', () => {
    const two = planOf(
      vehicleWith(roofOf(ANY)),
      [barsRack({ bars: own('bars', ANY), feet: own('feet', { road: 100 }) })],
      [
        [thing('heavy', 60, { lengthMm: 500 }), { xMm: 650 }],
        [thing('light', 5, { lengthMm: 500 }), { xMm: 1000 }],
      ],
    )
    const [finding] = run(evenness, two)
    const says = FIXES['evenness']!(survey(two), finding!, { parts: [] }).map(({ message }) =>
      message.join(''),
    )
    expect(finding?.severity).toBe('mind')
    expect(says.some((say) => say.includes('change places'))).toBe(true)
  })
})
