import { expect, it } from 'vitest'
import { ridgeTent } from '@/demo/plans'
import type { Plan } from '../../plan/schema/plan'
import { run, sentences } from './findings.testing'
import { halfKnownCheck } from './half-known'

const [tent] = ridgeTent.gear.filter(({ opens }) => opens !== undefined)
const { opens: _, ...closed } = tent!
const withTent = (thing: Plan['gear'][number]): Plan => ({
  ...ridgeTent,
  gear: ridgeTent.gear.map((each) => (each.id === thing.id ? thing : each)),
})

it('asks for what was entered only in part, at its field', () => {
  const half = withTent({ ...closed, typed: { 'opens.reachMm': '1200 mm', 'opens.toward': 'left' } })
  expect(run(halfKnownCheck, half)).toMatchObject([
    { severity: 'findOut', ask: { target: { open: 'gear', gearId: tent!.id, at: 'opens' } } },
  ])
  expect(sentences(halfKnownCheck, half)).toEqual([
    `${tent!.name}: how it opens was entered only in part and is not used. Complete it on its sheet, or empty it.`,
  ])
})

it('says nothing of a text of what is whole, nor of gear that is not on the plan', () => {
  expect(run(halfKnownCheck, withTent({ ...tent!, typed: { 'opens.reachMm': '1200 mm' } }))).toEqual([])
  const half = withTent({ ...closed, typed: { 'opens.reachMm': '1200 mm' } })
  expect(run(halfKnownCheck, { ...half, placements: [] })).toEqual([])
})

it('is a Mind where no path, mount, gate or step hangs on it', () => {
  const { vehicle } = ridgeTent
  const { centreOfGravity: _, ...rest } = vehicle
  const half: Plan = {
    ...ridgeTent,
    vehicle: { ...rest, typed: { ...rest.typed, 'centreOfGravity.heightMm': '690 mm' } },
  }
  expect(run(halfKnownCheck, half).map(({ severity }) => severity)).toEqual(['mind'])
})
