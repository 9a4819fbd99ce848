import { describe, expect, it } from 'vitest'
import { barsRack, planOf, RAILS, vehicleWith } from '../../plan/plans.testing'
import type { Kit, Part } from '../../plan/schema/rack'
import type { Plan } from '../../plan/schema/plan'
import type { Vehicle } from '../../plan/schema/vehicle'
import { assess } from '../assess.testing'
import { kitFit } from './kit-fit'
import { run, sentences } from './findings.testing'

const plan = (kit: Kit, vehicle: Partial<Vehicle> = {}, rest: Partial<Part> = {}): Plan => {
  const rack = barsRack({})
  return planOf({ ...vehicleWith([]), ...vehicle }, [
    { ...rack, parts: rack.parts.map((part) => (part.role === 'feet' ? { ...part, kit, ...rest } : part)) },
  ])
}
const verdicts = (kit: Kit, vehicle?: Partial<Vehicle>) =>
  run(kitFit, plan(kit, vehicle)).map(({ severity }) => severity)

describe('kits', () => {
  it('fit their years, doors and trim, are refused outside them, and ask where the vehicle is silent', () => {
    const kit: Kit = { years: { from: 2018, to: 2022 }, doors: [5], trims: ['Shoreline'] }
    expect(verdicts(kit, { years: { from: 2019, to: 2021 }, doors: 5, trim: 'shoreline' })).toEqual(['clear'])
    expect(verdicts(kit, { years: { from: 2017 }, doors: 3, trim: 'Base' })).toEqual(['stop', 'stop', 'stop'])
    expect(verdicts(kit)).toEqual(['findOut', 'findOut', 'findOut'])
    expect(sentences(kitFit, plan(kit, { years: { from: 2024 }, doors: 5, trim: 'Shoreline' }))).toEqual([
      'Feet: for 2018 to 2022; the vehicle is of 2024 on.',
    ])
  })
  it('are refused where the vehicle has what they must not meet, and ask where nobody has looked (B11c)', () => {
    const kit: Kit = { mustNotHave: ['roof window'] }
    expect(verdicts(kit, { facts: [{ what: 'Roof window', has: true }] })).toEqual(['stop'])
    expect(verdicts(kit, { facts: [{ what: 'roof window', has: false }] })).toEqual(['clear'])
    expect(verdicts(kit)).toEqual(['findOut'])
  })
  it('are fitted in the hole or slot for the trim, and refused in another one', () => {
    const kit: Kit = {
      settings: [
        { setting: 'Upper holes', trim: 'Generation A' },
        { setting: 'Long slot', trim: 'Generation B' },
      ],
    }
    const said = (setting: string | undefined, trim?: string) =>
      run(
        kitFit,
        plan(kit, trim === undefined ? {} : { trim }, setting === undefined ? {} : { setting }),
      ).map(({ severity }) => severity)
    expect(said('long slot', 'generation B')).toEqual(['clear'])
    expect(said('Upper holes', 'Generation B')).toEqual(['stop'])
    expect(said(undefined, 'Generation B')).toEqual(['mind'])
    expect(said('Long slot', 'Generation C')).toEqual(['stop'])
    expect(said('Long slot')).toEqual(['findOut'])
    expect(sentences(kitFit, plan(kit, { trim: 'Generation B' }, { setting: 'Upper holes' }))).toEqual([
      'Feet: fitted in its Upper holes; for a vehicle that is Generation B it is its Long slot.',
    ])
  })
  it('are refused on another body or attachment than theirs', () => {
    expect(verdicts({ bodies: ['saloon'] })).toEqual(['stop'])
    expect(run(kitFit, plan({}, {}, { suits: ['gutter'] })).map(({ severity }) => severity)).toEqual(['stop'])
  })
  it('take a rail of their shape, or only with an adapter that is on the rack', () => {
    const rail = (shape?: string): Partial<Vehicle> => ({
      attachments: [{ ...RAILS, ...(shape === undefined ? {} : { shape }) }],
    })
    const kit: Kit = { railShapes: [{ shape: 'round' }, { shape: 'flat', adapter: 'Flat-rail pads' }] }
    expect(verdicts(kit, rail('round'))).toEqual(['clear'])
    expect(verdicts(kit, rail('oval'))).toEqual(['stop'])
    expect(verdicts(kit, rail())).toEqual(['findOut'])
    const flat = plan(kit, rail('flat'))
    expect(run(kitFit, flat).map(({ severity }) => severity)).toEqual(['stop'])
    const rack = flat.racks[0]!
    const pads = { ...rack.parts[0]!, id: 'pads', role: 'fitKit' as const, name: 'Flat-rail pads' }
    expect(
      run(kitFit, { ...flat, racks: [{ ...rack, parts: [...rack.parts, pads] }] }).map(
        ({ severity }) => severity,
      ),
    ).toEqual(['clear'])
  })
  it('say what they need besides, what must be drilled and what cannot be undone', () => {
    const kit: Kit = {
      needs: ['another bumper'],
      drills: { holes: 4, reversible: false },
      cannotUndo: 'the liner is cut',
      removableTop: 'stays',
    }
    expect(verdicts(kit)).toEqual(['findOut', 'mind', 'mind', 'mind'])
    expect(verdicts(kit, { facts: [{ what: 'Another bumper', has: false }] })[0]).toBe('stop')
    expect(verdicts(kit, { facts: [{ what: 'Another bumper', has: true }] })).toEqual([
      'mind',
      'mind',
      'mind',
    ])
  })
  it('are mended by a part from stock that is made for it', () => {
    const given = plan({ years: { from: 2022 } }, { years: { from: 2018 } })
    const feet = given.racks[0]!.parts[1]!
    const other: Part = {
      ...feet,
      id: 'other',
      name: 'Older feet',
      suits: ['raisedRail'],
      kit: { years: { from: 2015, to: 2021 } },
    }
    const wrong: Part = { ...other, id: 'wrong', name: 'Gutter feet', suits: ['gutter'] }
    const assessment = assess(
      { ...given, vehicle: { ...given.vehicle, years: { from: 2018, to: 2018 } } },
      { parts: [wrong, other] },
    )
    const stop = assessment.review.findings.find(({ rule }) => rule === 'kit-fit')
    expect(assessment.remedies(stop!).map(({ command }) => command)).toMatchObject([
      { do: 'swapPart', part: { name: 'Older feet' } },
    ])
  })
})
