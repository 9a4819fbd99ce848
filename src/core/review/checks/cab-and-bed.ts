import { ATTACHMENTS } from '../../kinds/attachment'
import type { BarAt } from '../../survey/frame/arrangement'
import { any } from '../../units/pick'
import { check, practice } from '../check'

const placeOf = ({ attachment, onRoof }: BarAt): 'cab' | 'bed' | undefined =>
  onRoof
    ? 'cab'
    : attachment && ['bed', 'canopy'].includes(ATTACHMENTS[attachment.kind].on)
      ? 'bed'
      : undefined

/** Is anything held at the cab and at the bed, which move against each other? */
export const cabAndBed = check({
  id: 'cab-and-bed',
  title: 'Cab and bed',
  question: 'Is anything fixed to both the cab and the bed, which move against each other?',
  formula: 'bars on the cab and bars on the bed under one thing, or in one rack',
  source: practice('Cab and bed move against each other: leave one end free. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Nothing is held over cab and bed at once.',
  *run({ racks, bars, things }) {
    for (const { rack, bars: own } of racks) {
      const places = new Set(own.map(placeOf))
      if (!places.has('cab') || !places.has('bed')) continue
      const free = own.filter(({ bar }) => bar.slides === true)
      const unstated = free.length === 0 && own.some(({ bar }) => bar.slides === undefined)
      const common = { about: rack.id, state: 'all', subject: { placementIds: [], rackId: rack.id } } as const
      if (any(free))
        yield {
          ...common,
          severity: 'clear',
          sentence: [
            `${rack.name} stands on the cab and on the bed; ${free.map(({ bar }) => bar.name).join(' and ')} may slide.`,
          ],
        }
      else
        yield {
          ...common,
          severity: unstated ? 'findOut' : 'stop',
          ...(unstated
            ? {
                ask: {
                  where: 'sheet',
                  label: `${rack.name}: which bar is left free to slide`,
                  target: { open: 'rack', rackId: rack.id, at: 'bars' },
                } as const,
              }
            : {}),
          sentence: [
            `${rack.name} stands on the cab and on the bed, which move against each other, and ${unstated ? 'nobody has said which bar is left free to slide: find it on its maker’s sheet' : 'no bar of it may slide'}.`,
          ],
        }
    }
    for (const { placement, gear } of things) {
      const { host } = placement
      if (host.on !== 'bars') continue
      const places = new Set(bars.filter(({ bar }) => host.barIds.includes(bar.id)).map(placeOf))
      if (!places.has('cab') || !places.has('bed')) continue
      yield {
        about: placement.id,
        severity: 'mind',
        state: 'all',
        subject: { placementIds: [placement.id] },
        sentence: [
          `${gear.name} is held over the cab and over the bed, which move against each other: leave it free to slide at one end.`,
        ],
      }
    }
  },
})
