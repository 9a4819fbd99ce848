import { TOLERANCE } from '../../units/tolerance'
import type { ThingAt } from '../../survey/frame/arrangement'
import { contactsKnown, contactYs } from '../../survey/mounting/contacts'
import type { Survey } from '../../survey/survey'
import { check, practice } from '../check'
import { GEAR_SIZES } from '../length-groups'
import { mm } from '../../units/phrase'

interface Span {
  readonly name: string
  readonly barId: string | undefined
  readonly from: number
  readonly to: number
}

/** What a thing may stand on across the vehicle: each bar's usable width, or its deck's. */
function spansOf(survey: Survey, thing: ThingAt): Span[] {
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

/** The outermost contacts of a thing across the vehicle, mm. */
function endsOf(thing: ThingAt): readonly [number, number] {
  const ys = contactYs(thing)
  return [Math.min(...ys), Math.max(...ys)]
}

/** How far a thing's contacts stand past a span, and to which side. */
function past(
  [least, most]: readonly [number, number],
  span: Span,
): { readonly mm: number; readonly side: -1 | 1 } {
  const left = span.from - least
  const right = most - span.to
  return left > right ? { mm: left, side: -1 } : { mm: right, side: 1 }
}

/** The bar that rules: where the contacts stand furthest past, or nearest to the end. */
export function worstSpan(survey: Survey, thing: ThingAt) {
  const ends = endsOf(thing)
  return spansOf(survey, thing)
    .map((span) => ({ span, over: past(ends, span) }))
    .reduce<{ span: Span; over: ReturnType<typeof past> } | undefined>(
      (so, each) => (so && so.over.mm >= each.over.mm ? so : each),
      undefined,
    )
}

/** What lies straight on the bars touches them with its sides; a carrier's mounts may stand further in. */
const touchesWithSides = ({ gear }: ThingAt) =>
  gear.fit.mount.kind === 'strap' || gear.fit.mount.kind === 'none'

/** Whether a thing's sides, or its contacts where they are known, stand past what holds it. */
export function reachesPast(survey: Survey, thing: ThingAt): boolean {
  const ends = endsOf(thing)
  return spansOf(survey, thing).some((span) => past(ends, span).mm > TOLERANCE.lengthMm)
}

/** Whether a thing is known to stand past what holds it: where nobody knows what it touches, that is a question. */
export const standsPast = (survey: Survey, thing: ThingAt): boolean =>
  (contactsKnown(thing) || touchesWithSides(thing)) && reachesPast(survey, thing)

/** Do all contacts lie within the usable width of every bar they touch? mm. */
export const usableWidth = check({
  id: 'usable-width',
  title: 'Width',
  question: 'Does everything stand within the usable width of the shortest bar that it touches?',
  formula:
    'outermost contacts within half the usable width to either side, on every bar; else the deck’s width',
  source: practice('The shorter bar rules. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  lengths: {
    of: { bar: /^usableMm$/, rack: /^deck\.widthMm$/, gear: GEAR_SIZES },
    reach: 1,
    half: /(usable|width|length|height)Mm$/,
  },
  nothing: 'Nothing stands on bars or a deck.',
  *run(survey) {
    for (const thing of survey.things) {
      const worst = worstSpan(survey, thing)
      if (!worst) continue
      const { span, over } = worst
      const { name } = thing.gear
      const side = over.side < 0 ? 'left' : 'right'
      const common = {
        about: thing.placement.id,
        state: 'all',
        subject: {
          placementIds: [thing.placement.id],
          ...(span.barId === undefined ? {} : { barId: span.barId }),
        },
        margin: mm(-over.mm),
      } as const
      if (over.mm <= TOLERANCE.lengthMm)
        yield {
          ...common,
          severity: 'clear',
          sentence: [`${name} stands within ${span.name} with `, mm(-over.mm), ` to spare on the ${side}.`],
        }
      else if (contactsKnown(thing) || touchesWithSides(thing))
        yield {
          ...common,
          severity: 'stop',
          sentence: [`${name} stands `, mm(over.mm), ` past what ${span.name} offers on the ${side}.`],
        }
      else
        yield {
          ...common,
          severity: 'findOut',
          ask: {
            where: 'sheet',
            label: `${name}: from one contact to the other, across`,
            target: { field: 'contacts', gearId: thing.gear.id },
          },
          sentence: [
            `${name} reaches `,
            mm(over.mm),
            ` past what ${span.name} offers on the ${side}: find out where its mounts touch the bar, on its sheet.`,
          ],
        }
    }
  },
})
