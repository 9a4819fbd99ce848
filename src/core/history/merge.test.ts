import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { runs } from '@/core/runs.testing'
import { apply } from '../plan/commands/apply'
import type { Command } from '../plan/commands/command'
import { commandFrom, recipes } from '../plan/commands.testing'
import { clashWords, mergeItems, mergePlans, placeWords } from './merge'
import { gearSchema } from '../plan/schema/gear'
import type { Plan } from '../plan/schema/plan'
import { edited as after } from '../plan/plans.testing'

const move = (placementId: string, xMm: number): Command => ({ do: 'move', placementId, xMm, yMm: -220 })
const named = (name: string): Command => ({ do: 'setJob', job: { ...boatAndBox.job, name } })
const merged = (mine: Plan, theirs: Plan): Plan => {
  const done = mergePlans(boatAndBox, mine, theirs)
  if (!done.ok) throw new Error(done.reason)
  return done.plan
}

/** Who edits what, and what stands after: both where they touch different things, a question where they touch the same. */
const TABLE: readonly (readonly [string, readonly Command[], readonly Command[], 'both' | 'asks'])[] = [
  ['a thing here, the job there', [move('long-box', 700)], [named('Renamed')], 'both'],
  [
    'two things',
    [move('long-box', 700)],
    [{ do: 'setWhen', placementId: 'cradles', when: 'driving' }],
    'both',
  ],
  [
    'one thing’s place and its when',
    [move('long-box', 700)],
    [{ do: 'setWhen', placementId: 'long-box', when: 'parked' }],
    'both',
  ],
  ['the same thing to the same place', [move('long-box', 700)], [move('long-box', 700)], 'both'],
  ['the same thing to two places', [move('long-box', 700)], [move('long-box', 800)], 'asks'],
  [
    'one moves it, one takes it off',
    [move('long-box', 700)],
    [{ do: 'takeOff', placementId: 'long-box' }],
    'asks',
  ],
  [
    'one takes off what carries what the other moves',
    [{ do: 'move', placementId: 'sea-boat', xMm: 10, yMm: 0 }],
    [{ do: 'takeOff', placementId: 'cradles' }],
    'asks',
  ],
  [
    'two bars',
    [{ do: 'moveBar', barId: 'wing-front', xMm: 500 }],
    [{ do: 'moveBar', barId: 'wing-rear', xMm: 1300 }],
    'both',
  ],
  ['nothing here', [], [named('Renamed'), move('long-box', 650)], 'both'],
]

/** A value whose lists of things with ids are sorted by them. */
function inOneOrder(value: unknown): unknown {
  if (Array.isArray(value)) {
    const list = value.map(inOneOrder)
    const idOf = (each: unknown) => JSON.stringify((each as { readonly id?: unknown } | null)?.id ?? '')
    return list.every((each) => typeof each === 'object' && each !== null && 'id' in each)
      ? list.toSorted((a, b) => (idOf(a) < idOf(b) ? -1 : 1))
      : list
  }
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, inOneOrder(each)]))
}

describe('two that edit one job at once', () => {
  it.each(TABLE)('%s: %s', (_, here, there, outcome) => {
    const [mine, theirs] = [after(boatAndBox, ...here), after(boatAndBox, ...there)]
    const done = mergePlans(boatAndBox, mine, theirs)
    expect(done.ok ? 'both' : 'asks').toBe(outcome)
    // The other way round it is the same answer.
    expect(mergePlans(boatAndBox, theirs, mine).ok).toBe(done.ok)
    if (done.ok) expect(done.plan).toEqual(after(boatAndBox, ...there, ...here))
  })

  it('are told what both set, by its name', () => {
    const done = mergePlans(
      boatAndBox,
      after(boatAndBox, move('long-box', 700)),
      after(boatAndBox, move('long-box', 800)),
    )
    expect(done.ok ? [] : done.clashes.map((clash) => clashWords(boatAndBox, clash))).toEqual([
      'Long box: its place along the vehicle',
    ])
    expect(done.ok ? [] : done.clashes).toEqual([{ path: 'placements.long-box.xMm', mine: 700, theirs: 800 }])
  })

  it('who change nothing change nothing', () => {
    expect(merged(boatAndBox, boatAndBox)).toEqual(boatAndBox)
    const mine = after(boatAndBox, move('long-box', 700))
    expect(merged(mine, boatAndBox)).toEqual(mine)
    expect(merged(boatAndBox, mine)).toEqual(mine)
  })

  it('lose nothing of either where it is not asked: any edit beside any other', () => {
    let both = 0
    fc.assert(
      fc.property(recipes, recipes, ([here = []], [there = []]) => {
        const [mine, theirs] = [here, there].map((each) => apply(boatAndBox, commandFrom(boatAndBox, each)))
        if (!mine || !theirs) return
        if (!mine.ok || !theirs.ok) return
        const done = mergePlans(boatAndBox, mine.plan, theirs.plan)
        if (!done.ok) return
        both += 1
        // The other way round it is the same plan, but for the order of its lists.
        const other = mergePlans(boatAndBox, theirs.plan, mine.plan)
        expect(other.ok && inOneOrder(other.plan)).toEqual(inOneOrder(done.plan))
        // Merging again with either brings nothing new: all of both is in it.
        for (const one of [mine.plan, theirs.plan]) {
          const again = mergePlans(boatAndBox, one, done.plan)
          expect(again.ok && again.plan).toEqual(done.plan)
        }
      }),
      { numRuns: Math.max(runs(5000), 200) },
    )
    expect(both).toBeGreaterThan(5)
  })
})

describe('one entry that two have changed', () => {
  const base = boatAndBox.gear[0]!
  const heavier = { ...base, mass: { ...base.mass, kg: base.mass.kg + 2 } }

  it('keeps what each set', () =>
    expect(mergeItems(gearSchema, base, { ...base, name: 'Mine' }, heavier)).toEqual({
      ok: true,
      item: { ...heavier, name: 'Mine' },
    }))

  it('asks where both set the same, by name, and puts mine there and nowhere else once that is said', () => {
    const mine = { ...base, mass: { ...base.mass, kg: base.mass.kg + 5 }, typed: { mass: 'mine' } }
    const theirs = { ...heavier, name: 'Theirs', typed: { mass: 'theirs' } }
    const asked = mergeItems(gearSchema, base, mine, theirs)
    expect(!asked.ok && asked.clashes.map(placeWords)).toEqual(['its weight: kg'])
    expect(mergeItems(gearSchema, base, mine, theirs, 'mine')).toEqual({
      ok: true,
      item: { ...mine, name: 'Theirs' },
    })
  })
})
