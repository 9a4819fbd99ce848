import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import type { Plan } from '../plan/schema/plan'
import { review } from '../review/review'
import { everyPart, partsOf } from './every-part.testing'
import { survey } from './survey'

const ofLoads =
  'loadPath feet tieDowns noseUps standing sleepers lifts bending evenness footShares twists panes'
const ofPlaces = 'widths near swings panes wind'

const change =
  (edit: (plan: Plan) => Partial<Plan>) =>
  (plan: Plan): Plan => ({ ...plan, ...edit(plan) })

/** What each edit has worked out again; all else must be the very same. */
const EDITS: readonly (readonly [name: string, edit: (plan: Plan) => Plan, anew: string])[] = [
  ['the job gets another name', change(({ job }) => ({ job: { ...job, name: 'Another' } })), ''],
  [
    'a thing is moved',
    change(({ placements: [first, ...rest] }) => ({
      placements: [{ ...first!, xMm: first!.xMm + 5 }, ...rest],
    })),
    `things masses gates ${ofLoads} ${ofPlaces}`,
  ],
  [
    'a thing is turned',
    change(({ placements }) => ({
      placements: placements.map((each) => (each.id === 'long-box' ? { ...each, turn: 90 as const } : each)),
    })),
    `things masses gates spreads ${ofLoads} ${ofPlaces}`,
  ],
  [
    'a thing weighs more',
    change(({ gear: [first, ...rest] }) => ({
      gear: [{ ...first!, mass: { ...first!.mass, kg: first!.mass.kg + 1 } }, ...rest],
    })),
    `things masses gates spreads ${ofLoads} ${ofPlaces}`,
  ],
  [
    'the trail is steeper',
    change(({ use }) => ({ use: { ...use, trailPitchDeg: use.trailPitchDeg + 1 } })),
    'loadPath feet footShares',
  ],
  [
    'somebody is inside',
    change(({ use }) => ({
      use: {
        ...use,
        occupants: [...use.occupants, { id: 'one', name: 'One', mass: { kg: 80, basis: 'told' } }],
      },
    })),
    `masses ${ofLoads}`,
  ],
  [
    'the house wants more room between',
    change(({ rules }) => ({ rules: { ...rules, gapsMm: { ...rules.gapsMm, between: 35 } } })),
    'loadPath footShares tieDowns spreads widths near',
  ],
  [
    'guesses count with another margin',
    change(({ rules }) => ({ rules: { ...rules, guess: { school: 'margin', percent: 33 } } })),
    `masses spreads ${ofLoads}`,
  ],
  ['something is measured', change(() => ({ measurements: [] })), 'gates'],
  [
    'a door is put in its way',
    change(() => ({ clearances: [{ id: 'door', name: 'Door', heightMm: 2100 }] })),
    '',
  ],
  [
    'a bar is moved',
    change(({ racks }) => ({
      racks: racks.map((rack) =>
        rack.kind === 'ladder'
          ? rack
          : { ...rack, bars: rack.bars.map((bar) => ({ ...bar, xMm: bar.xMm + 5 })) },
      ),
    })),
    `racks masses gates spreads ${ofLoads} widths swings panes wind`,
  ],
]

describe('what an edit has worked out anew', () => {
  it.each(EDITS)('%s', (_, edit, anew) => {
    const before = survey(boatAndBox)
    const parts: Readonly<Record<string, unknown>> = partsOf(before)
    const plan = edit(boatAndBox)
    const after = survey(plan, before)
    const now: Readonly<Record<string, unknown>> = partsOf(after)
    const changed = Object.keys(parts).filter((name) => parts[name] !== now[name])
    expect(changed.toSorted()).toEqual([...new Set(anew.split(' '))].filter(Boolean).toSorted())
    const afresh = survey(plan)
    expect(everyPart(after)).toEqual(everyPart(afresh))
    expect(review(after)).toEqual(review(afresh))
  })

  it('leaves the masses of all that was not moved', () => {
    const before = survey(boatAndBox)
    // Only what was asked for can be taken over.
    const was = before.masses
    const [first, ...rest] = boatAndBox.placements
    const after = survey({ ...boatAndBox, placements: [{ ...first!, xMm: first!.xMm + 5 }, ...rest] }, before)
    const other = after.masses.filter((mass) =>
      'thing' in mass ? mass.thing.placement.id !== first!.id : mass.of === 'part',
    )
    expect(other.length).toBeGreaterThan(3)
    expect(other.filter((mass) => !was.includes(mass)).map(({ of }) => of)).toEqual([])
  })
})
