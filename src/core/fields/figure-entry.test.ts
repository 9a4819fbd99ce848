import { describe, expect, it } from 'vitest'
import { squareBars, wingBars } from '@/demo/racks'
import { estate } from '@/demo/vehicles'
import { rackSchema, type Rack } from '../plan/schema/rack'
import { vehicleSchema } from '../plan/schema/vehicle'
import { toDraft, type Draft, type DraftOf } from './draft'
import type { Group, Variants } from './field'
import { RACK_FIELD } from './rack-fields'
import { readWhole as readDraft } from './read-whole.testing'
import { VEHICLE_FIELD } from './vehicle-fields'
import type * as z from '../units/schema'

const SHOWN = { system: 'metric' as const, typed: {}, rel: '' }

/** A draft with one text changed or put in, by its path. */
function typed(draft: Draft, path: readonly string[], text: Draft): Draft {
  const [key, ...rest] = path
  if (key === undefined) return text
  if (Array.isArray(draft))
    return draft.map((each: Draft, i) => (String(i) === key ? typed(each, rest, text) : each))
  const group = draft as DraftOf
  return { ...group, [key]: typed(group[key] ?? {}, rest, text) }
}

function entered<T>(
  field: Group | Variants,
  schema: z.ZodMiniType<T>,
  was: T,
  ...texts: (readonly [path: string, text: Draft])[]
) {
  const draft = texts.reduce<Draft>(
    (draft, [path, text]) => typed(draft, path.split('.'), text),
    toDraft(field, was, SHOWN),
  )
  return readDraft(field, schema, draft, was, 'metric')
}
const rack = (...texts: (readonly [string, Draft])[]) => entered(RACK_FIELD, rackSchema, wingBars, ...texts)
const firstBar = (of: Rack) => ('bars' in of ? of.bars[0] : undefined)

describe('a bar’s height over the roof, underside or top, whichever was taped', () => {
  it('follows from its top, less the profile', () => {
    const { value, problems } = rack(['bars.0.topMm', '95'])
    expect(problems).toEqual({})
    expect(firstBar(value)).toMatchObject({ topMm: 95, riseMm: 95 - 28 })
  })

  it('stays by the top when the profile is another, and by the underside once that is typed', () => {
    const topped = rack(['bars.0.topMm', '95']).value
    const thicker = entered(RACK_FIELD, rackSchema, topped, ['bars.0.profile.heightMm', '35'])
    expect(firstBar(thicker.value)).toMatchObject({ topMm: 95, riseMm: 60 })
    const under = entered(RACK_FIELD, rackSchema, topped, ['bars.0.riseMm', '70'])
    expect(under.problems).toEqual({})
    expect(firstBar(under.value)).toMatchObject({ riseMm: 70 })
    expect(firstBar(under.value)).not.toHaveProperty('topMm')
  })

  it('with its top under the roof is refused', () => {
    expect(Object.keys(rack(['bars.0.topMm', '10']).problems)).not.toEqual([])
  })
})

const other = (value: string, more: Record<string, string> = {}): Draft => [
  { value, by: 'measured', says: 'Ida', unused: '', '@': '', ...more },
]

describe('another figure for the same', () => {
  it('is kept beside the one in use, with how it is known, who says so and as it was typed', () => {
    const { value, problems } = rack(['bars.0.!.riseMm', other('2 1/2 in')])
    expect(problems).toEqual({})
    expect(firstBar(value)?.known).toEqual({
      riseMm: { by: 'told', others: [{ value: 63.5, by: 'measured', says: 'Ida', typed: '2 1/2 in' }] },
    })
    expect(firstBar(value)?.riseMm).toBe(firstBar(wingBars)?.riseMm)
  })

  it('opened and saved again is the very same, and can be taken out', () => {
    const kept = rack(['bars.0.!.riseMm', other('2 1/2 in')]).value
    expect(entered(RACK_FIELD, rackSchema, kept).value).toBe(kept)
    const out = entered(RACK_FIELD, rackSchema, kept, ['bars.0.!.riseMm', []]).value
    expect(firstBar(out)?.known).toEqual({ riseMm: { by: 'told' } })
  })

  it('that is no figure is named, and nothing is lost', () => {
    const { problems } = rack(['bars.0.!.riseMm', other('about so')])
    expect(Object.keys(problems)).toEqual(['bars.0.!.riseMm.0.value'])
  })

  it('of a half width is typed as the whole, as its field is', () => {
    const wide = entered(VEHICLE_FIELD, vehicleSchema, estate, ['!.roof:halfWidthFrontMm', other('1200')])
    expect(wide.value.known?.['roof.halfWidthFrontMm']?.others?.[0]?.value).toBe(600)
  })
})

describe('a fit sheet’s row', () => {
  it('may give marks and no lengths', () => {
    const row = 'fitSheet.rows.0'
    const marks = entered(
      RACK_FIELD,
      rackSchema,
      squareBars,
      [`${row}.towerMm.front`, ''],
      [`${row}.towerMm.rear`, ''],
      [`${row}.towerMarks.front`, '7'],
      [`${row}.towerMarks.rear`, '5'],
    )
    expect(marks.problems).toEqual({})
    expect(marks.value.fitSheet?.rows[0]).toMatchObject({ towerMarks: { front: '7', rear: '5' } })
  })

  it('is saved by half: the front bar’s place and a spread alone, a spread alone, or at least one (F7)', () => {
    const row = 'fitSheet.rows.0'
    const without = [
      [`${row}.towerMm.front`, ''],
      [`${row}.towerMm.rear`, ''],
      ...['front', 'rear', 'within'].map((key) => [`${row}.xMm.${key}`, ''] as const),
      [`${row}.spreadMm.fromMm`, ''],
      [`${row}.spreadMm.toMm`, ''],
    ] as const
    const rowOf = (...over: readonly (readonly [string, string])[]) => {
      const { problems, value } = entered(RACK_FIELD, rackSchema, squareBars, ...without, ...over)
      expect(problems).toEqual({})
      return value.fitSheet?.rows[0]
    }
    const spread = [
      [`${row}.spreadMm.fromMm`, '720'],
      [`${row}.spreadMm.toMm`, '720'],
    ] as const
    expect(rowOf(...spread)).toEqual({ profile: 'square', spreadMm: { fromMm: 720, toMm: 720 } })
    expect(rowOf([`${row}.xMm.front`, '310'], ...spread)).toEqual({
      profile: 'square',
      xMm: { front: 310 },
      spreadMm: { fromMm: 720, toMm: 720 },
    })
    expect(rowOf([`${row}.spreadMm.at`, '28 3/8 in'])?.spreadMm?.fromMm).toBeCloseTo(720.725, 9)
    expect(rowOf([`${row}.spreadMm.at`, '720'])).toEqual({
      profile: 'square',
      spreadMm: { fromMm: 720, toMm: 720 },
    })
    expect(rowOf([`${row}.spreadMm.fromMm`, '600'])).toEqual({ profile: 'square', spreadMm: { fromMm: 600 } })
  })
})
