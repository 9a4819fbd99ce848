import { describe, expect, it } from 'vitest'
import { boatAndBox, ridgeTent } from '@/demo/plans'
import { NOTHING_DONE } from '../../log/record'
import type { Fastener } from '../../plan/schema/fastening'
import { USUAL_BAY } from '../../plan/schema/house'
import type { Plan } from '../../plan/schema/plan'
import { barsOf, type Rack } from '../../plan/schema/rack'
import { phraseText } from '../../units/phrase'
import { survey } from '../../survey/survey'
import { partsCheck } from '../parts/parts-check'
import { torqueRows } from '../torque/torque-rows'
import { jobSteps } from './job-steps'
import { comingOff, fittedThings, gearJoints, rackJoints } from './joint-groups'

const BOLTS: Fastener = { thread: 'M8', count: 6, torqueNm: { from: 8, to: 8 } }

/** The first rack of a plan with its feet held by these fasteners. */
const heldBy = (plan: Plan, fasteners: Fastener[], change: (rack: Rack) => Rack = (rack) => rack): Plan => ({
  ...plan,
  racks: plan.racks.map((rack, i) =>
    i > 0
      ? rack
      : change({
          ...rack,
          parts: rack.parts.map((part) => (part.role === 'feet' ? { ...part, fasteners } : part)),
        }),
  ),
})
const groupsOf = (plan: Plan) => {
  const [rack] = survey(plan).racks
  if (!rack) throw new Error('The plan has a rack.')
  return rackJoints(rack, USUAL_BAY).filter(({ joint }) => joint.fastener.thread === 'M8')
}

describe('a joint at its own places', () => {
  it('is at those that its sheet names, and at the feet without any', () => {
    expect(groupsOf(heldBy(boatAndBox, [BOLTS]))[0]?.spots).toEqual(['LHF', 'RHF', 'LHR', 'RHR'])
    const two = { ...BOLTS, count: 2, places: [{ name: 'LHF' }, { name: 'RHR' }] }
    const [group] = groupsOf(heldBy(boatAndBox, [two]))
    expect(group?.spots).toEqual(['LHF', 'RHR'])
    expect(group?.perSpot).toBe(1)
    const uneven = {
      ...BOLTS,
      count: 8,
      places: [
        { name: 'LHF', count: 5 },
        { name: 'RHR', count: 3 },
      ],
    }
    expect(groupsOf(heldBy(boatAndBox, [uneven]))[0]).toMatchObject({ count: 8, perSpot: 4 })
    // They are those feet: the drawing finds them.
    expect([...(group?.at.keys() ?? [])]).toEqual(['LHF', 'RHR'])
  })

  it('of a thing that is no even share of its corners is along its sides: six are six places (B4)', () => {
    const spotsWith = (count: number) => {
      const plan: Plan = {
        ...boatAndBox,
        gear: boatAndBox.gear.map((gear) => ({ ...gear, fasteners: [{ ...BOLTS, count }] })),
      }
      const surveyed = survey(plan)
      const [thing] = fittedThings(surveyed)
      if (!thing) throw new Error('The job has a thing that is fitted with tools.')
      return gearJoints(surveyed, thing, USUAL_BAY)[0]?.spots ?? []
    }
    expect(spotsWith(6)).toEqual(['LHF', 'RHF', 'LHM', 'RHM', 'LHR', 'RHR'])
    expect(spotsWith(8)).toHaveLength(4)
  })

  it('is fitted, was on or comes off place by place', () => {
    const plan = heldBy(boatAndBox, [
      {
        ...BOLTS,
        count: 7,
        places: [
          { name: 'LHF', count: 2 },
          { name: 'RHF', count: 2, status: 'alreadyOn' },
          { name: 'LHR', count: 3, status: 'comesOff' },
        ],
      },
    ])
    expect(groupsOf(plan).map(({ spots, count, alreadyOn }) => [spots, count, alreadyOn])).toEqual([
      [['LHF'], 2, undefined],
      [['RHF'], 2, true],
    ])
    const order = jobSteps(survey(plan), USUAL_BAY)
    const titles = order.ok ? order.steps.map(({ title }) => title) : []
    expect(titles.filter((title) => /^Take off: .*3 at LHR$/.test(title))).toHaveLength(1)
    expect(titles.filter((title) => title.startsWith('Check what is on'))).toHaveLength(1)
    // Two are laid out: what is on is on, and what comes off is not bought.
    expect(partsCheck(survey(plan)).lines.find(({ what }) => what.startsWith('Bolt M8'))?.count).toBe(2)
  })

  it('has an even share of the bolts at a place whose sheet says no count', () => {
    const places = [{ name: 'LHF' }, { name: 'RHF' }, { name: 'LHR', status: 'comesOff' as const }]
    expect(comingOff({ ...BOLTS, count: 6, places })).toEqual({ names: ['LHR'], bolts: 2 })
  })

  it('of a thing that is on already is looked at, and not started', () => {
    const [thing] = fittedThings(survey(ridgeTent))
    if (!thing) throw new Error('The job has a tent.')
    const fasteners: Fastener[] = [
      {
        ...BOLTS,
        count: 4,
        places: [
          { name: 'Left', count: 2 },
          { name: 'Right', count: 2, status: 'alreadyOn' },
        ],
      },
    ]
    const plan = {
      ...ridgeTent,
      gear: ridgeTent.gear.map((gear) => (gear.id === thing.gear.id ? { ...gear, fasteners } : gear)),
    }
    const order = jobSteps(survey(plan), USUAL_BAY)
    const own = order.ok ? order.steps.filter(({ id }) => id.startsWith(`gear:${thing.placement.id}/`)) : []
    const set = own.find(({ task }) => task.kind === 'start')?.task
    expect(set?.kind === 'start' && set.groups.map(({ spots }) => spots)).toEqual([['Left']])
    expect(own.flatMap(({ task, title }) => (task.kind === 'torque' ? [title.split(':')[0]] : []))).toEqual([
      'Tighten',
      'Check what is on',
    ])
  })

  it('goes from side to side by where its places are', () => {
    const places = [
      { name: 'Panel, front left', xMm: 300, yMm: -600 },
      { name: 'Panel, rear left', xMm: 900, yMm: -600 },
      { name: 'Panel, front right', xMm: 300, yMm: 600 },
      { name: 'Panel, rear right', xMm: 900, yMm: 600 },
    ]
    const [group] = groupsOf(heldBy(boatAndBox, [{ ...BOLTS, count: 4, places }]))
    const last = Math.max(...(group?.pulls.map(({ pass }) => pass) ?? []))
    expect(group?.pulls.filter(({ pass }) => pass === last).map(({ at }) => at)).toEqual([
      'Panel, front left',
      'Panel, rear right',
      'Panel, front right',
      'Panel, rear left',
    ])
    expect(group?.at.get('Panel, rear left')).toEqual({ xMm: 900, yMm: -600 })
  })

  it('of a thing turns with it (B4)', () => {
    const surveyed = survey(ridgeTent)
    const [thing] = fittedThings(surveyed)
    if (!thing) throw new Error('A tent is fitted.')
    const places = [
      { name: 'Bracket 1', count: 3, xMm: -400, yMm: -200 },
      { name: 'Bracket 2', count: 3, xMm: 400, yMm: -200 },
    ]
    const turned = { ...thing, turn: 90 as const, gear: { ...thing.gear, fasteners: [{ ...BOLTS, places }] } }
    const [group] = gearJoints(surveyed, turned, USUAL_BAY)
    const { x0, x1, y0, y1 } = thing.box
    expect(group?.spots).toEqual(['Bracket 1', 'Bracket 2'])
    expect(group?.at.get('Bracket 1')).toEqual({ xMm: (x0 + x1) / 2 + 200, yMm: (y0 + y1) / 2 - 400 })
  })
})

describe('a bar that was on already (B9)', () => {
  const frontOn = (rack: Rack): Rack =>
    rack.kind === 'ladder'
      ? rack
      : { ...rack, bars: barsOf(rack).map((bar, i) => (i === 0 ? { ...bar, alreadyOn: true } : bar)) }
  const plan = heldBy(boatAndBox, [{ ...BOLTS, count: 4 }], frontOn)

  it('has its corners looked at, and not started', () => {
    expect(groupsOf(plan).map(({ spots, alreadyOn }) => [spots, alreadyOn])).toEqual([
      [['LHR', 'RHR'], undefined],
      [['LHF', 'RHF'], true],
    ])
    // Of four bolts two are at the bar that is fitted.
    expect(groupsOf(plan).map(({ count }) => count)).toEqual([2, 2])
    // What is tight already is tried once, and not drawn down in passes.
    expect(groupsOf(plan)[1]?.pulls.map(({ percent }) => percent)).toEqual([100, 100])
    const order = jobSteps(survey(plan), USUAL_BAY)
    if (!order.ok) throw new Error('Its steps have an order.')
    const check = order.steps.find(({ title }) => title.startsWith('Check what is on'))
    expect(check?.task.kind === 'torque' && check.task.group.spots).toEqual(['LHF', 'RHF'])
    const start = order.steps.find(({ task }) => task.kind === 'start')
    expect(start?.task.kind === 'start' && start.task.groups.some(({ alreadyOn }) => alreadyOn)).toBe(false)
    const built = order.steps.find(({ id }) => id.endsWith('/feet-on-bars'))
    expect(built && phraseText(built.detail)).not.toContain(barsOf(plan.racks[0] as Rack)[0]?.name)
  })

  it('stands on the sheet as not seen until somebody has looked', () => {
    const rows = torqueRows(survey(plan), USUAL_BAY, NOTHING_DONE).map(({ what, read }) => [
      what,
      phraseText(read),
    ])
    expect(rows.find(([what]) => what?.endsWith('already on'))?.[1]).toBe('LHF, RHF not seen: check')
  })
})

describe('the strength of a threadlocker', () => {
  it('says that there is threadlocker, whatever the house uses, and what is permanent says so', () => {
    const group = (fastener: Fastener) => groupsOf(heldBy(boatAndBox, [fastener]))[0]?.joint
    const joint = group({ ...BOLTS, threadlocker: 'permanent' })
    expect(joint?.locked).toBe(true)
    expect(joint?.security).toBe('permanent threadlocker, as the sheet asks')
    expect(group({ ...BOLTS, threadlocker: 'medium', security: 'none' })?.locked).toBe(false)
  })
})

describe('a mount that names its bolt (A3)', () => {
  it('fills the joint with thread, length, stack and washers, and leaves what the joint says itself', () => {
    const surveyed = survey(ridgeTent)
    const [thing] = fittedThings(surveyed)
    if (!thing) throw new Error('A tent is fitted.')
    const mount = {
      kind: 'channelBolt',
      slotMm: 10,
      headMm: 6,
      thread: 'M8',
      boltMm: 35,
      stackMm: 14,
      washers: ['plate', 'lock'],
    } as const
    const { fasteners: _, ...bare } = thing.gear
    const held = { ...bare, fit: { ...bare.fit, mount: { ...mount, washers: [...mount.washers] } } }
    const joint = (gear: typeof held & { fasteners?: Fastener[] }) =>
      gearJoints(surveyed, { ...thing, gear }, USUAL_BAY)[0]?.joint
    expect(joint(held)?.fastener).toMatchObject({ thread: 'M8', lengthMm: 35, stackMm: 14 })
    expect(joint(held)?.washers).toBe('plate washer, lock washer, from the head down')
    // The same sentence of its sheet is in the parts list too.
    const placed = { ...ridgeTent, gear: ridgeTent.gear.map((each) => (each.id === held.id ? held : each)) }
    const lines = partsCheck(survey(placed)).lines.filter(({ id }) =>
      id.startsWith(`${held.id}/channel-bolts`),
    )
    expect(lines.map(({ what, count }) => [what, count / (lines[0]?.count ?? 1)])).toEqual([
      ['Channel bolt and nut M8 × 35', 1],
      ['Plate washer M8', 1],
      ['Lock washer M8', 1],
    ])
    const own = joint({ ...held, fasteners: [{ thread: 'M8', count: 4, lengthMm: 40 }] })
    expect(own?.fastener).toMatchObject({ lengthMm: 40, stackMm: 14, washers: ['plate', 'lock'] })
    // A joint of another thread is another joint.
    expect(joint({ ...held, fasteners: [{ thread: 'M6', count: 4 }] })?.fastener.lengthMm).toBeUndefined()
  })
})
