import { describe, expect, it } from 'vitest'
import { barsRack, planOf, roofOf, thing, vehicleWith } from '../../plan/plans.testing'
import type { Placement } from '../../plan/schema/placement'
import type { Plan } from '../../plan/schema/plan'
import { LOCAL_RULES } from '../../plan/schema/local-rules'
import { survey } from '../../survey/survey'
import { assess } from '../assess.testing'
import { lines } from './lines'
import { noseUp } from './nose-up'
import { loadOverhang } from './load-overhang'
import { supportSpan } from './support-span'
import { run, sentences } from './findings.testing'

const FT = 304.8
const boat = (lengthMm: number, at: Partial<Placement> = {}, localRules?: string): Plan => {
  const plan = planOf(
    vehicleWith([]),
    [barsRack({})],
    [[thing('Boat', 24, { shape: 'hull', lengthMm, widthMm: 500 }), at]],
  )
  return localRules === undefined ? plan : { ...plan, rules: { ...plan.rules, localRules } }
}
/** A boat whose rear end stands so far behind the vehicle's. */
const behind = (byMm: number, rules?: string) => {
  const { tailXMm } = survey(boat(5000)).body
  return boat(5000, { xMm: tailXMm + byMm - 2500 }, rules)
}
const rearOf = (plan: Plan) => run(loadOverhang, plan).find(({ id }) => id === 'load-overhang rear')

describe('past the vehicle', () => {
  it('asks for the local rules once any rule kept here would ask for something', () => {
    expect(rearOf(behind(900))).toMatchObject({ severity: 'clear' })
    expect(rearOf(behind(1100))).toMatchObject({ severity: 'findOut' })
  })
  it('by the United States’ rule is to be flagged beyond 4 ft behind (published: 49 CFR 393.87, memory)', () => {
    expect(rearOf(behind(4 * FT, 'us-federal'))).toMatchObject({ severity: 'clear' })
    const beyond = rearOf(behind(4 * FT + 1, 'us-federal'))
    expect(beyond?.severity).toBe('mind')
    expect(sentences(loadOverhang, behind(4 * FT + 1, 'us-federal')).join(' ')).toMatch(
      /18 in square.*Check your local rules/,
    )
  })
  it('and beyond 4 in at a side', () => {
    const half = vehicleWith([]).widthMm / 2
    const aside = (byMm: number) => boat(2000, { yMm: half + byMm - 250 }, 'us-federal')
    const side = (plan: Plan) => run(loadOverhang, plan).find(({ id }) => id === 'load-overhang side')
    expect(side(aside(4 * 25.4))?.severity).toBe('clear')
    expect(side(aside(4 * 25.4 + 1))?.severity).toBe('mind')
  })
  it('stops where the rules chosen allow no more, and moves just within', () => {
    const far = behind(1600, 'de')
    expect(rearOf(far)).toMatchObject({ severity: 'stop', limit: { value: 1500 } })
    const assessment = assess(far, { parts: [] })
    const remedies = assessment.remedies(
      assessment.review.findings.find(({ id }) => id === 'load-overhang rear')!,
    )
    // Moved just within, it is still to be marked: what leaves nothing to mind, taking it off, comes before.
    expect(remedies.map(({ command, minds }) => [command.do, minds])).toEqual([
      ['takeOff', undefined],
      ['move', 'load-overhang'],
    ])
  })
  it('keeps each set of rules with its source and the word that it is from memory', () => {
    for (const { source, place } of LOCAL_RULES) {
      expect(source).toContain('memory')
      expect(place.length).toBeGreaterThan(3)
    }
  })
})

describe('span and lines', () => {
  it('a long load wants a third of its length between its bars, or lines at both ends (common practice, no source)', () => {
    // Bars 900 apart.
    expect(run(supportSpan, boat(2700))).toMatchObject([{ severity: 'clear', limit: { value: 900 } }])
    expect(run(supportSpan, boat(2730))).toMatchObject([{ severity: 'mind', margin: { value: -10 } }])
    expect(run(supportSpan, boat(2730, { lines: { bow: true, stern: true } }))).toMatchObject([
      { severity: 'clear' },
    ])
    expect(run(supportSpan, boat(2390))).toEqual([])
  })
  it('asks for the line that is missing, and plans both', () => {
    expect(sentences(lines, boat(5000))).toEqual(['Boat: plan bow and stern lines.'])
    expect(sentences(lines, boat(5000, { lines: { bow: true, stern: false } }))).toEqual([
      'Boat: plan stern line.',
    ])
    const assessment = assess(boat(5000), { parts: [] })
    const [first] = assessment.remedies(assessment.review.findings.find(({ rule }) => rule === 'lines')!)
    expect(first?.command).toEqual({ do: 'setLines', placementId: 'Boat', lines: { bow: true, stern: true } })
  })
})

describe('the nose of a long load', () => {
  const boat = (kmH: number, bow: boolean) => {
    const now = planOf(
      vehicleWith(roofOf({ road: 500 })),
      [barsRack({})],
      [
        [
          thing('boat', 25, { shape: 'hull', lengthMm: 5000, widthMm: 600 }),
          { xMm: 900, lines: { bow, stern: false } },
        ],
      ],
    )
    return { ...now, use: { ...now.use, roadKmH: kmH } }
  }

  it('wants a bow line once wind and a bump may lift it, and is content with one', () => {
    expect(run(noseUp, boat(20, false))[0]?.severity).toBe('clear')
    expect(run(noseUp, boat(130, false))[0]?.severity).toBe('mind')
    expect(run(noseUp, boat(130, true))[0]?.severity).toBe('clear')
  })
})
