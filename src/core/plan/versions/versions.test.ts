import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { readPlan } from '../../formats/plan-file'
import { type FormatLift, FORMAT_VERSION, LIFTS } from '../schema/lifts'
import { FORMAT } from '../schema/plan'
import { liftToPresent } from './versions'

describe('versions of the format', () => {
  it('has a lift for every version before the present one', () => {
    expect(LIFTS.map((lift) => lift.from)).toEqual(
      Array.from({ length: FORMAT_VERSION - 1 }, (_, i) => i + 1),
    )
  })

  it('lifts an old file step by step to the present', () => {
    const lifts: FormatLift[] = [
      { from: 1, lift: (raw) => ({ ...raw, a: 1 }) },
      { from: 2, lift: (raw) => ({ ...raw, b: Number(raw['a']) + 1 }) },
    ]
    expect(liftToPresent({ format: FORMAT, version: 1 }, lifts, 3)).toEqual({
      ok: true,
      raw: { format: FORMAT, version: 3, a: 1, b: 2 },
    })
    expect(liftToPresent({ format: FORMAT, version: 1 }, lifts.slice(1), 3)).toMatchObject({
      ok: false,
      path: 'version',
    })
  })

  it('lifts the lengths that version 1 measured into measurements that say what they are about', () => {
    const old = {
      ...boatAndBox,
      version: 1,
      measurements: [{ id: 'm', what: 'Rail to glass', datum: 'edge to edge', readingsMm: [41, 42] }],
    }
    const read = readPlan(old)
    expect(read.ok && read.plan.measurements).toEqual([
      {
        kind: 'length',
        id: 'm',
        of: { about: 'other', what: 'Rail to glass' },
        datum: 'edge to edge',
        readingsMm: [41, 42],
      },
    ])
    expect(readPlan({ ...old, measurements: 'none' }).ok).toBe(false)
  })

  it.each([
    [null, 'plan'],
    [[], 'plan'],
    [{ format: 'other' }, 'format'],
    [{ format: FORMAT }, 'version'],
    [{ format: FORMAT, version: 0 }, 'version'],
    [{ format: FORMAT, version: 1.5 }, 'version'],
  ])('refuses %j and names the field', (raw, path) => {
    expect(liftToPresent(raw)).toMatchObject({ ok: false, path })
  })

  it('asks for a newer Ypsos when the file is newer', () => {
    const read = readPlan({ ...boatAndBox, version: FORMAT_VERSION + 1 })
    expect(read.ok ? '' : read.problems[0]?.text).toContain('newer')
  })

  it('calls what was typed by the names of its fields, in files of before too', () => {
    const lifted = liftToPresent({
      format: FORMAT,
      version: 3,
      vehicle: { roof: { toXMm: 2413 }, kerbKg: 1588, typed: { roofTo: '95 in', kerb: '3500 lb' } },
      racks: [
        {
          parts: [{ eachKg: 0.9, typed: { each: '2 lb' } }],
          bars: [{ xMm: 1016, feetYMm: [-533, 533], typed: { xMm: '40 in', feet: '42 in' } }],
        },
      ],
    })
    expect(lifted).toMatchObject({
      raw: {
        vehicle: { typed: { 'roof.toXMm': '95 in', kerbKg: '3500 lb' } },
        racks: [
          {
            parts: [{ typed: { eachKg: '2 lb' } }],
            bars: [{ typed: { xMm: '40 in', 'feetYMm.apart': '42 in' } }],
          },
        ],
      },
    })
  })
})
