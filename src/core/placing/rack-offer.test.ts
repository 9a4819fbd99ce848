import { expect, it } from 'vitest'
import { DEMO_PLANS } from '../../demo/plans'
import { DEMO_STOCK } from '../../demo/stock'
import { apply } from '../plan/commands/apply'
import { phraseText } from '../units/phrase'
import { assess } from '../review/assess'
import { leftIn } from '../survey/load-path/left'
import { rackOffer } from './rack-offer'

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
