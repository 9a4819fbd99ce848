import { expect, it } from 'vitest'
import { DEMO_PLANS } from '../../demo/plans'
import { fieldAlong } from './field-along'
import { fieldsByName } from './fields-by-name'
import { GEAR_FIELD } from './gear-fields'
import { RACK_FIELD } from './rack-fields'
import { VEHICLE_FIELD } from './vehicle-fields'

it('names every field of a sheet once, each with a way to it', () => {
  for (const plan of DEMO_PLANS)
    for (const [field, thing] of [
      [VEHICLE_FIELD, plan.vehicle],
      ...plan.racks.map((rack) => [RACK_FIELD, rack] as const),
      ...plan.gear.map((gear) => [GEAR_FIELD, gear] as const),
    ] as const) {
      const all = fieldsByName(field, thing)
      expect(new Set(all.map(({ path }) => path)).size).toBe(all.length)
      for (const { path, name } of all) {
        expect([path, fieldAlong(field, thing, path.split('.'))?.is ?? 'nothing']).not.toEqual([
          path,
          'nothing',
        ])
        expect(name).not.toMatch(/^, |, $|, ,/)
      }
    }
})

it('calls a field by what it belongs to', () => {
  const { vehicle } = DEMO_PLANS[0]!
  const names = fieldsByName(VEHICLE_FIELD, vehicle).map(({ name }) => name)
  const own = vehicle.attachments[0]!.name
  expect(names.some((name) => name.startsWith(`${own}, `))).toBe(true)
  expect(names).toContain('Name')
})
