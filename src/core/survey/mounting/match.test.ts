import type { Mount } from '../../kinds/mount'
import { describe, expect, it } from 'vitest'
import type { Adapter } from '../../plan/schema/placement'
import { boltNeed } from './bolt'
import { adapterFor, match, matchThrough, type Offer } from './match'

const SIZE = { kind: 'box', lengthMm: 1000, widthMm: 500, heightMm: 300 } as const
const bar = (rest: Partial<Extract<Offer, { kind: 'bar' }>> = {}): Offer => ({
  kind: 'bar',
  widthMm: 80,
  heightMm: 28,
  roomMm: 60,
  channel: { slotMm: 20, headRoomMm: 8, depthMm: 30 },
  ...rest,
})
const CLAMP: Mount = {
  kind: 'wrapClamp',
  sectionWidthMm: { fromMm: 40, toMm: 85 },
  sectionHeightMm: { fromMm: 15, toMm: 30 },
  underBarMm: 20,
}
const bolt = (rest: Partial<Extract<Mount, { kind: 'channelBolt' }>> = {}): Mount => ({
  kind: 'channelBolt',
  slotMm: 20,
  headMm: 7,
  thread: 'M6',
  stackMm: 14,
  ...rest,
})

describe('bolt length (common practice; sizes by ISO 4032, 7089, 261 and 888, from memory)', () => {
  it('is stack, washer, nut and two threads, next standard length up', () => {
    expect(boltNeed('M6', 14)).toEqual({ washerMm: 1.6, neededMm: 14 + 1.6 + 5.2 + 2, standardMm: 25 })
    expect(boltNeed('M8', 20)?.neededMm).toBeCloseTo(30.9, 9)
    expect(boltNeed('M8', 20)?.standardMm).toBe(35)
    expect(boltNeed('M6', 16.2)?.standardMm).toBe(25)
    expect(boltNeed('M6', 16.3)?.standardMm).toBe(30)
    expect(boltNeed('M10', 200)?.standardMm).toBeUndefined()
    expect(boltNeed('W 5/16', 10)).toBeUndefined()
  })
})

describe('a wrap clamp', () => {
  it('closes on a section within its range, both ends included', () => {
    expect(match(bar(), CLAMP, SIZE).kind).toBe('fits')
    expect(match(bar({ widthMm: 85, heightMm: 30 }), CLAMP, SIZE).kind).toBe('fits')
  })
  it('does not on one too tall or too wide, and says by how much', () => {
    expect(match(bar({ heightMm: 35 }), CLAMP, SIZE)).toMatchObject({
      kind: 'doesNot',
      short: { haveMm: 35, wantFromMm: 15, wantToMm: 30 },
    })
    expect(match(bar({ widthMm: 30 }), CLAMP, SIZE)).toMatchObject({ kind: 'doesNot', short: { haveMm: 30 } })
  })
  it('needs its room under the bar', () => {
    expect(match(bar({ roomMm: 20 }), CLAMP, SIZE).kind).toBe('fits')
    expect(match(bar({ roomMm: 19 }), CLAMP, SIZE)).toMatchObject({
      kind: 'doesNot',
      short: { haveMm: 19, wantFromMm: 20 },
    })
  })
  it('has nothing to close on at a deck', () => {
    expect(match({ kind: 'slats', slotMm: 11 }, CLAMP, SIZE).kind).toBe('doesNot')
  })
})

describe('a channel bolt', () => {
  it('holds where slot and head room suit, and names its length', () => {
    expect(match(bar(), bolt(), SIZE)).toEqual({
      kind: 'fits',
      bolt: { thread: 'M6', neededMm: 22.8, standardMm: 25, lengthMm: 25 },
    })
    expect(match(bar(), bolt({ boltMm: 30 }), SIZE)).toEqual({
      kind: 'fits',
      bolt: { thread: 'M6', neededMm: 22.8, standardMm: 25, lengthMm: 30 },
    })
  })
  it('asks for a longer one when that in the box is too short, and holds once it is chosen', () => {
    expect(match(bar(), bolt({ boltMm: 20 }), SIZE)).toEqual({
      kind: 'fitsWith',
      change: {
        kind: 'bolt',
        bolt: { thread: 'M6', neededMm: 22.8, standardMm: 25, lengthMm: 25 },
        haveMm: 20,
      },
    })
    expect(match(bar(), bolt({ boltMm: 20 }), SIZE, { boltMm: 25 }).kind).toBe('fits')
  })
  it('asks for its size where somebody has said that there is one, and for whether there is where nobody has', () => {
    const sized = match(bar({ channel: 'there' }), bolt(), SIZE)
    expect(sized).toMatchObject({ kind: 'unknown', of: 'holder' })
    expect(sized.kind === 'unknown' ? sized.lacks : '').toBe('the width of its channel’s mouth and its depth')
    const unseen = match(bar({ channel: undefined }), bolt(), SIZE)
    expect(unseen.kind === 'unknown' ? unseen.lacks : '').toMatch(/^whether there is a channel/)
    expect(match(bar({ channel: 'none' }), bolt(), SIZE).kind).toBe('doesNot')
  })
  it('takes another nut where it has one for the slot', () => {
    const narrow = bar({ channel: { slotMm: 11, headRoomMm: 7 } })
    expect(match(narrow, bolt({ otherSlotsMm: [11] }), SIZE)).toEqual({
      kind: 'fitsWith',
      change: { kind: 'nut', slotMm: 11 },
    })
    expect(match(narrow, bolt({ otherSlotsMm: [11] }), SIZE, { nutSlotMm: 11 }).kind).toBe('fits')
    expect(match(narrow, bolt(), SIZE)).toMatchObject({
      kind: 'doesNot',
      short: { haveMm: 11, wantFromMm: 19, wantToMm: 21 },
    })
  })
  it('does not without a channel, nor in one too shallow', () => {
    expect(match(bar({ channel: 'none' }), bolt(), SIZE).kind).toBe('doesNot')
    // That nobody gave a channel says nothing of a profile that usually has one.
    expect(match(bar({ channel: undefined }), bolt(), SIZE)).toMatchObject({ kind: 'unknown', of: 'holder' })
    expect(match(bar({ channel: { slotMm: 20, headRoomMm: 6 } }), bolt(), SIZE)).toMatchObject({
      kind: 'doesNot',
      short: { haveMm: 6, wantFromMm: 7 },
    })
  })
  it('is to find out for a thread that no table here has', () => {
    expect(match(bar(), bolt({ thread: 'W 5/16' }), SIZE).kind).toBe('unknown')
  })
})

describe('slats, panels and places', () => {
  it('a slat takes its own slot, and is to find out where that is unknown', () => {
    const slat: Mount = { kind: 'slat', slotMm: 11 }
    expect(match({ kind: 'slats', slotMm: 11 }, slat, SIZE).kind).toBe('fits')
    expect(match({ kind: 'slats', slotMm: 14 }, slat, SIZE).kind).toBe('doesNot')
    expect(match({ kind: 'slats', slotMm: undefined }, slat, SIZE).kind).toBe('unknown')
  })
  it('a panel takes its own pitch and so many holes', () => {
    const holes: Mount = { kind: 'panelHoles', pitchMm: 50, columns: 3, rows: 2 }
    const grid = { pitchMm: 50, columns: 3, rows: 2 }
    expect(match({ kind: 'panel', grid }, holes, SIZE).kind).toBe('fits')
    expect(match({ kind: 'panel', grid: { ...grid, rows: 1 } }, holes, SIZE).kind).toBe('doesNot')
    expect(match({ kind: 'panel', grid: { ...grid, pitchMm: 60 } }, holes, SIZE).kind).toBe('doesNot')
    expect(match({ kind: 'panel', grid: undefined }, holes, SIZE).kind).toBe('unknown')
  })
  it('a cradle takes a width, a clamp the hole for a handle, a box what goes in', () => {
    const place = { id: 'p', name: 'P', kind: 'cradle', xMm: 0, yMm: 0, zMm: 0 } as const
    const strap: Mount = { kind: 'strap' }
    const cradle: Offer = {
      kind: 'place',
      room: undefined,
      place: { ...place, takesWidthMm: { fromMm: 450, toMm: 600 } },
    }
    expect(match(cradle, strap, SIZE).kind).toBe('fits')
    expect(match(cradle, strap, { ...SIZE, widthMm: 640 }).kind).toBe('doesNot')
    const clamp: Offer = {
      kind: 'place',
      room: undefined,
      place: {
        ...place,
        kind: 'clamp',
        takes: ['tool'],
        holesMm: [
          { fromMm: 20, toMm: 28 },
          { fromMm: 28, toMm: 42 },
        ],
      },
    }
    const handle: Mount = { kind: 'handle', diameterMm: 34 }
    const tool = { ...SIZE, kind: 'tool' } as const
    expect(match(clamp, handle, tool)).toEqual({ kind: 'fitsWith', change: { kind: 'hole', index: 1 } })
    expect(match(clamp, handle, tool, { hole: 1 }).kind).toBe('fits')
    expect(match(clamp, { kind: 'handle', diameterMm: 45 }, tool).kind).toBe('doesNot')
    expect(match(clamp, handle, SIZE).kind).toBe('doesNot')
    const box: Offer = { kind: 'place', room: SIZE, place: { ...place, kind: 'inside' } }
    expect(match(box, { kind: 'none' }, SIZE).kind).toBe('fits')
    expect(match(box, { kind: 'none' }, { ...SIZE, lengthMm: 1001 })).toMatchObject({
      short: { haveMm: 1001, wantToMm: 1000 },
    })
  })
})

describe('an adapter', () => {
  const adapter: Adapter = {
    id: 'saddle',
    name: 'Saddle',
    kg: 1,
    heightMm: 24,
    mount: {
      kind: 'uBolt',
      sectionWidthMm: { fromMm: 50, toMm: 70 },
      sectionHeightMm: { fromMm: 30, toMm: 45 },
    },
    gives: { kind: 'section', widthMm: 70, heightMm: 24, roomMm: 30 },
    rated: { by: 'own', ratings: [] },
  }
  it('turns what a bar offers into what a clamp takes, where it itself holds', () => {
    const heavy = bar({ widthMm: 60, heightMm: 35 })
    expect(match(heavy, CLAMP, SIZE).kind).toBe('doesNot')
    expect(matchThrough(heavy, CLAMP, SIZE, { adapter }).kind).toBe('fits')
    expect(adapterFor(heavy, CLAMP, SIZE, [adapter])).toBe(adapter)
    expect(matchThrough(bar({ widthMm: 90, heightMm: 35 }), CLAMP, SIZE, { adapter }).kind).toBe('doesNot')
  })
})
