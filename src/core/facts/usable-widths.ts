import { isStart } from '../plan/schema/provenance'
import { mountTraits } from '../kinds/mount'
import type { BarAt, ThingAt } from '../survey/frame/arrangement'
import { contactsKnown, contactYs } from '../survey/mounting/contacts'
import type { Survey } from '../survey/survey'
import { leastBy, mostBy } from '../units/pick'
import { atMost, fails, overBy, type Compared } from './comparison'

interface Span {
  readonly name: string
  readonly barId: string | undefined
  readonly from: number
  readonly to: number
}

/** A thing's contacts against what a bar or deck offers across: on the side where they stand furthest past it. mm. */
interface OnWidth {
  readonly span: Span
  readonly side: 'left' | 'right'
  readonly past: Compared
  /** How far from the middle its contacts reach on that side, and how far it may there. mm */
  readonly reachesMm: number
  readonly offersMm: number
  /** Whether what touches the bar is known: where it is not, standing past it is a question. */
  readonly known: boolean
}

/** What a thing may stand on across the vehicle: each bar's usable width, or its deck's. */
function spansOf(survey: Survey, thing: ThingAt): readonly Span[] {
  const { host } = thing.placement
  if (host.on === 'bars')
    return survey.bars
      .filter(({ bar }) => host.barIds.includes(bar.id))
      .map(({ bar, usableY }) => ({ name: bar.name, barId: bar.id, from: usableY[0], to: usableY[1] }))
  if (host.on !== 'deck') return []
  const rack = survey.racks.find(({ rack: each }) => each.id === host.rackId)
  return rack?.deck
    ? [{ name: rack.rack.name, barId: undefined, from: rack.deck.box.y0, to: rack.deck.box.y1 }]
    : []
}

/** A thing that lies on the bars touches them with its sides; the mounts of a carrier may be further in. */
const touchesWithSides = ({ gear }: ThingAt) => mountTraits(gear.fit.mount.kind).liesOnBars === true

/** A thing on each bar or deck that holds it. */
function onWidths(survey: Survey, thing: ThingAt): readonly OnWidth[] {
  const ys = contactYs(thing)
  const [least, most] = [Math.min(...ys), Math.max(...ys)]
  const contactsAreKnown = contactsKnown(thing) || touchesWithSides(thing)
  return spansOf(survey, thing).map((span) => {
    const [left, right] = [span.from - least, most - span.to]
    const onLeft = left > right
    return {
      span,
      side: onLeft ? 'left' : 'right',
      past: atMost(Math.max(left, right), 0),
      reachesMm: onLeft ? -least : most,
      offersMm: onLeft ? -span.from : span.to,
      known: contactsAreKnown,
    }
  })
}

/** The bar that rules: where the contacts stand furthest past, or nearest to the end. */
export const worstWidth = (survey: Survey, thing: ThingAt): OnWidth | undefined =>
  mostBy(onWidths(survey, thing), ({ past }) => overBy(past))

/** Whether a thing's sides, or its contacts where they are known, stand past what holds it. */
export const reachesPast = (survey: Survey, thing: ThingAt): boolean =>
  onWidths(survey, thing).some(({ past }) => fails(past))

/** Whether a thing is known to stand past what holds it: where nobody knows what it touches, that is a question. */
export const standsPast = (survey: Survey, thing: ThingAt): boolean =>
  onWidths(survey, thing).some(({ known, past }) => known && fails(past))

const widthOf = ({ usableY }: BarAt) => usableY[1] - usableY[0]

/** The bars of a rack that offer most and least, where they differ and both were said. mm. */
export interface UnlikeBars {
  readonly rackId: string
  readonly least: BarAt
  readonly most: BarAt
  readonly leastMm: number
  readonly lessMm: number
}

/** The racks whose bars offer unlike widths: what stands on all of them has to do with the least. */
export function unlikeBars(survey: Survey): readonly UnlikeBars[] {
  return survey.racks.flatMap(({ rack, bars, deck }): UnlikeBars[] => {
    const said = bars.filter(({ bar }) => !isStart(bar, 'usableMm'))
    const [least, most] = [leastBy(said, widthOf), mostBy(said, widthOf)]
    if (deck || !least || !most) return []
    const lessMm = widthOf(most) - widthOf(least)
    return fails(atMost(lessMm, 0)) ? [{ rackId: rack.id, least, most, leastMm: widthOf(least), lessMm }] : []
  })
}
