import { ATTACHMENTS } from '../../kinds/attachment'
import type { RackAt } from '../../survey/frame/arrangement'
import { check, practice } from '../check'

const placeOf = ({ attachment, onRoof }: RackAt): 'cab' | 'bed' | undefined =>
  onRoof
    ? 'cab'
    : attachment && ['bed', 'canopy'].includes(ATTACHMENTS[attachment.kind].on)
      ? 'bed'
      : undefined

/** Is anything held at the cab and at the bed, which move against each other? */
export const cabAndBed = check({
  id: 'cab-and-bed',
  title: 'Cab and bed',
  question: 'Is anything held both over the cab and over the bed, which move against each other?',
  formula: 'bars of a rack on the cab and bars of one on the bed under one thing',
  source: practice('Cab and bed move against each other: leave one end free. Common practice, no source.'),
  law: 'notOfMass',
  nothing: 'Nothing is held over cab and bed at once.',
  *run({ racks, things }) {
    for (const { placement, gear } of things) {
      const { host } = placement
      if (host.on !== 'bars') continue
      const places = new Set(
        racks.filter(({ bars }) => bars.some(({ bar }) => host.barIds.includes(bar.id))).map(placeOf),
      )
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
