import type { Channel, Mount, Range } from '../../kinds/mount'
import type { ThingAt } from '../frame/arrangement'
import type { Adapter, Fitting } from '../../plan/schema/placement'
import type { Gear, Place } from '../../plan/schema/gear'
import { TOLERANCE } from '../../units/tolerance'
import { boltNeed, LONGEST_STANDARD_MM } from './bolt'

/** Length, width and height as a thing lies, mm. */
interface Size {
  readonly lengthMm: number
  readonly widthMm: number
  readonly heightMm: number
}

/** What asks to be held: its kind and its size. */
interface Asking extends Size {
  readonly kind: Gear['kind']
}

/** What a host offers to hold by. */
export type Offer =
  | {
      readonly kind: 'bar'
      readonly widthMm: number
      readonly heightMm: number
      /** Room under the bar where the contacts are, the least of them; nothing under it to hit: unbounded. */
      readonly roomMm: number
      /** Tubes and flat bars have none where none is given; of others nobody has looked, or nobody has measured it. */
      readonly channel: Channel | 'there' | 'none' | undefined
    }
  | { readonly kind: 'slats'; readonly slotMm: number | undefined }
  | {
      readonly kind: 'panel'
      readonly grid: { readonly pitchMm: number; readonly columns: number; readonly rows: number } | undefined
    }
  /** `room` is what a closed carrier holds at most: its own size. */
  | { readonly kind: 'place'; readonly place: Place; readonly room: Size | undefined }
  | { readonly kind: 'channelAlong'; readonly channel: Channel | undefined }
  | { readonly kind: 'rungs' }

/** What would make a mount fit that does not as it comes. */
type Change =
  | { readonly kind: 'bolt'; readonly bolt: BoltNote; readonly haveMm: number }
  | { readonly kind: 'nut'; readonly slotMm: number }
  | { readonly kind: 'hole'; readonly index: number }

/** Which size was compared, mm. */
export interface Short {
  readonly what: string
  readonly haveMm: number
  readonly wantFromMm: number
  readonly wantToMm: number
}

/** What a bolt through this joint must be, where the joint has one. mm */
interface BoltNote {
  readonly thread: string
  /** What stack, washer, nut and two clear threads come to. */
  readonly neededMm: number
  /** The next standard length up. */
  readonly standardMm: number
  /** The one that is used: what is there, or the standard one. */
  readonly lengthMm: number
}

export type Match =
  | { readonly kind: 'fits'; readonly bolt?: BoltNote }
  | { readonly kind: 'fitsWith'; readonly change: Change }
  /** `of` says whose sheet tells: the thing's own unless it is what holds it. */
  | { readonly kind: 'unknown'; readonly lacks: string; readonly of?: 'holder' }
  | { readonly kind: 'doesNot'; readonly why: string; readonly short?: Short }

/** The size that is compared where a clamp reaches under a bar. */
export const UNDER_BAR = 'room under the bar'

const FITS: Match = { kind: 'fits' }
/** Nobody has looked yet how it is held. */
const UNSAID: Match = { kind: 'unknown', lacks: 'how it is held' }
const HAIR_MM = TOLERANCE.partMm
/** A nut or slide made for one mouth enters another that differs by no more. Common practice, no source. */
const SLOT_PLAY_MM = 1

const within = (value: number, { fromMm, toMm }: Range) =>
  value >= fromMm - HAIR_MM && value <= toMm + HAIR_MM
const doesNot = (why: string, short?: Short): Match =>
  short ? { kind: 'doesNot', why, short } : { kind: 'doesNot', why }
const short = (what: string, haveMm: number, { fromMm, toMm }: Range): Short => ({
  what,
  haveMm,
  wantFromMm: fromMm,
  wantToMm: toMm,
})

function section(width: number, height: number, ask: { sectionWidthMm: Range; sectionHeightMm: Range }) {
  if (!within(width, ask.sectionWidthMm))
    return doesNot('the clamp cannot close on it', short('the bar’s width', width, ask.sectionWidthMm))
  if (!within(height, ask.sectionHeightMm))
    return doesNot('the clamp cannot close on it', short('the bar’s height', height, ask.sectionHeightMm))
  return undefined
}

type ChannelBolt = Extract<Mount, { kind: 'channelBolt' }>

function inChannel(
  channel: Channel | 'there' | 'none' | undefined,
  ask: ChannelBolt,
  fitting: Fitting,
  throughMm = Infinity,
): Match {
  if (channel === 'none') return doesNot('there is no channel in it')
  if (!channel || channel === 'there')
    return {
      kind: 'unknown',
      lacks: `${channel ? '' : 'whether there is a channel, and '}the width of its channel’s mouth and its depth`,
      of: 'holder',
    }
  if (ask.headMm > channel.headRoomMm + HAIR_MM)
    return doesNot(
      'the channel is too shallow for its head',
      short('room in the channel', channel.headRoomMm, { fromMm: ask.headMm, toMm: Infinity }),
    )
  const enters = (slotMm: number) => Math.abs(channel.slotMm - slotMm) <= SLOT_PLAY_MM + HAIR_MM
  const chosen = fitting.nutSlotMm ?? ask.slotMm
  if (!enters(chosen)) {
    const other = [ask.slotMm, ...(ask.otherSlotsMm ?? [])].find(enters)
    return other === undefined
      ? doesNot(
          'the slot is another one',
          short('the slot', channel.slotMm, {
            fromMm: ask.slotMm - SLOT_PLAY_MM,
            toMm: ask.slotMm + SLOT_PLAY_MM,
          }),
        )
      : { kind: 'fitsWith', change: { kind: 'nut', slotMm: other } }
  }
  const need = boltNeed(ask.thread, ask.stackMm)
  const haveMm = fitting.boltMm ?? ask.boltMm
  if (!need) return { kind: 'unknown', lacks: `the length of the ${ask.thread} bolt for this stack` }
  if (need.standardMm === undefined)
    return doesNot(
      'it needs a bolt longer than any standard one',
      short('the longest standard bolt', LONGEST_STANDARD_MM, { fromMm: need.neededMm, toMm: Infinity }),
    )
  const standard: BoltNote = {
    thread: ask.thread,
    neededMm: need.neededMm,
    standardMm: need.standardMm,
    lengthMm: need.standardMm,
  }
  if (haveMm !== undefined && haveMm < need.neededMm - HAIR_MM)
    return { kind: 'fitsWith', change: { kind: 'bolt', bolt: standard, haveMm } }
  // From above, its end goes down past the mouth by what stack and washer leave over: to the channel's floor at most,
  // or to the bar's far wall where nobody knows how deep the channel is.
  const downMm = (haveMm ?? 0) - ask.stackMm - need.washerMm
  if (
    haveMm !== undefined &&
    channel.depthMm === undefined &&
    throughMm < Infinity &&
    downMm <= throughMm + HAIR_MM
  ) {
    // Where nobody knows how deep the channel is, only what its head's room takes is sure.
    if (downMm > channel.headRoomMm + HAIR_MM)
      return {
        kind: 'unknown',
        lacks: 'the depth of the channel, from its lip to its floor (a bolt can be too long)',
      }
  }
  if (haveMm !== undefined && downMm > Math.min(channel.depthMm ?? throughMm, throughMm) + HAIR_MM)
    return { kind: 'fitsWith', change: { kind: 'bolt', bolt: standard, haveMm } }
  return { kind: 'fits', bolt: { ...standard, lengthMm: haveMm ?? need.standardMm } }
}

function onBar(offer: Extract<Offer, { kind: 'bar' }>, ask: Mount, fitting: Fitting): Match {
  switch (ask.kind) {
    case 'wrapClamp': {
      const wrong = section(offer.widthMm, offer.heightMm, ask)
      if (wrong) return wrong
      return offer.roomMm < ask.underBarMm - HAIR_MM
        ? doesNot(
            'there is too little room under it',
            short(UNDER_BAR, offer.roomMm, { fromMm: ask.underBarMm, toMm: Infinity }),
          )
        : FITS
    }
    case 'uBolt':
      return section(offer.widthMm, offer.heightMm, ask) ?? FITS
    case 'channelBolt':
      return inChannel(offer.channel, ask, fitting, offer.heightMm)
    case 'unsaid':
      return UNSAID
    case 'strap':
    case 'bracket':
      return FITS
    case 'slat':
      return doesNot('it needs a slat')
    case 'panelHoles':
      return doesNot('it needs a panel with holes')
    case 'handle':
    case 'none':
      return doesNot('nothing there holds it; it needs a carrier')
  }
}

function onSlats(slotMm: number | undefined, ask: Mount, fitting: Fitting): Match {
  switch (ask.kind) {
    case 'unsaid':
      return UNSAID
    case 'strap':
    case 'bracket':
      return FITS
    case 'slat':
      if (slotMm === undefined) return { kind: 'unknown', lacks: 'the mouth of the slots between the slats' }
      return Math.abs(slotMm - ask.slotMm) <= SLOT_PLAY_MM + HAIR_MM
        ? FITS
        : doesNot(
            'the slot is another one',
            short('the slot', slotMm, { fromMm: ask.slotMm - SLOT_PLAY_MM, toMm: ask.slotMm + SLOT_PLAY_MM }),
          )
    case 'channelBolt':
      return slotMm === undefined
        ? { kind: 'unknown', lacks: 'the mouth of the slots between the slats' }
        : inChannel({ slotMm, headRoomMm: Infinity }, ask, fitting)
    case 'wrapClamp':
    case 'uBolt':
      return doesNot('a clamp has nothing to close on there')
    case 'panelHoles':
      return doesNot('it needs a panel with holes')
    case 'handle':
    case 'none':
      return doesNot('nothing there holds it; it needs a carrier')
  }
}

function onPanel(grid: Extract<Offer, { kind: 'panel' }>['grid'], ask: Mount): Match {
  if (ask.kind === 'strap') return FITS
  if (ask.kind !== 'panelHoles') return doesNot('only a mount that bolts to its holes holds there')
  if (!grid) return { kind: 'unknown', lacks: 'the pitch of the panel’s holes' }
  if (Math.abs(grid.pitchMm - ask.pitchMm) > SLOT_PLAY_MM)
    return doesNot(
      'the holes have another pitch',
      short('the pitch', grid.pitchMm, { fromMm: ask.pitchMm, toMm: ask.pitchMm }),
    )
  return ask.columns > grid.columns || ask.rows > grid.rows
    ? doesNot(`there are ${grid.columns} by ${grid.rows} holes, it needs ${ask.columns} by ${ask.rows}`)
    : FITS
}

function inPlace(
  { place, room }: Extract<Offer, { kind: 'place' }>,
  ask: Mount,
  thing: Asking,
  fitting: Fitting,
): Match {
  if (place.takes && !place.takes.includes(thing.kind)) return doesNot('it is made for other gear')
  if (place.takesWidthMm && !within(thing.widthMm, place.takesWidthMm))
    return doesNot('it is of another width', short('its width', thing.widthMm, place.takesWidthMm))
  if (room)
    for (const [what, key] of [
      ['its length', 'lengthMm'],
      ['its width', 'widthMm'],
      ['its height', 'heightMm'],
    ] as const)
      if (thing[key] > room[key] + HAIR_MM)
        return doesNot('it does not fit in', short(what, thing[key], { fromMm: 0, toMm: room[key] }))
  if (ask.kind !== 'handle') return FITS
  if (!place.holesMm)
    return place.kind === 'clamp' ? { kind: 'unknown', lacks: 'which handles the clamp’s holes take' } : FITS
  const chosen = place.holesMm[fitting.hole ?? 0]
  if (chosen && within(ask.diameterMm, chosen)) return FITS
  const index = place.holesMm.findIndex((hole) => within(ask.diameterMm, hole))
  if (index >= 0) return { kind: 'fitsWith', change: { kind: 'hole', index } }
  const span = {
    fromMm: Math.min(...place.holesMm.map((hole) => hole.fromMm)),
    toMm: Math.max(...place.holesMm.map((hole) => hole.toMm)),
  }
  return doesNot('no hole takes its handle', short('the handle', ask.diameterMm, span))
}

/** What an adapter offers in place of what it stands on. */
function offerOfAdapter({ gives }: Adapter): Offer {
  return gives.kind === 'section'
    ? {
        kind: 'bar',
        widthMm: gives.widthMm,
        heightMm: gives.heightMm,
        roomMm: gives.roomMm,
        channel: 'none',
      }
    : {
        kind: 'bar',
        widthMm: 0,
        heightMm: 0,
        roomMm: Infinity,
        channel: { slotMm: gives.slotMm, headRoomMm: gives.headRoomMm },
      }
}

/**
 * Whether a thing's mount holds on what a host offers: as it comes, with one change, or not and by how much;
 * unknown where a size that it depends on is missing. The thing's own size counts for cradles and closed carriers.
 */
export function match(offer: Offer, ask: Mount, thing: Asking, fitting: Fitting = {}): Match {
  if (ask.kind === 'unsaid' && offer.kind !== 'rungs')
    return { kind: 'unknown', lacks: 'how it is held, on its sheet' }
  switch (offer.kind) {
    case 'bar':
      return onBar(offer, ask, fitting)
    case 'slats':
      return onSlats(offer.slotMm, ask, fitting)
    case 'panel':
      return onPanel(offer.grid, ask)
    case 'place':
      return inPlace(offer, ask, thing, fitting)
    case 'channelAlong':
      return ask.kind === 'channelBolt'
        ? inChannel(offer.channel, ask, fitting)
        : doesNot('only a bolt for its slot holds there')
    case 'rungs':
      return FITS
  }
}

/** A match through the adapter chosen: the adapter must hold on the host and the thing on the adapter. */
export function matchThrough(offer: Offer, ask: Mount, thing: Asking, fitting: Fitting): Match {
  const { adapter } = fitting
  if (!adapter) return match(offer, ask, thing, fitting)
  const under = match(offer, adapter.mount, thing)
  return under.kind === 'fits' ? match(offerOfAdapter(adapter), ask, thing, fitting) : under
}

/** The first of several adapters with which a mount that does not hold would. */
export function adapterFor(
  offer: Offer,
  ask: Mount,
  thing: Asking,
  adapters: readonly Adapter[],
): Adapter | undefined {
  return adapters.find((adapter) => matchThrough(offer, ask, thing, { adapter }).kind === 'fits')
}

/** What a placed thing asks with: its kind and its size as it lies, with what hangs under it and stands over it. */
export function askingOf({ gear, outer: box }: Pick<ThingAt, 'gear' | 'outer'>): Asking {
  return {
    kind: gear.kind,
    lengthMm: box.x1 - box.x0,
    widthMm: box.y1 - box.y0,
    heightMm: box.z1 - box.z0,
  }
}
