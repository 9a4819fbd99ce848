import { isInChannel } from '../../kinds/mount'
import { hasOwnChannel } from '../../plan/schema/attachment-traits'
import { standsOnEach } from '../../survey/frame/arrangement'
import type { Contents } from '../../log/contents'
import { toFit } from '../../units/scalars'
import type { Finding } from '../../review/finding'
import { mm, type Phrase } from '../../units/phrase'
import type { ThingAt } from '../../survey/frame/arrangement'
import { contactsKnown, contactYs } from '../../survey/mounting/contacts'
import type { Survey } from '../../survey/survey'

/** A nut to bring to a place in a channel, or something that is in it already and cannot be passed. mm along it. */
interface InChannel {
  readonly id: string
  readonly name: string
  readonly atMm: number
  /** The thing that the nut holds, where it holds one. */
  readonly placementId?: string
}

/** A channel with its two ends; an end may be closed for good. */
export interface LoadedChannel {
  readonly id: string
  readonly name: string
  readonly ends: { readonly low: string; readonly high: string }
  readonly open: { readonly low: boolean; readonly high: boolean }
  /** From and to it runs, mm on its own axis. */
  readonly span: { readonly fromMm: number; readonly toMm: number }
  /** From where a place in it is said: its own middle, to either side, or its low end. */
  readonly datum: 'middle' | 'low'
  readonly inside: readonly (InChannel & { readonly fixed: boolean })[]
  readonly wanted: readonly InChannel[]
}

/** A place in a channel from the channel's own datum, mm. */
export function placeIn({ datum, ends, span }: LoadedChannel, atMm: number): Phrase {
  if (datum === 'low') return [mm(atMm - span.fromMm), ` from the ${ends.low}`]
  const side = atMm < 0 ? ends.low : ends.high
  return Math.abs(atMm) < 0.5 ? ['the middle'] : [mm(Math.abs(atMm)), ` from the middle, toward the ${side}`]
}

/** A channel with what was seen in it besides what the plan has there. */
export const withSeen = (channel: LoadedChannel, seen: readonly Contents[]): LoadedChannel => ({
  ...channel,
  inside: [
    ...channel.inside,
    ...seen.map(({ what, fromLowMm, fixed }, i) => ({
      id: `seen-${i}`,
      name: what,
      atMm: channel.span.fromMm + fromLowMm,
      fixed,
    })),
  ],
})

/** One nut entering, or why it cannot without taking something off. */
export type Entry =
  | { readonly kind: 'enters'; readonly nut: InChannel; readonly end: 'low' | 'high' }
  | {
      readonly kind: 'blocked'
      readonly nut: InChannel
      readonly by: InChannel
      readonly from: 'low' | 'high'
    }

/**
 * The order in which nuts enter a channel: from the end that lies free to each place, those with furthest to go first,
 * from the low end before the high. A nut that no end reaches is blocked by what is least in its way.
 */
export function loadingOrder({ open, inside, wanted }: LoadedChannel): Entry[] {
  const barriers = (nut: InChannel, end: 'low' | 'high') =>
    inside
      .filter(({ atMm }) => (end === 'low' ? atMm <= nut.atMm : atMm >= nut.atMm))
      .sort((a, b) => (end === 'low' ? a.atMm - b.atMm : b.atMm - a.atMm))
  const reaches = (nut: InChannel, end: 'low' | 'high') => open[end] && barriers(nut, end).length === 0
  const low = wanted.filter((nut) => reaches(nut, 'low')).sort((a, b) => b.atMm - a.atMm)
  const high = wanted
    .filter((nut) => !reaches(nut, 'low') && reaches(nut, 'high'))
    .sort((a, b) => a.atMm - b.atMm)
  const blocked = wanted
    .filter((nut) => !reaches(nut, 'low') && !reaches(nut, 'high'))
    .sort((a, b) => a.atMm - b.atMm)
  return [
    ...low.map((nut): Entry => ({ kind: 'enters', nut, end: 'low' })),
    ...high.map((nut): Entry => ({ kind: 'enters', nut, end: 'high' })),
    ...blocked.map((nut): Entry => {
      const ways = (['low', 'high'] as const)
        .filter((end) => open[end])
        .map((end) => ({ end, list: barriers(nut, end) }))
        .sort((a, b) => weight(a.list) - weight(b.list))
      const way = ways[0]
      const by = way?.list.find(({ fixed }) => fixed) ?? way?.list[0]
      const end: InChannel = { id: 'end', name: 'a closed end', atMm: nut.atMm }
      return { kind: 'blocked', nut, by: by ?? end, from: way?.end ?? 'low' }
    }),
  ]
}

/** Loose nuts slide out again; what is fixed has to come off. */
const weight = (list: readonly { readonly fixed: boolean }[]) =>
  list.reduce((so, { fixed }) => so + (fixed ? 1000 : 1), 0)

/** A bar's channel as the plan fills it, with the things whose places across it nobody gave. */
export interface BarChannel {
  readonly barId: string
  readonly rackId: string
  readonly channel: LoadedChannel
  readonly unsure: readonly string[]
}

/** What is not known of a channel's places, and what lies in a nut's way, past what was seen in it too. */
export function channelFindings(
  { barId, channel, unsure }: BarChannel,
  seen: readonly Contents[],
): Finding[] {
  const common = { rule: 'channel', state: 'all', subject: { barId, placementIds: [] } } as const
  const blocked = loadingOrder(withSeen(channel, seen)).flatMap((entry): Finding[] =>
    entry.kind === 'enters'
      ? []
      : [
          {
            ...common,
            id: `channel ${barId} ${entry.nut.id}`,
            severity: 'mind',
            sentence: [
              `${channel.name}: ${entry.nut.name} does not pass ${entry.by.name}: take that out first, and put it back after.`,
            ],
          },
        ],
  )
  return unsure.length === 0
    ? blocked
    : [
        {
          ...common,
          id: `channel ${barId} places`,
          severity: 'findOut',
          sentence: [
            `${channel.name}: nobody entered where ${unsure.join(', ')} stands across it: taken at its sides. Measure it before you slide anything in.`,
          ],
        },
        ...blocked,
      ]
}

const worked = new WeakMap<Survey, readonly BarChannel[]>()
const byThing = new WeakMap<Survey, ReadonlyMap<string, readonly BarChannel[]>>()

/** The channel of every bar that something is bolted into. Both ends open: caps go on when the nuts are in. */
export function barChannels(survey: Survey): readonly BarChannel[] {
  const before = worked.get(survey)
  if (before) return before
  const channels = channelsOf(survey)
  worked.set(survey, channels)
  return channels
}

/** The channels that nuts of one thing on the plan are wanted in. */
export function channelsFor(survey: Survey, { placement: { id } }: ThingAt): readonly BarChannel[] {
  let cached = byThing.get(survey)
  if (!cached) {
    const found = new Map<string, BarChannel[]>()
    for (const channel of barChannels(survey))
      for (const placementId of new Set(
        channel.channel.wanted.flatMap(({ placementId: of }) => (of === undefined ? [] : [of])),
      ))
        found.set(placementId, [...(found.get(placementId) ?? []), channel])
    cached = found
    byThing.set(survey, cached)
  }
  return cached.get(id) ?? []
}

function channelsOf(survey: Survey): BarChannel[] {
  return survey.bars.flatMap(({ bar, rack }): BarChannel[] => {
    if (!bar.profile.channel) return []
    const things = survey.things.filter(
      ({ placement: { host, fitting }, gear }) =>
        host.on === 'bars' &&
        host.barIds.includes(bar.id) &&
        (isInChannel(gear.fit.mount) || isInChannel(fitting?.adapter?.mount)),
    )
    const nutsOf = (thing: ThingAt) =>
      contactYs(thing).map((atMm, i): InChannel => ({
        id: `${thing.placement.id}/${i}`,
        placementId: thing.placement.id,
        name: `${thing.gear.name}, ${atMm < 0 ? 'left' : 'right'} of centre`,
        atMm,
      }))
    const wanted = things.filter(({ placement }) => toFit(placement)).flatMap(nutsOf)
    if (wanted.length === 0) return []
    // A nut of something that is on blocks the way, and may have to come out first.
    const inside = things
      .filter(({ placement }) => !toFit(placement))
      .flatMap(nutsOf)
      .map((nut) => ({ ...nut, fixed: false }))
    return [
      {
        barId: bar.id,
        rackId: rack.id,
        channel: {
          id: bar.id,
          name: bar.name,
          ends: { low: 'left end', high: 'right end' },
          open: { low: true, high: true },
          span: { fromMm: -bar.lengthMm / 2, toMm: bar.lengthMm / 2 },
          datum: 'middle',
          inside,
          wanted,
        },
        unsure: things.filter((thing) => !contactsKnown(thing)).map(({ gear }) => gear.name),
      },
    ]
  })
}

/** Bed channels that a rack's feet stand in: nuts come in from the tailgate end, past nothing that is bolted there. */
export function bedChannels(survey: Survey): BarChannel[] {
  return standsOnEach(survey.racks).flatMap(([rack, attachment, { feet }]) => {
    if (!hasOwnChannel(attachment) || !toFit(rack)) return []
    return (['left', 'right'] as const).map((side): BarChannel => ({
      barId: `${attachment.id}-${side}`,
      rackId: rack.id,
      channel: {
        id: `${attachment.id}-${side}`,
        name: `${attachment.name}, ${side}`,
        ends: { low: 'cab end', high: 'tailgate end' },
        open: { low: false, high: true },
        span: {
          fromMm: Math.min(...attachment.ranges.map(({ fromMm }) => fromMm)),
          toMm: Math.max(...attachment.ranges.map(({ toMm }) => toMm)),
        },
        datum: 'low',
        inside: [
          ...(attachment.posts ?? []).map((post, i) => ({
            id: `post-${i}`,
            name: 'a cleat',
            atMm: (post.fromMm + post.toMm) / 2,
            fixed: true,
          })),
          ...(attachment.inside ?? []).map(({ what, xMm, stays }, i) => ({
            id: `inside-${i}`,
            name: what,
            atMm: xMm,
            fixed: stays,
          })),
        ],
        wanted: feet
          .filter((foot) => foot.side === side && survey.bars[foot.barIndex]?.attachment === attachment)
          .map((foot) => ({ id: foot.id, name: `${foot.corner} foot`, atMm: foot.xMm })),
      },
      unsure: [],
    }))
  })
}
