import { isInChannel } from '../../kinds/mount'
import { withMount } from '../mount-fastener'
import { PART_ROLES } from '../../kinds/part-role'
import type { Washer } from '../../kinds/washer'
import { boltsAt, clicksOf, isLatch, type Fastener } from '../../plan/schema/fastening'
import type { Gear } from '../../plan/schema/gear'
import { toFit } from '../../units/scalars'
import type { Part } from '../../plan/schema/rack'
import type { Work } from '../../plan/schema/work'
import type { Finding } from '../../review/finding'
import { contactYs } from '../../survey/mounting/contacts'
import type { RackAt } from '../../survey/frame/arrangement'
import type { Survey } from '../../survey/survey'

type PartsKind = 'part' | 'fitKit' | 'lock' | 'adapter' | 'bolt' | 'nut' | 'washer' | 'consumable' | 'gear'

/** One line of the parts check: so many in all, for what, from which box, and whether they are there. */
export interface PartsLine {
  readonly id: string
  readonly kind: PartsKind
  readonly what: string
  readonly count: number
  /** How the count comes about: per joint, per side. */
  readonly counted: string
  /** The corners it belongs to, as drawing, table and log name them; none where it has no corners. */
  readonly at: readonly string[]
  readonly box: string
  readonly inBox: 'inBox' | 'notInBox' | 'unsaid'
  readonly have: 'have' | 'toBuy' | 'unsaid'
  /** What all of it costs. */
  readonly price: number | undefined
  /** How many clicks are heard before all of it is shut. */
  readonly clicks?: number
}

/** Something in a box that this job does not use. */
interface Unused {
  readonly what: string
  readonly count: number
  readonly box: string
}

interface PartsCheck {
  readonly lines: readonly PartsLine[]
  readonly unused: readonly Unused[]
  /** Bolts in all, and clicks that are heard before everything is shut. */
  readonly bolts: number
  readonly clicks: number
  readonly total: number
  readonly toBuy: number
  /** Lines of which somebody said a price. */
  readonly priced: number
  /** Lines to buy of which nobody said a price. */
  readonly unpriced: number
  /** Lines of which nobody said whether they are there: what is still to buy is more by as much as is not. */
  readonly unstated: number
}

const haveOf = (work: Work | undefined): PartsLine['have'] =>
  work?.have === undefined ? 'unsaid' : work.have ? 'have' : 'toBuy'

interface Owner {
  readonly id: string
  readonly name: string
  readonly kind: PartsKind
  readonly count: number
  readonly price: number | undefined
  readonly fasteners: readonly Fastener[]
  readonly work: Work | undefined
  readonly sides: number
  /** The corners of what stands at the feet. */
  readonly at: readonly string[]
}

/** What so many cost that are priced by the piece. */
const forAll = (price: number | undefined, count: number): number | undefined =>
  price === undefined ? undefined : price * count

const line = (
  owner: Pick<Owner, 'id' | 'name' | 'work'>,
  rest: Omit<PartsLine, 'box' | 'have' | 'price' | 'inBox' | 'at'> & Partial<PartsLine>,
): PartsLine => ({
  box: owner.name,
  inBox: owner.work?.box ? 'inBox' : 'unsaid',
  have: haveOf(owner.work),
  price: undefined,
  at: [],
  ...rest,
})

const each = (count: number, parts: number) =>
  parts > 1 && count % parts === 0 ? `${count / parts} on each of ${parts}` : 'in all'
const bySide = (count: number, sides: number) =>
  sides === 2 && count % 2 === 0 ? `, ${count / 2} a side` : ''

/** The washers of so many bolts, each kind counted by what is on one of them. */
function washerLines(
  owner: Pick<Owner, 'id' | 'name' | 'work'>,
  thread: string,
  washers: readonly Washer[],
  count: number,
): PartsLine[] {
  return [...new Set(washers)].map((kind) => {
    const per = washers.filter((each) => each === kind).length
    return line(owner, {
      id: `${owner.id}/${kind}`,
      kind: 'washer',
      what: `${kind[0]?.toUpperCase()}${kind.slice(1)} washer ${thread}`,
      count: count * per,
      counted: `${per} on each of ${count}`,
    })
  })
}

/** How many bolts of a joint this job fits: those that are on already, or come off, are not laid out. */
const boltsToFit = (fastener: Fastener): number =>
  (fastener.places ?? []).reduce(
    (left, place) => left - (toFit(place) ? 0 : boltsAt(fastener, place)),
    fastener.count,
  )

/** What a joint's bolts are called where nobody knows their thread. */
const withoutThread = ({ name }: Fastener): string =>
  name === undefined ? 'Bolt of unknown thread' : `${name}, thread unknown`

/** Bolts, nuts and washers of a joint, each counted by what is on one of them. */
function fastenerLines(owner: Owner, fastener: Fastener, i: number): PartsLine[] {
  const { count, thread, lengthMm, grade } = fastener
  if (count <= 0) return []
  const counted = `${each(count, owner.count)}${bySide(count, owner.sides)}`
  const bolt = `${thread === 'unsaid' ? withoutThread(fastener) : `Bolt ${thread}`}${lengthMm === undefined ? '' : ` × ${lengthMm}`}${grade === undefined ? '' : `, ${grade}`}`
  const id = `${owner.id}:${i}`
  return [
    {
      ...line(owner, {
        id: `${id}/bolt`,
        kind: isLatch(fastener) ? 'lock' : 'bolt',
        what: isLatch(fastener) ? (fastener.name ?? 'Latch') : bolt,
        count,
        counted,
        at: owner.at,
      }),
      ...(clicksOf(fastener) > 0 && { clicks: clicksOf(fastener) * count }),
    },
    ...(fastener.nut === undefined || fastener.nut === 'none'
      ? []
      : [
          line(owner, {
            id: `${id}/nut`,
            kind: 'nut',
            what: `${fastener.nut === 'plain' ? 'Nut' : `${fastener.nut === 'lock' ? 'Lock' : 'Channel'} nut`} ${thread}`,
            count,
            counted,
          }),
        ]),
    ...washerLines({ ...owner, id }, thread, fastener.washers ?? [], count),
  ]
}

function linesOf(owner: Owner): PartsLine[] {
  const { work } = owner
  return [
    line(owner, {
      id: owner.id,
      kind: owner.kind,
      what: owner.name,
      count: owner.count,
      counted: owner.sides === 2 && owner.count % 2 === 0 ? `${owner.count / 2} a side` : 'in all',
      price: owner.price,
    }),
    ...owner.fasteners.flatMap((fastener, i) => fastenerLines(owner, fastener, i)),
    ...(work?.box?.holds ?? []).map(({ what, count, price }, i) =>
      line(owner, {
        id: `${owner.id}/holds-${i}`,
        kind: 'part',
        what,
        count,
        counted: 'in all',
        price: forAll(price, count),
      }),
    ),
    ...(work?.box?.lacks ?? []).map(({ what, count, price }, i) =>
      line(owner, {
        id: `${owner.id}/lacks-${i}`,
        kind: 'part',
        what,
        count,
        counted: 'in all',
        inBox: 'notInBox',
        have: 'toBuy',
        price: forAll(price, count),
      }),
    ),
    ...(work?.keys
      ? [
          line(owner, {
            id: `${owner.id}/locks`,
            kind: 'lock',
            what: `Lock cores, key ${work.keys.codes.join(', ') || 'unsaid'}`,
            count: work.keys.cores,
            counted: 'in all',
          }),
        ]
      : []),
    ...(work?.consumables ?? []).map(({ what, count, price }, i) =>
      line(owner, {
        id: `${owner.id}/consumable-${i}`,
        kind: 'consumable',
        what,
        count,
        counted: 'in all',
        inBox: 'notInBox',
        have: 'unsaid',
        price: forAll(price, count),
      }),
    ),
  ]
}

const ownerOf = (part: Part, { feet }: RackAt): Owner => ({
  id: part.id,
  name: part.name,
  kind: part.role === 'fitKit' ? 'fitKit' : 'part',
  count: part.count,
  price: part.price,
  fasteners: (part.fasteners ?? []).map((each) => ({ ...each, count: boltsToFit(each) })),
  work: part.work,
  sides: feet.length > 0 && PART_ROLES[part.role].atFeet ? 2 : 1,
  at: PART_ROLES[part.role].atFeet ? feet.map(({ corner }) => corner) : [],
})

/** The bolts of a mount that goes into channels, where its sheet lists none: one a contact. */
function channelBolts({ things }: Survey, piece: Gear): PartsLine[] {
  const { mount } = piece.fit
  const placed = things.filter(({ gear, placement }) => gear.id === piece.id && toFit(placement))
  if (!isInChannel(mount) || piece.fasteners || placed.length === 0) return []
  const count = placed.reduce(
    (so, thing) =>
      so +
      contactYs(thing).length * (thing.placement.host.on === 'bars' ? thing.placement.host.barIds.length : 2),
    0,
  )
  return [
    {
      id: `${piece.id}/channel-bolts`,
      kind: 'bolt',
      what: `Channel bolt and nut ${mount.thread}${mount.boltMm === undefined ? '' : ` × ${mount.boltMm}`}`,
      count,
      counted: 'one a contact, as its sheet lists none',
      box: piece.name,
      inBox: 'unsaid',
      have: haveOf(piece.work),
      at: [],
      price: undefined,
    },
    ...washerLines(
      { id: `${piece.id}/channel-bolts`, name: piece.name, work: piece.work },
      mount.thread,
      mount.washers ?? [],
      count,
    ),
  ]
}

/** What stands on the racks: each piece of gear once for each time it is placed, with its own fasteners and adapters. */
function gearLines(surveyed: Survey): PartsLine[] {
  const { gear, placements: all } = surveyed.plan
  const placements = all.filter(toFit)
  const carriers = gear.filter(
    ({ carries, fasteners, work, kind, fit }) =>
      carries || fasteners || work || kind === 'ladder' || isInChannel(fit.mount),
  )
  const adapters = placements.flatMap(({ id, fitting }) =>
    fitting?.adapter ? [{ id, adapter: fitting.adapter }] : [],
  )
  return [
    ...carriers.flatMap((piece): PartsLine[] => {
      const count = placements.filter(({ gearId }) => gearId === piece.id).length
      if (count === 0) return []
      const own = linesOf({
        id: piece.id,
        name: piece.name,
        kind: 'gear',
        count,
        price: forAll(piece.price, count),
        fasteners: (piece.fasteners ?? []).map((each) => ({
          ...withMount(each, piece.fit),
          count: boltsToFit(each) * count,
        })),
        work: piece.work,
        sides: 1,
        at: [],
      })
      return [...own, ...channelBolts(surveyed, piece)]
    }),
    ...adapters.map(({ id, adapter }): PartsLine => ({
      id: `${id}/adapter`,
      kind: 'adapter',
      what: adapter.name,
      count: 1,
      counted: '1 set',
      box: adapter.name,
      inBox: 'unsaid',
      have: 'unsaid',
      at: [],
      price: adapter.price,
    })),
  ]
}

/** Everything that has to lie on the bench before a job begins, counted, and what of it is still to buy; what is on is on. */
export function partsCheck(surveyed: Survey): PartsCheck {
  const { plan, racks } = surveyed
  const parts = racks
    .filter(({ rack }) => toFit(rack))
    .flatMap((at) => at.rack.parts.map((part) => ({ part, at })))
  // A rack whose parts nobody listed is a thing to lay out all the same.
  const whole = racks.flatMap(({ rack }): PartsLine[] =>
    toFit(rack) && rack.parts.length === 0
      ? [
          {
            id: rack.id,
            kind: 'part',
            what: rack.name,
            count: 1,
            counted: 'in all',
            box: rack.name,
            inBox: 'unsaid',
            have: 'unsaid',
            at: [],
            price: undefined,
          },
        ]
      : [],
  )
  const lines = [
    ...whole,
    ...parts.flatMap(({ part, at }) => linesOf(ownerOf(part, at))),
    ...gearLines(surveyed),
  ]
  const sum = (list: readonly PartsLine[]) => list.reduce((so, { price = 0 }) => so + price, 0)
  const bought = lines.filter(({ have }) => have === 'toBuy')
  const works = [
    ...parts.map(({ part }) => ({ name: part.name, work: part.work })),
    ...plan.gear.map(({ name, work }) => ({ name, work })),
  ]
  return {
    lines,
    unused: works.flatMap(({ name, work }) =>
      (work?.box?.unused ?? []).map(({ what, count }) => ({ what, count, box: name })),
    ),
    bolts: lines.reduce((so, { kind, count }) => so + (kind === 'bolt' ? count : 0), 0),
    clicks: lines.reduce((so, { clicks = 0 }) => so + clicks, 0),
    total: sum(lines),
    toBuy: sum(bought),
    priced: lines.filter(({ price }) => price !== undefined).length,
    unpriced: bought.filter(({ price }) => price === undefined).length,
    unstated: lines.filter(({ have, inBox }) => have === 'unsaid' && inBox !== 'inBox').length,
  }
}

/** What counting turned up: too few of a thing stops the job before it begins, too many means something was left out. */
export function countFindings(check: PartsCheck, counted: ReadonlyMap<string, number>): Finding[] {
  return check.lines.flatMap((each): Finding[] => {
    const count = counted.get(each.id)
    const common = {
      id: `counted ${each.id}`,
      rule: 'parts',
      state: 'all',
      subject: { placementIds: [] },
    } as const
    if (count === undefined || count === each.count) return []
    const off = count - each.count
    return [
      off < 0
        ? {
            ...common,
            severity: 'stop',
            sentence: [
              `${each.what}: ${count} of ${each.count}. ${-off} missing; do not start without ${off === -1 ? 'it' : 'them'}.`,
            ],
          }
        : {
            ...common,
            severity: 'mind',
            sentence: [
              `${each.what}: ${count}, and the job takes ${each.count}. ${off} left over: a spare, or a joint that was left out.`,
            ],
          },
    ]
  })
}
