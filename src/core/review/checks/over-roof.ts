import { type Box, overlap, reachInto } from '../../geometry/boxes'
import { packed, rootOf, type ThingAt } from '../../survey/frame/arrangement'
import { onVehicle } from '../../survey/frame/on-vehicle'
import { bodyTopUnder } from '../../survey/frame/roof-surface'
import type { Survey } from '../../survey/survey'
import { check, practice } from '../check'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'
import { mm } from '../../units/phrase'

interface Into {
  readonly what: string
  readonly intoMm: number
  readonly box: Box | undefined
}

/** The bars and decks that a thing does not stand on, and that it shares space with. */
export function intoRacks(survey: Survey, thing: ThingAt): Into[] {
  const found: Into[] = []
  const meets = (what: string, own: Box, box: Box) => {
    if (!overlap(own, box)) return
    const { x, y, z } = reachInto(own, box)
    found.push({ what, intoMm: Math.min(x, y, z), box })
  }
  for (const { bar, box } of survey.bars) meets(bar.name, thing.box, box)
  for (const { rack, deck } of survey.racks) if (deck) meets(rack.name, thing.outer, deck.box)
  for (const { name, box } of inBed(survey)) meets(name, thing.outer, box)
  return found
}

const inBed = ({ plan: { vehicle } }: Survey) => onVehicle(vehicle).filter(({ where }) => where === 'bed')

/** How far a thing sinks into the vehicle's own roof or body; negative is what it clears by. mm. */
function intoBody(survey: Survey, thing: ThingAt): number | undefined {
  const top = bodyTopUnder(survey.plan.vehicle, survey.body, thing.box)
  return top === undefined ? undefined : top - thing.outer.z0
}

/** Things on panels and ladders hang beside the body; what lies in a closed thing hangs out of nothing. */
const overBody = (thing: ThingAt) => {
  const { host } = rootOf(thing).placement
  return !packed(thing) && (host.on === 'bars' || host.on === 'deck')
}

/** Does nothing sink into the roof, the bars or a deck? Heights in mm. */
export const overRoof = check({
  id: 'over-roof',
  title: 'Over roof and bars',
  question: 'Does everything stand over the roof, the bars and the decks, and sink into none of them?',
  formula:
    'underside ≥ the body’s outline under it, the roof’s crown as a parabola; boxes of bars, decks and of what is in the bed not shared; what hangs under a thing counts',
  source: practice('Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: { of: { ...HEIGHTS, vehicle: /Mm$/, obstacle: /^topZMm$/, gear: GEAR_SIZES }, reach: 2 },
  nothing: 'Nothing stands over the roof.',
  *run(survey) {
    for (const { bar, rack, box } of survey.bars)
      for (const { name, box: its } of inBed(survey))
        if (overlap(box, its))
          yield {
            about: `${bar.id} ${name}`,
            severity: 'stop',
            state: 'all',
            subject: { placementIds: [], barId: bar.id, rackId: rack.id },
            margin: mm(box.z0 - its.z1),
            sentence: [`${bar.name} stands in ${name}: its underside is `, mm(its.z1 - box.z0), ' too low.'],
          }
    for (const thing of survey.things) {
      const sunk = overBody(thing) ? intoBody(survey, thing) : undefined
      const racks = thing.parent ? [] : intoRacks(survey, thing)
      const { name } = thing.gear
      const common = {
        about: thing.placement.id,
        state: 'all',
        subject: { placementIds: [thing.placement.id] },
      } as const
      const [first] = racks
      if (first)
        yield {
          ...common,
          severity: 'stop',
          margin: mm(-first.intoMm),
          sentence: [`${name} stands in ${first.what} by `, mm(first.intoMm), '.'],
        }
      else if (sunk !== undefined && sunk > 0.01)
        yield {
          ...common,
          severity: 'stop',
          margin: mm(-sunk),
          sentence: [`${name} would sink `, mm(sunk), ' into the vehicle’s roof or body.'],
        }
      else if (sunk !== undefined && !thing.parent)
        yield {
          ...common,
          severity: 'clear',
          margin: mm(-sunk),
          sentence: [`${name} stands `, mm(-sunk), ' over the vehicle.'],
        }
    }
  },
})
