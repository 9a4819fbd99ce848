import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { wingBars } from '@/demo/racks'
import { patchBetween } from '../history/patch'
import type { Shelves } from './backup'
import { differingIn, restorePreview, staysUnasked } from './restoring'

const EMPTY: Shelves = { plans: {}, stock: {}, settings: {}, log: {}, pictures: {} }

describe('what restoring would change', () => {
  const here: Shelves = { ...EMPTY, plans: { a: boatAndBox, b: boatAndBox }, log: { only: 1 } }
  const backup: Shelves = {
    ...EMPTY,
    plans: { a: boatAndBox, b: { ...boatAndBox, note: 'other' }, c: { odd: true } },
  }

  it('is told entry by entry, and merging removes nothing', () => {
    const [plans, , , log] = restorePreview(here, backup, 'merge')
    expect(plans).toEqual({
      shelf: 'plans',
      added: ['c'],
      changed: ['b'],
      same: ['a'],
      removed: [],
      unreadable: ['c'],
    })
    expect(log?.removed).toEqual([])
    expect(restorePreview(here, backup, 'replace')[3]?.removed).toEqual(['only'])
  })

  it('is nothing for a backup of what is here', () => {
    for (const change of restorePreview(here, here, 'replace'))
      expect([change.added, change.changed, change.removed]).toEqual([[], [], []])
  })
})

describe('which of two is newer', () => {
  const named = (name: string) => ({ ...boatAndBox, job: { ...boatAndBox.job, name } })
  const [first, second, other] = [named('First'), named('Second'), named('Other')]
  const step = (after: object, before: object, at: string) => ({ at, back: patchBetween(after, before) })
  const [EARLY, LATE] = ['2026-03-01T10:00:00.000Z', '2026-03-02T10:00:00.000Z']
  const past = [step(first, boatAndBox, EARLY)]
  const on = [...past, step(second, first, LATE)]
  const outcomeOf = (here: object, own: typeof past, there: object, others: typeof past) => {
    const [mine, backup] = [
      { ...EMPTY, plans: { a: here } },
      { ...EMPTY, plans: { a: there } },
    ]
    const changes = restorePreview(mine, backup, 'merge')
    const [found] = differingIn(changes, mine, backup, { here: { a: own }, backup: { a: others } })
    return found && [found.name, found.standing, found.hereAt, found.thereAt, staysUnasked(found)]
  }

  it('an older backup of a job that was worked on since does not take its place', () =>
    expect(outcomeOf(second, on, first, past)).toEqual(['Second', 'older', LATE, EARLY, true]))
  it('a newer one does', () =>
    expect(outcomeOf(first, past, second, on)).toEqual(['First', 'newer', EARLY, LATE, false]))
  it('where each was changed apart, what is here stays unless it is said otherwise', () =>
    expect(outcomeOf(second, on, other, [...past, step(other, first, EARLY)])).toEqual([
      'Second',
      'apart',
      LATE,
      EARLY,
      true,
    ]))
  it('where nothing is known of either past, it is said, and what is here stays (S7)', () =>
    expect(outcomeOf(first, [], second, [])).toEqual(['First', 'other', undefined, undefined, true]))
  it('of what is no job, by its name; the log is never written over', () => {
    const here = { ...EMPTY, stock: { 'racks/a': wingBars }, log: { 'a/b': { note: 'x' } } }
    const backup = {
      ...EMPTY,
      stock: { 'racks/a': { ...wingBars, note: 'y' } },
      log: { 'a/b': { note: 'y' } },
    }
    const found = differingIn(restorePreview(here, backup, 'merge'), here, backup, { here: {}, backup: {} })
    expect(found.map((each) => [each.shelf, each.name, staysUnasked(each)])).toEqual([
      ['stock', wingBars.name, true],
      ['log', 'a/b', true],
    ])
  })
})
