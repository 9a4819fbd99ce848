import { PART_ROLES } from '../kinds/part-role'
import type { Part } from '../plan/schema/rack'
import type { ARROWS, MarkedPlace } from '../plan/schema/work'
import type { BayProgress } from '../log/record'
import type { Finding } from '../review/finding'
import type { MarkAsk, Step } from './steps/step'
import type { RackAt, ThingAt } from '../survey/frame/arrangement'

export const ARROW_WORDS: Readonly<Record<(typeof ARROWS)[number], string>> = {
  front: 'arrow forward',
  rear: 'arrow to the rear',
  outward: 'arrow outward',
  inward: 'arrow inward',
  up: 'arrow up',
  mark: 'arrow at the mark',
}

/** By what a piece is told from the others: its mark, else its code, icon or colour. */
const toldBy = ({ mark, code, icon, colour }: MarkedPlace): string | undefined =>
  mark ?? code ?? icon ?? colour

/** What belongs at a place and how it is told there, in words: `LHF: pad marked LHF, arrow outward`. */
export function markedPlaceWords({
  at,
  piece,
  mark,
  arrow,
  code,
  icon,
  colour,
  core,
  key,
  note,
}: MarkedPlace): string {
  const told = [
    ...(mark === undefined ? [] : [`marked ${mark}`]),
    ...(code === undefined ? [] : [`code ${code}`]),
    ...(icon === undefined ? [] : [`icon ${icon}`]),
    ...(colour === undefined ? [] : [colour]),
    ...(arrow === undefined ? [] : [ARROW_WORDS[arrow]]),
    ...(core === undefined ? [] : [`core ${core}`]),
    ...(key === undefined ? [] : [`key ${key}`]),
    ...(note === undefined ? [] : [note]),
  ]
  return `${at}: ${[[piece, told[0]].filter((each) => each !== undefined).join(' '), ...told.slice(1)].join(', ')}`
}

/** Places one by one, or all in one where they differ by nothing but the corner that each is marked with. */
export function markedPlacesWords(places: readonly MarkedPlace[]): string {
  const [first] = places
  const ownCorner = places.length > 1 && places.every(({ at, mark }) => mark === at)
  const like = ({ at: _, mark: _mark, ...rest }: MarkedPlace) => JSON.stringify(rest)
  if (!first || !ownCorner || places.some((each) => like(each) !== like(first)))
    return places.map(markedPlaceWords).join('; ')
  const { mark: _, ...rest } = first
  const at = places.map((place) => place.at).join(', ')
  return markedPlaceWords({ ...rest, at, mark: 'with its own place' })
}

/** What bears marks: which part or thing it is, and where its pieces go. */
interface Marked {
  readonly id: string
  readonly partId: string
  readonly name: string
  readonly places: readonly MarkedPlace[]
  readonly corners: readonly string[]
}

/** What is seen of a piece that points elsewhere than its arrow should. */
const WRONG_WAY = 'arrow the wrong way'

/** The marks by which pieces go to their places, and the way their arrows point. What all bear alike tells no piece from another. */
function asksFor({ id, partId, name, places, corners }: Marked): readonly MarkAsk[] {
  const marks = [...new Set(places.flatMap((place) => toldBy(place) ?? []))]
  const telling = marks.length < 2 ? [] : marks
  return places.flatMap((place): MarkAsk[] => {
    const { at, arrow } = place
    const own = telling.length === 0 ? undefined : toldBy(place)
    const mark = own ?? (arrow === undefined ? undefined : ARROW_WORDS[arrow])
    if (mark === undefined) return []
    const what = place.piece ?? name
    return [
      {
        id: `${id} ${what} ${at}`,
        partId,
        what,
        at,
        where: corners.includes(at) ? 'corner' : 'place',
        mark,
        marks: [...(own === undefined ? [mark] : telling), ...(arrow === undefined ? [] : [WRONG_WAY])],
        ...(arrow !== undefined && { arrow: ARROW_WORDS[arrow] }),
      },
    ]
  })
}

/** What a part's sheet says of its marks; else that each piece bears its corner, where it says that they are marked. */
function placesOfPart({ work, role }: Part, corners: readonly string[]): readonly MarkedPlace[] {
  const said = (work?.places ?? []).filter(
    (place) => toldBy(place) !== undefined || place.arrow !== undefined,
  )
  if (said.length > 0) return said
  return work?.sides === 'marked' && PART_ROLES[role].atFeet
    ? corners.map((corner) => ({ at: corner, mark: corner }))
    : []
}

/** Where a bar goes that is marked for an end, whatever it is called and wherever the plan has it. */
const BAR_PLACES = {
  front: { at: 'Front bar', piece: 'bar', mark: 'for the front' },
  rear: { at: 'Rear bar', piece: 'bar', mark: 'for the rear' },
} as const satisfies Record<string, MarkedPlace>

/** The places of bars that are marked for one end each. */
export const placesOfBars = ({ bars }: RackAt): readonly MarkedPlace[] =>
  (['front', 'rear'] as const).flatMap((end) =>
    bars.some(({ bar }) => bar.end === end) ? [BAR_PLACES[end]] : [],
  )

/** Every mark that is to be looked at before a rack is set on. */
export function markAsks(at: RackAt): readonly MarkAsk[] {
  const { rack } = at
  const corners = at.feet.map(({ corner }) => corner)
  return [
    ...asksFor({
      id: `${rack.id} bars`,
      partId: rack.id,
      name: rack.name,
      places: placesOfBars(at),
      corners: [],
    }),
    ...rack.parts.flatMap((part) =>
      asksFor({
        id: `${rack.id}/${part.id}`,
        partId: part.id,
        name: part.name,
        places: placesOfPart(part, corners),
        corners,
      }),
    ),
  ]
}

/** Every mark of a thing's own pieces: where each of them goes. */
export const thingMarkAsks = ({ gear, placement }: ThingAt): readonly MarkAsk[] =>
  asksFor({
    id: `${placement.id}/${gear.id}`,
    partId: placement.id,
    name: gear.name,
    places: gear.work?.places ?? [],
    corners: [],
  })

/** Where nobody has looked at the mark yet; nothing where a step asks for none or all are seen. */
export function marksWanted({ task }: Step, { marks }: BayProgress): readonly MarkAsk[] | undefined {
  if (task.kind !== 'marks') return undefined
  const open = task.asks.filter(({ id }) => !marks.has(id))
  return open.length === 0 ? undefined : open
}

/** A mark at a place where it does not belong: to be changed before anything is clamped. */
export function markFindings(asks: readonly MarkAsk[], { marks }: BayProgress): Finding[] {
  return asks.flatMap((ask): Finding[] => {
    const seen = marks.get(ask.id)
    if (seen === undefined || seen === ask.mark) return []
    const home = asks.find(
      ({ partId, what, mark }) => partId === ask.partId && what === ask.what && mark === seen,
    )
    return [
      {
        id: `mark ${ask.id}`,
        rule: 'marks',
        state: 'all',
        subject: { placementIds: [] },
        severity: 'stop',
        sentence: [
          seen === WRONG_WAY
            ? `${ask.what}, ${ask.at}: its arrow points the wrong way. Turn it round: ${ask.arrow ?? ask.mark}.`
            : `${ask.what}, ${ask.at}: marked ${seen}, which is the wrong ${ask.where}. ${home ? `It belongs at ${home.at}. ` : ''}Put the one marked ${ask.mark} here before anything is clamped.`,
        ],
      },
    ]
  })
}
