import { expect, it } from 'vitest'
import { assess, compatible, type Compatible, weightRoom } from '@/core/api/assess'
import { DEMO_PLANS } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { SHELF_GROUPS, shelfGroups } from './shelf-groups'

const { gear, adapters } = DEMO_STOCK

function groupsOf(name: string) {
  const plan = DEMO_PLANS.find(({ job }) => job.name === name)!
  const surveyed = assess(plan).survey
  const rackId = surveyed.racks[0]!.rack.id
  const answers = new Map<string, Compatible>(
    gear.map((each) => [each.id, compatible(surveyed, each, rackId, adapters, 'trial')]),
  )
  return { surveyed, rackId, answers, groups: shelfGroups(surveyed, gear, rackId, answers) }
}

it.each(['A boat and the long box', 'Ridge camp, tent for two', 'Two bikes on the hatchback'])(
  'has everything once, and nothing under what fits now that does not: %s',
  (name) => {
    const { surveyed, rackId, answers, groups } = groupsOf(name)
    const all = SHELF_GROUPS.flatMap((group) => groups[group].map(({ id }) => id))
    expect(all.toSorted()).toEqual(gear.map(({ id }) => id).toSorted())
    for (const each of groups.now) {
      expect(answers.get(each.id)?.kind).toBe('fits')
      expect(weightRoom(surveyed, each, rackId)?.leftKg).toBeGreaterThanOrEqual(-1e-6)
    }
    for (const each of groups.first) expect(answers.get(each.id)?.kind).not.toBe('cannot')
  },
)

it('puts nothing under what fits now where nothing more may be added, or no figure says', () => {
  expect(assess(DEMO_PLANS.find(({ job }) => job.name === 'A boat and the long box')!).review.verdict).toBe(
    'stop',
  )
  expect(groupsOf('A boat and the long box').groups.now).toEqual([])
  expect(groupsOf('Two bikes on the hatchback').groups.now).toEqual([])
})

it('has all of it still to be tried while no rack is there', () => {
  const { surveyed } = groupsOf('A boat and the long box')
  expect(shelfGroups(surveyed, gear, undefined, new Map()).untried).toHaveLength(gear.length)
})
