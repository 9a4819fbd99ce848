import { expect, it } from 'vitest'
import { DEMO_PLANS } from '../../demo/plans'
import { DEMO_STOCK } from '../../demo/stock'
import { apply } from '../plan/commands/apply'
import { phraseText } from '../units/phrase'
import { assess } from '../review/assess'
import { leftIn } from '../survey/load-path/left'
import { nearestOffer, racksForLike, rackOffer, type RackOffer } from './rack-offer'

const demo = (name: string) => DEMO_PLANS.find(({ job }) => job.name === name)!
const kindOf = (attachmentId: string) =>
  DEMO_STOCK.vehicles.flatMap(({ attachments }) => attachments).find(({ id }) => id === attachmentId)?.kind
const offers = (name: string) =>
  DEMO_STOCK.racks.map((rack) => rackOffer(demo(name), rack, kindOf(rack.attachmentId), 'x'))

it('offers a rack on the vehicle it was made for as the demo has it: it stands, with what it still takes', () => {
  for (const plan of DEMO_PLANS) {
    const [rack] = plan.racks
    if (!rack) continue
    const offer = rackOffer(plan, rack, kindOf(rack.attachmentId), 'x')
    const alone = assess({ ...plan, racks: [rack], placements: [], gear: [] })
    expect([plan.job.name, offer.suits.kind === 'cannot']).toEqual([
      plan.job.name,
      alone.review.findings.some(({ severity }) => severity === 'stop'),
    ])
    expect(offer.left.road).toEqual({ ...leftIn(alone.survey, 'road'), rackId: expect.any(String) as string })
  }
})

it('says no kilograms where a link has no figure, whatever the others take', () => {
  const plan = demo('Two bikes on the hatchback')
  const offer = rackOffer(plan, plan.racks[0]!, kindOf(plan.racks[0]!.attachmentId), 'x')
  expect(Object.values(offer.left).map((left) => left?.kind)).toEqual(['atMost', 'atMost', 'atMost'])
  expect(offer.suits.kind).toBe('asks')
})

it('is never put on with an id that is taken, and what is offered as suitable brings no Stop', () => {
  for (const offer of offers('A boat and the long box')) {
    if (!offer.rack) {
      expect(offer.suits.kind).toBe('cannot')
      continue
    }
    const plan = demo('A boat and the long box')
    const done = apply({ ...plan, racks: [], placements: [], gear: [] }, { do: 'addRack', rack: offer.rack })
    if (!done.ok) throw new Error(done.reason)
    const stops = assess(done.plan).review.findings.some(({ severity }) => severity === 'stop')
    expect([offer.name, stops]).toEqual([offer.name, offer.suits.kind === 'cannot'])
  }
})

it('says why one cannot: nothing of its kind on the vehicle', () => {
  const words = offers('A boat and the long box').flatMap(({ suits }) =>
    suits.kind === 'cannot' ? [phraseText(suits.why)] : [],
  )
  expect(words.some((text) => text.includes('has no such attachment: gutters'))).toBe(true)
})

it('takes a rack made for another vehicle to the middle of where this one lets it stand', () => {
  const plan = demo('A boat and the long box')
  const rack = plan.racks[0]!
  if (rack.kind === 'ladder') throw new Error('bars')
  const rails = plan.vehicle.attachments.find(({ id }) => id === rack.attachmentId)!
  if (!('ranges' in rails)) throw new Error('ranges')
  const far = {
    ...rack,
    attachmentId: 'elsewhere',
    bars: rack.bars.map((bar) => ({ ...bar, xMm: bar.xMm + 5000 })),
  }
  const offer = rackOffer(plan, far, rails.kind, 'x')
  if (!offer.rack || offer.rack.kind === 'ladder') throw new Error('bars')
  const xs = offer.rack.bars.map(({ xMm }) => xMm)
  const from = Math.min(...rails.ranges.map(({ fromMm }) => fromMm))
  const to = Math.max(...rails.ranges.map(({ toMm }) => toMm))
  expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo((from + to) / 2, -1)
  expect(Math.max(...xs) - Math.min(...xs)).toBe(
    Math.max(...rack.bars.map(({ xMm }) => xMm)) - Math.min(...rack.bars.map(({ xMm }) => xMm)),
  )
})

it('names what comes nearest where nothing stands: first what has something to stand on (F12)', () => {
  const offer = (name: string, rack: RackOffer['rack']): RackOffer => ({
    stockId: name,
    name,
    rack,
    suits: { kind: 'cannot', why: [`${name} cannot`] },
    barMm: undefined,
    ownKg: undefined,
    left: { road: undefined, trail: undefined, parked: undefined },
  })
  const [rack] = DEMO_STOCK.racks
  expect(nearestOffer([offer('Far', undefined), offer('Near', rack)])?.name).toBe('Near')
  expect(nearestOffer([offer('Far', undefined)])?.why).toEqual(['Far cannot'])
  expect(nearestOffer([{ ...offer('Fits', rack), suits: { kind: 'suits' } }])).toBeUndefined()
})

it('knows racks of other vehicles that stand on the same kind of mount (F12)', () => {
  const [stocked] = DEMO_STOCK.vehicles
  if (!stocked) throw new Error('The stock has vehicles.')
  const mine = {
    ...stocked,
    attachments: stocked.attachments.map((each) => ({ ...each, id: `mine-${each.id}` })),
  }
  const like = racksForLike(mine, DEMO_STOCK.racks, DEMO_STOCK.vehicles)
  const kinds = mine.attachments.map(({ kind }) => kind)
  expect(like.length).toBeGreaterThan(0)
  for (const { attachmentId } of like) {
    expect(mine.attachments.map(({ id }) => id)).not.toContain(attachmentId)
    expect(kinds).toContain(kindOf(attachmentId))
  }
  expect(racksForLike({ ...mine, attachments: [] }, DEMO_STOCK.racks, DEMO_STOCK.vehicles)).toEqual([])
  expect(racksForLike(stocked, like, [stocked])).toEqual([])
})
