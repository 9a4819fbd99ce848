import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boatAndBox, DEMO_PLANS, frameJob, hatchJob, ridgeTent, twinSpan, yardVan } from '@/demo/plans'
import { phraseText } from '../../units/phrase'
import type { Plan } from '../../plan/schema/plan'
import type { Part } from '../../plan/schema/rack'
import type { WorkStep } from '../../plan/schema/work'
import { USUAL_BAY } from '../../plan/schema/house'
import { survey } from '../../survey/survey'
import { barChannels } from '../channel/channel'
import { partsCheck } from '../parts/parts-check'
import { estimate } from './estimate'
import { NOTHING_DONE } from '../../log/record'
import { stepFindings } from '../step-findings'
import { stepChoices } from './brought-steps'
import { jobSteps } from './job-steps'
import { inOrder, type Ordered } from './order'
import { schedule, type Timed } from './schedule'
import type { Step } from './step'
import { runs } from '@/core/runs.testing'

/** The tent's job with a step of its own on the first part of its rack. */
const withOwnStep = (step: WorkStep): Plan => ({
  ...ridgeTent,
  racks: ridgeTent.racks.map((rack) => ({
    ...rack,
    parts: rack.parts.map((part, i) => (i === 0 ? { ...part, work: { ...part.work, steps: [step] } } : part)),
  })),
})

const node = (id: string, ...after: string[]): Ordered => ({ id, title: id.toUpperCase(), after })

/** Lists whose edges only go to earlier numbers, then shuffled: always free of circles. */
const graphs = fc
  .integer({ min: 1, max: 24 })
  .chain((size) =>
    fc.tuple(
      fc.array(fc.array(fc.nat(30), { maxLength: 4 }), { minLength: size, maxLength: size }),
      fc.array(fc.integer(), { minLength: size, maxLength: size }),
    ),
  )
  .map(([edges, keys]) => {
    const nodes = edges.map((list, i) =>
      node(`n${i}`, ...(i === 0 ? [] : list.map((each) => `n${each % i}`))),
    )
    return nodes
      .map((each, i) => ({ each, key: keys[i] ?? 0 }))
      .sort((a, b) => a.key - b.key)
      .map(({ each }) => each)
  })

describe('the order of steps', () => {
  it('respects every edge of random graphs, takes each step once, and keeps the given order where it may', () => {
    fc.assert(
      fc.property(graphs, (list) => {
        const order = inOrder(list)
        if (!order.ok) throw new Error(order.reason)
        const at = new Map(order.steps.map(({ id }, i) => [id, i]))
        expect(at.size).toBe(list.length)
        for (const { id, after } of list)
          for (const before of after) expect(at.get(before)!).toBeLessThan(at.get(id)!)
        const again = inOrder(order.steps)
        expect(again.ok && again.steps).toEqual(order.steps)
      }),
      { numRuns: runs(1000) },
    )
  })

  it('is the given order where nothing waits', () => {
    const list = ['c', 'a', 'b'].map((id) => node(id))
    expect(inOrder(list)).toEqual({ ok: true, steps: list })
  })

  it('names the steps of a circle, and only those', () => {
    const order = inOrder([
      node('start'),
      node('a', 'c', 'start'),
      node('b', 'a'),
      node('c', 'b'),
      node('end', 'c'),
    ])
    expect(order).toMatchObject({ ok: false })
    if (order.ok) return
    expect([...order.steps].sort()).toEqual(['a', 'b', 'c'])
    expect(order.reason).toContain('“A”')
    expect(order.reason).not.toContain('END')
  })

  it('says which step waits for one that is not there, and which name is used twice', () => {
    expect(inOrder([node('a', 'ghost')])).toMatchObject({
      ok: false,
      reason: expect.stringContaining('ghost') as string,
    })
    expect(inOrder([node('a'), node('a')])).toMatchObject({ ok: false, steps: ['a'] })
  })
})

const timed = graphs.chain((list) =>
  fc
    .array(
      fc.tuple(
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 0, max: 40 }),
        fc.constantFrom(1 as const, 2 as const),
      ),
      {
        minLength: list.length,
        maxLength: list.length,
      },
    )
    .map((times) => {
      const order = inOrder(list)
      return (order.ok ? order.steps : []).map((each, i): Timed => {
        const [from = 1, waitMinutes = 0, hands = 1 as const] = times[i] ?? []
        return { ...each, minutes: { from, to: from * 2 }, waitMinutes, hands }
      })
    }),
)

describe('the schedule', () => {
  it('begins nothing before what it waits for, and never uses more hands than there are', () => {
    fc.assert(
      fc.property(timed, fc.constantFrom(1 as const, 2 as const), (steps, fitters) => {
        const { steps: at, minutes, critical } = schedule(steps, fitters, 'from')
        const byId = new Map(at.map((each) => [each.id, each]))
        const edges = at.flatMap(({ fromMin, toMin }) => [fromMin, toMin])
        for (const step of steps)
          for (const before of step.after)
            expect(byId.get(step.id)!.fromMin).toBeGreaterThanOrEqual(byId.get(before)!.readyMin)
        for (const time of edges) {
          const busy = steps
            .filter(({ id }) => byId.get(id)!.fromMin <= time && time < byId.get(id)!.toMin)
            .reduce((so, { hands }) => so + Math.min(hands, fitters), 0)
          expect(busy).toBeLessThanOrEqual(fitters)
        }
        expect(minutes).toBe(Math.max(...at.map(({ readyMin }) => readyMin)))
        expect(byId.get(critical.at(-1)!)?.readyMin).toBe(minutes)
        expect(byId.get(critical[0]!)?.fromMin).toBe(0)
      }),
      { numRuns: runs(400) },
    )
  })

  it('lets waiting run beside other work, and two share what one does alone', () => {
    const step = (id: string, min: number, wait: number, ...after: string[]): Timed => ({
      ...node(id, ...after),
      minutes: { from: min, to: min },
      waitMinutes: wait,
      hands: 1,
    })
    const steps = [
      step('seal', 5, 60),
      step('bars', 30, 0),
      step('feet', 20, 0),
      step('mount', 10, 0, 'seal', 'bars'),
    ]
    expect(schedule(steps, 1, 'from').minutes).toBe(75)
    expect(schedule(steps.slice(1, 3), 1, 'from').minutes).toBe(50)
    expect(schedule(steps.slice(1, 3), 2, 'from').minutes).toBe(30)
    expect(schedule(steps, 1, 'from').critical).toEqual(['seal', 'mount'])
  })
})

const stepsOf = (plan: Plan): readonly Step[] => {
  const order = jobSteps(survey(plan), USUAL_BAY)
  if (!order.ok) throw new Error(order.reason)
  return order.steps
}

/** Whether one step comes before another however the list is sorted: by edges alone. */
function mustPrecede(steps: readonly Step[], first: string, then: string): boolean {
  const byId = new Map(steps.map((step) => [step.id, step]))
  const seen = new Set<string>()
  const back = (id: string): boolean => {
    if (id === first) return true
    if (seen.has(id)) return false
    seen.add(id)
    return byId.get(id)?.after.some(back) ?? false
  }
  return back(then)
}

describe('the steps of every demo job', () => {
  it.each(DEMO_PLANS.map((plan) => [plan.job.name, plan] as const))(
    '%s: no torque before all of its group is started by hand',
    (_, plan) => {
      const steps = stepsOf(plan)
      const torque = steps.filter(({ task }) => task.kind === 'torque')
      expect(torque.length).toBeGreaterThan(0)
      for (const step of torque) {
        const starts = steps.filter(({ group, task }) => group === step.group && task.kind === 'start')
        expect(starts.length).toBeGreaterThan(0)
        for (const start of starts) expect(mustPrecede(steps, start.id, step.id)).toBe(true)
      }
      expect(steps[0]?.id).toBe('job/count')
      expect(steps.at(-1)?.id).toBe('job/tell')
      for (const { id } of steps.slice(1)) expect(mustPrecede(steps, 'job/count', id)).toBe(true)
      const { one, two } = estimate(steps)
      expect(two.fromMin).toBeLessThanOrEqual(one.fromMin)
      expect(one.fromMin).toBeLessThan(one.toMin)
    },
  )
})

describe('what comes before what', () => {
  const steps = stepsOf(ridgeTent)
  it.each([
    [
      'the platform is squared on the bench before its bars are placed',
      'platform/platform-deck/square-deck',
      'platform/place',
    ],
    ['film before feet', 'platform/platform-feet/film', 'platform/lift-on'],
    ['a part’s own order by name', 'platform/platform-deck/lay-out', 'platform/platform-deck/square-deck'],
    ['placed before squared', 'platform/place', 'platform/square'],
    ['squared before tightened', 'platform/square', 'platform/torque-platform-feet-0'],
    ['tightened before the tent', 'platform/square-again', 'gear:tent/set'],
    [
      'what is put in for a while comes out',
      'platform/platform-deck/spacers',
      'platform/platform-deck/spacers-out',
    ],
  ])('%s', (_, first, then) => {
    expect(steps.some(({ id }) => id === then)).toBe(true)
    expect(mustPrecede(steps, first, then)).toBe(true)
  })

  it('a mirrored side is one step done twice', () => {
    const film = steps.find(({ id }) => id === 'platform/platform-feet/film')
    expect(film).toMatchObject({
      title: 'Film in the gutter at each hook, left then right',
      minutes: { from: 4, to: 6 },
    })
  })

  it('nuts go into a channel before strips and caps close it', () => {
    const van = stepsOf(yardVan)
    expect(mustPrecede(van, 'channel/van-front', 'van-bars/caps')).toBe(true)
    expect(mustPrecede(van, 'channel/van-front', 'gear:clamps/set')).toBe(true)
    expect(mustPrecede(van, 'gear:clamps/set', 'van-bars/strips')).toBe(true)
  })

  it('a guess is weighed, and its step stays when it has been', () => {
    const guessed = stepsOf(twinSpan).find(({ id }) => id === 'weigh/double-boat/paddles')
    expect(guessed?.task).toMatchObject({
      kind: 'weigh',
      guessKg: 16,
      target: { of: 'load', loadId: 'paddles' },
    })
    const cached: Plan = {
      ...twinSpan,
      placements: twinSpan.placements.map((placement) => ({
        ...placement,
        loads: placement.loads.map((load) => ({
          ...load,
          what: { kind: 'mass' as const, mass: { kg: 17.1, basis: 'weighed' as const } },
        })),
      })),
    }
    const ids = (weighed: string[]) => {
      const order = jobSteps(survey(cached), USUAL_BAY, new Set(weighed))
      return order.ok ? order.steps.map(({ id }) => id) : []
    }
    expect(ids([])).not.toContain('weigh/double-boat/paddles')
    expect(ids(['double-boat/paddles'])).toContain('weigh/double-boat/paddles')
  })

  it('a part whose steps wait for each other is refused by name', () => {
    const circle: Plan = {
      ...ridgeTent,
      racks: ridgeTent.racks.map((rack) => ({
        ...rack,
        parts: rack.parts.map((part) => ({
          ...part,
          work: {
            steps: [
              { id: 'one', stage: 'bench' as const, title: 'First this', after: ['two'] },
              { id: 'two', stage: 'bench' as const, title: 'Then that', after: ['one'] },
            ],
          },
        })),
      })),
    }
    const order = jobSteps(survey(circle), USUAL_BAY)
    expect(order).toMatchObject({ ok: false })
    if (!order.ok) expect(order.reason).toMatch(/“(First this|Then that)” after “(First this|Then that)”/)
  })

  it('a step after one that is not there is asked about at the step, and the bay goes on (F8)', () => {
    const lost = withOwnStep({ id: 'own', stage: 'trim', title: 'Press the pads', after: ['gone'] })
    const order = jobSteps(survey(lost), USUAL_BAY)
    if (!order.ok) throw new Error(order.reason)
    expect(order.steps.length).toBeGreaterThan(10)
    const step = order.steps.find(({ title }) => title === 'Press the pads')!
    expect(stepFindings(step, survey(lost), NOTHING_DONE)).toMatchObject([
      { rule: 'step-order', severity: 'findOut' },
    ])
    expect(
      stepFindings(step, survey(lost), NOTHING_DONE).map(({ sentence }) => phraseText(sentence)),
    ).toEqual([
      'Press the pads: its sheet puts it after a step that this job does not have (gone). Choose the step on the part’s sheet.',
    ])
  })

  it('a part’s own step may come after any step of its rack that is offered by name, and then does (F8)', () => {
    const step = { id: 'own', stage: 'prove' as const, title: 'Press the pads' }
    const plain = withOwnStep(step)
    const order = jobSteps(survey(plain), USUAL_BAY)
    const offered = stepChoices(plain.racks[0]!, order.ok ? order.steps : [])
    const others = offered.filter(([after]) => !after.endsWith('/own'))
    expect(others.length).toBeGreaterThan(10)
    const rackId = plain.racks[0]!.id
    for (const [after] of others) {
      const chosen = jobSteps(survey(withOwnStep({ ...step, after: [after] })), USUAL_BAY)
      if (!chosen.ok) throw new Error(`${after}: ${chosen.reason}`)
      const own = chosen.steps.findIndex((each) => each.title === step.title)
      expect(chosen.steps[own]?.lost, after).toBeUndefined()
      const id = after.startsWith('/') ? `${rackId}${after}` : `${rackId}/${after}`
      const before = chosen.steps.findIndex((each) => each.id === id)
      expect(before, after).toBeGreaterThanOrEqual(0)
      expect(before, after).toBeLessThan(own)
    }
  })

  it('a rack that is drilled is confirmed first, sealed after, and is a hard job', () => {
    const drilled: Plan = {
      ...ridgeTent,
      racks: ridgeTent.racks.map((rack) => ({
        ...rack,
        parts: rack.parts.map((part) =>
          part.role === 'feet'
            ? { ...part, kit: { drills: { holes: 6, reversible: false, pilotMm: 3, finalMm: 9 } } }
            : part,
        ),
      })),
    }
    const order = stepsOf(drilled)
    const id = 'platform/platform-feet'
    expect(mustPrecede(order, `${id}/confirm-drilling`, `${id}/drill`)).toBe(true)
    for (const [first, then] of [
      ['confirm-drilling', 'template'],
      ['template', 'drill'],
      ['drill', 'prime'],
      ['prime', 'bed'],
      ['bed', 'seal'],
    ])
      expect(mustPrecede(order, `${id}/${first}`, `${id}/${then}`), then).toBe(true)
    expect(order.find((step) => step.id === `${id}/prime`)?.waitMinutes).toBeGreaterThan(0)
    expect(mustPrecede(order, `${id}/seal`, 'platform/lift-on')).toBe(true)
    expect(estimate(order).difficulty).toBe('hard')
    expect(estimate(order).because).toContain('something has to cure or soak')
  })

  it('and drilled hole by hole where the vehicle has points: each with its place, its sizes and its work, all before the seal', () => {
    const each = [{ name: 'Point 1, left', finalMm: 11, operations: ['step drill', 'deburr'] }]
    const drills = { holes: 8, reversible: false, pilotMm: 3, finalMm: 9, layers: ['skin', 'rib'], each }
    const drilled: Plan = {
      ...frameJob,
      racks: frameJob.racks.map((rack) => ({
        ...rack,
        parts: rack.parts.map((part) => (part.role === 'legs' ? { ...part, kit: { drills } } : part)),
      })),
    }
    const order = stepsOf(drilled)
    const holes = order.filter(({ title }) => title.startsWith('Drill: '))
    const { attachments } = frameJob.vehicle
    const points = attachments.flatMap((on) => ('points' in on ? on.points : [])).length
    expect(holes).toHaveLength(points * 2)
    expect(phraseText(holes[0]?.detail ?? [])).toMatch(
      /behind the windscreen’s upper edge, .* left of the centreline\. Pilot 3 mm\. Final size 11 mm\. Through skin, rib\. step drill, then deburr\./,
    )
    for (const { id } of holes)
      expect(mustPrecede(order, id, `${id.split('/drill/')[0] ?? ''}/seal`)).toBe(true)
  })
})

describe('the joints of a rack', () => {
  const bolt = (count: number) => ({ thread: 'M6', count })
  const withParts = (edit: (part: Part) => Part): Plan => ({
    ...ridgeTent,
    racks: ridgeTent.racks.map((rack) => ({ ...rack, parts: rack.parts.map(edit) })),
  })
  const ids = (plan: Plan) => stepsOf(plan).map(({ id }) => id)

  it('keep their steps’ names when another part gains one (B9)', () => {
    const [first] = ridgeTent.racks[0]!.parts
    const more = withParts((part) =>
      part.id === first!.id ? { ...part, fasteners: [...(part.fasteners ?? []), bolt(4)] } : part,
    )
    const now = new Set(ids(more))
    for (const id of ids(ridgeTent)) expect(now.has(id), id).toBe(true)
    expect(now.size).toBe(ids(ridgeTent).length + 1)
  })

  it('count the bolts that there are: 32 are 32 (B10)', () => {
    const deck = ridgeTent.racks[0]!.parts.find(({ role }) => role === 'deck')!
    const plan = withParts((part) => (part.id === deck.id ? { ...part, fasteners: [bolt(32)] } : part))
    const torque = stepsOf(plan).find(({ id }) => id === `platform/torque-${deck.id}-0`)
    expect(torque?.detail.join('')).toMatch(/^32 in all/)
    expect(torque?.task.kind === 'torque' && torque.task.group.perSpot * torque.task.group.spots.length).toBe(
      32,
    )
  })

  it('of a rack entered as a whole are tightened at its feet, though no sheet says how (B3)', () => {
    const whole: Plan = {
      ...ridgeTent,
      racks: ridgeTent.racks.map((rack) => ({
        ...rack,
        parts: [
          {
            id: 'all',
            role: 'whole',
            name: 'Own rack',
            count: 1,
            eachKg: 20,
            rated: { by: 'own', ratings: [] },
          },
        ],
      })),
    }
    const torque = stepsOf(whole).find(({ id }) => id === 'platform/torque-all-0')
    expect(torque?.task).toMatchObject({ kind: 'torque', group: { joint: { torque: { kind: 'unknown' } } } })
    expect(torque?.task.kind === 'torque' && torque.task.group.spots.length).toBe(
      survey(whole).racks[0]!.feet.length,
    )
  })
})

describe('what is on is not fitted again (B15)', () => {
  const mounted = (plan: Plan, fit: (id: string) => boolean): Plan => ({
    ...plan,
    racks: plan.racks.map((rack) => ({ ...rack, status: 'alreadyOn' })),
    placements: plan.placements.map((each) => ({ ...each, status: fit(each.id) ? 'toFit' : 'alreadyOn' })),
  })

  it('two clamps beside what is mounted are the steps of two clamps, and minutes for those', () => {
    const clamps = yardVan.placements.find(({ gearId }) => gearId === 'tool-clamps')!
    const all = stepsOf(yardVan)
    const own = stepsOf(mounted(yardVan, (id) => id === clamps.id))
    const work = own.filter(({ stage, id }) => stage !== 'prove' && id !== 'job/count')
    expect(work.length).toBeGreaterThan(0)
    for (const { group, id } of work)
      expect([`gear:${clamps.id}`, ...yardVan.racks.map(({ id: rack }) => rack)], id).toContain(group)
    // Of the rack: what opens the channels for the clamps' nuts and closes them again, and nothing else (B9).
    const ofRack = work.filter(({ group, id }) => group !== `gear:${clamps.id}` && !id.startsWith('channel/'))
    expect(ofRack.map(({ id }) => id.split('/')[1])).toEqual(['caps-off', 'strips', 'caps'])
    expect(work.length).toBeLessThanOrEqual(8)
    const minutes = (steps: readonly Step[]) => estimate(steps).one.toMin
    expect(minutes(own)).toBeLessThan(minutes(all) * 0.6)
    expect(
      partsCheck(survey(mounted(yardVan, (id) => id === clamps.id))).lines.every(
        ({ box }) => !/bar|feet/i.test(box),
      ),
    ).toBe(true)
  })

  it('the nuts of what is mounted stand in the way of the new ones', () => {
    const channelOf = (plan: Plan) =>
      barChannels(survey(plan)).map(({ channel }) => [channel.inside.length, channel.wanted.length])
    const [first] = yardVan.placements.filter(({ host }) => host.on === 'bars')
    const whole = channelOf(yardVan)
    expect(whole.every(([inside]) => inside === 0)).toBe(true)
    const rest = channelOf(mounted(yardVan, (id) => id !== first!.id))
    rest.forEach(([inside, wanted], i) => {
      expect(inside! + wanted!).toBe(whole[i]![1])
    })
  })

  it('what comes off is a step of its own, before the rest goes on, and counts in nothing else', () => {
    const [rack] = ridgeTent.racks
    const off: Plan = { ...ridgeTent, racks: [{ ...rack!, status: 'comesOff' }] }
    const steps = stepsOf(off)
    expect(steps.map(({ id }) => id)).toContain('off/platform')
    expect(steps.filter(({ group }) => group === 'platform' || group.startsWith('gear:'))).toEqual([])
    const swapped: Plan = {
      ...ridgeTent,
      racks: [{ ...rack!, id: 'summer', status: 'comesOff' }, { ...rack! }],
    }
    expect(mustPrecede(stepsOf(swapped), 'off/summer', 'platform/lift-on')).toBe(true)
  })
})

describe('what the steps say (B18)', () => {
  const stepsOf = (plan: Plan): readonly Step[] => {
    const order = jobSteps(survey(plan), USUAL_BAY)
    return order.ok ? order.steps : []
  }

  it('prepares a roof channel as it does every other attachment', () => {
    const channelled: Plan = {
      ...hatchJob,
      vehicle: {
        ...hatchJob.vehicle,
        attachments: hatchJob.vehicle.attachments.map((each) =>
          each.kind === 'flushRail' ? { ...each, kind: 'roofChannel' as const } : each,
        ),
      },
    }
    const prepare = (plan: Plan) =>
      stepsOf(plan)
        .find(({ id }) => id.endsWith('/prepare'))
        ?.detail.join('')
    expect(prepare(channelled)).toContain('Lift the covers out of the channels')
    expect(prepare(hatchJob)).toContain('Rail clean')
  })

  it('counts one as one', () => {
    const [joint] = stepsOf(boatAndBox).filter(({ task }) => task.kind === 'torque')
    if (joint?.task.kind !== 'torque') throw new Error('nothing is tightened')
    const { group } = joint.task
    const unknown: Step = {
      ...joint,
      hands: 2,
      after: [],
      task: { kind: 'torque', group: { ...group, joint: { ...group.joint, torque: { kind: 'unknown' } } } },
    }
    expect(estimate([unknown]).because).toEqual([
      'one step wants two people',
      'one of its joints has no torque figure',
    ])
    const two = estimate([unknown, { ...unknown, id: 'b' }]).because
    expect(two).toEqual(['2 steps want two people', '2 of its joints have no torque figure'])
  })

  it('never says "two people" of what is too heavy for two: the bench and the bay say the same', () => {
    const heavy: Plan = {
      ...boatAndBox,
      gear: boatAndBox.gear.map((gear) => ({ ...gear, mass: { kg: 300, basis: 'weighed' as const } })),
    }
    const set = stepsOf(heavy).filter(({ id }) => id.endsWith('/set'))
    expect(set.length).toBeGreaterThan(0)
    for (const step of set) {
      expect(step.byLoader, step.id).toBe(true)
      expect(step.detail.join('')).toContain('too heavy for two')
    }
    expect(stepsOf(boatAndBox).some(({ byLoader }) => byLoader)).toBe(false)
  })
})
