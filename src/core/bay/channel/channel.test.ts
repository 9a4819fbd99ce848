import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { yardVan } from '@/demo/plans'
import { survey } from '../../survey/survey'
import { phraseText } from '../../units/phrase'
import {
  barChannels,
  bedChannels,
  channelFindings,
  loadingOrder,
  placeIn,
  withSeen,
  type LoadedChannel,
} from './channel'
import { runs } from '@/core/runs.testing'

const nut = (id: string, atMm: number) => ({ id, name: id, atMm })
const channel = (patch: Partial<LoadedChannel>): LoadedChannel => ({
  id: 'bar',
  name: 'Front bar',
  ends: { low: 'left end', high: 'right end' },
  open: { low: true, high: true },
  span: { fromMm: -850, toMm: 850 },
  datum: 'middle',
  inside: [],
  wanted: [],
  ...patch,
})

const places = fc.uniqueArray(fc.integer({ min: -800, max: 800 }), { minLength: 1, maxLength: 12 })

describe('loading a channel', () => {
  it('brings in first what has furthest to go', () => {
    const order = loadingOrder(channel({ wanted: [nut('a', -300), nut('b', 200), nut('c', 500)] }))
    expect(order.map(({ nut: { id } }) => id)).toEqual(['c', 'b', 'a'])
    expect(order.every((each) => each.kind === 'enters' && each.end === 'low')).toBe(true)
  })

  it('uses both ends round a foot that stands in it, and says what is shut in between two', () => {
    const feet = [
      { ...nut('foot-left', -400), fixed: true },
      { ...nut('foot-right', 400), fixed: true },
    ]
    const order = loadingOrder(
      channel({ inside: feet, wanted: [nut('l', -500), nut('m', 0), nut('r', 600)] }),
    )
    expect(order.map(({ kind, nut: { id } }) => `${kind} ${id}`)).toEqual([
      'enters l',
      'enters r',
      'blocked m',
    ])
    expect(order[2]).toMatchObject({ by: { id: 'foot-left' } })
  })

  it('from one open end only', () => {
    const order = loadingOrder(
      channel({ open: { low: false, high: true }, wanted: [nut('a', 100), nut('b', 300)] }),
    )
    expect(order.map(({ nut: { id } }) => id)).toEqual(['a', 'b'])
    const shut = loadingOrder(channel({ open: { low: false, high: false }, wanted: [nut('a', 1)] }))
    expect(shut[0]).toMatchObject({ kind: 'blocked', by: { name: 'a closed end' } })
  })

  it('never passes what is in there, nor a nut that came before: slid in one by one', () => {
    fc.assert(
      fc.property(places, places, fc.boolean(), fc.boolean(), (wantedAt, insideAt, low, high) => {
        const given = channel({
          open: { low, high },
          wanted: wantedAt.map((at, i) => nut(`n${i}`, at + 0.5)),
          inside: insideAt.map((at, i) => ({ ...nut(`f${i}`, at), fixed: i % 2 === 0 })),
        })
        const order = loadingOrder(given)
        expect(order).toHaveLength(given.wanted.length)
        const there = given.inside.map(({ atMm }) => atMm)
        for (const entry of order) {
          const at = entry.nut.atMm
          const passed = (end: 'low' | 'high') =>
            there.some((each) => (end === 'low' ? each < at : each > at))
          if (entry.kind === 'enters') {
            expect(given.open[entry.end]).toBe(true)
            expect(passed(entry.end)).toBe(false)
            there.push(at)
          } else {
            const free = (end: 'low' | 'high') =>
              given.open[end] && !given.inside.some(({ atMm }) => (end === 'low' ? atMm < at : atMm > at))
            expect(free('low') || free('high')).toBe(false)
          }
        }
      }),
      { numRuns: runs(1000) },
    )
  })
})

describe('the channels of a plan', () => {
  it('are those that something is bolted into', () => {
    const found = barChannels(survey(yardVan))
    expect(found.map(({ barId }) => barId)).toEqual(['van-front'])
    expect(found[0]?.channel.wanted.length).toBeGreaterThanOrEqual(1)
    expect(bedChannels(survey(yardVan))).toEqual([])
  })

  it('of a bed open at the tailgate, past its cleats only where there are none', () => {
    const plan = {
      ...yardVan,
      vehicle: {
        ...yardVan.vehicle,
        attachments: yardVan.vehicle.attachments.map((each) =>
          each.id === 'van-points'
            ? {
                kind: 'bedChannel' as const,
                id: each.id,
                name: 'Bed channel',
                ratings: [],
                gaugeMm: 1600,
                topZMm: 900,
                ranges: [{ fromMm: 400, toMm: 3200 }],
                posts: [{ fromMm: 1000, toMm: 1040 }],
              }
            : each,
        ),
      },
    }
    const [left] = bedChannels(survey(plan))
    const order = loadingOrder(left!.channel)
    expect(order.map(({ kind, nut: { name } }) => `${kind} ${name.slice(0, 3)}`)).toEqual([
      'enters LHM',
      'enters LHR',
      'blocked LHF',
    ])
  })
})

describe('what was seen in a channel (B13)', () => {
  const given = channel({ wanted: [nut('a', -300), nut('b', 300)] })

  it('is said from its low end, and blocks what would pass it', () => {
    // 100 mm from the left end of a bar of 1700 is 750 left of its middle.
    const seen = [{ what: 'an old clamp', fromLowMm: 100, fixed: true }]
    const loaded = withSeen(given, seen)
    expect(loaded.inside).toEqual([{ id: 'seen-0', name: 'an old clamp', atMm: -750, fixed: true }])
    expect(loadingOrder(loaded).every((each) => each.kind === 'enters' && each.end === 'high')).toBe(true)
    const both = [...seen, { what: 'a plate', fromLowMm: 1600, fixed: false }]
    const found = channelFindings({ barId: 'bar', rackId: 'r', channel: given, unsure: [] }, both)
    expect(found.map(({ severity }) => severity)).toEqual(['mind', 'mind'])
    expect(phraseText(found[0]?.sentence ?? [])).toContain('does not pass')
    expect(channelFindings({ barId: 'bar', rackId: 'r', channel: given, unsure: [] }, [])).toEqual([])
    const [unsure] = channelFindings({ barId: 'bar', rackId: 'r', channel: given, unsure: ['Box'] }, [])
    expect(unsure?.severity).toBe('findOut')
  })

  it('and each place from the channel’s own datum, never from a middle that lies elsewhere', () => {
    expect(phraseText(placeIn(given, -300)).replace(/\s/g, ' ')).toBe(
      '300 mm from the middle, toward the left end',
    )
    expect(phraseText(placeIn(given, 0))).toBe('the middle')
    const bed = channel({
      datum: 'low',
      span: { fromMm: 2400, toMm: 3900 },
      ends: { low: 'cab end', high: 'tailgate end' },
    })
    expect(phraseText(placeIn(bed, 2700)).replace(/\s/g, ' ')).toBe('300 mm from the cab end')
  })
})
