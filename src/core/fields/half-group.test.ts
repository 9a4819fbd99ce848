import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { gearSchema } from '../plan/schema/gear'
import { rackSchema } from '../plan/schema/rack'
import { vehicleSchema } from '../plan/schema/vehicle'
import { toDraft } from './draft'
import { GEAR_FIELD } from './gear-fields'
import { sampleText, textAt, textsIn, withText } from './grown.testing'
import { RACK_FIELD } from './rack-fields'
import { readDraft } from './read-draft'
import { VEHICLE_FIELD } from './vehicle-fields'

const SHOWN = { system: 'metric', typed: {}, rel: '' } as const
const first = <T>(all: readonly T[], key: (each: T) => unknown) =>
  all.filter((each, i) => all.findIndex((other) => key(other) === key(each)) === i)

const SHEETS = [
  ...first(
    DEMO_PLANS.map(({ vehicle }) => vehicle),
    ({ body }) => body,
  ).map((vehicle) => [`vehicle, ${vehicle.body}`, VEHICLE_FIELD, vehicleSchema, vehicle] as const),
  ...first(
    DEMO_PLANS.flatMap(({ racks }) => racks),
    ({ kind }) => kind,
  ).map((rack) => [`rack, ${rack.kind}`, RACK_FIELD, rackSchema, rack] as const),
  ...first(
    DEMO_PLANS.flatMap(({ gear }) => gear),
    ({ kind }) => kind,
  ).map((gear) => [`gear, ${gear.kind}`, GEAR_FIELD, gearSchema, gear] as const),
] as const

/** What is rightly asked for although it stands alone, and why. */
const ASKED_ALL_THE_SAME: readonly (readonly [RegExp, string])[] = [
  [/\.soft(From|To)Mm$/, 'A softer bound stands between the others: the sample does not.'],
]

describe('one text alone where nothing stands yet', () => {
  it.each(SHEETS)('is saved as far as it goes, and is there again: %s', (_, field, schema, thing) => {
    const draft = toDraft(field, thing, SHOWN)
    for (const path of textsIn(field, draft)) {
      if (textAt(draft, path) !== '') continue
      const at = path.join('.')
      if (ASKED_ALL_THE_SAME.some(([way]) => way.test(at))) continue
      const text = sampleText(field, draft, path)
      const typed = withText(draft, path, text)
      const { value, problems } = readDraft(field, schema as never, typed, thing, 'metric')
      expect(problems, at).toEqual({})
      expect(textAt(toDraft(field, value, SHOWN), path), at).toBe(text)
    }
  })
})
