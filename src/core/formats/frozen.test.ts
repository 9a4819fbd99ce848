import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { fullPlan } from '../plan/full-plan.testing'
import { FORMAT_VERSION } from '../plan/schema/lifts'
import { parsePlanText, printPlan, readPlan } from './plan-file'

const file = (version: number) => readFileSync(`src/core/formats/frozen/plan-${version}.json`, 'utf8')

/** Every path to a value, whatever number in a list it has. */
function pathsOf(value: unknown, at = ''): string[] {
  if (Array.isArray(value)) return value.flatMap((each) => pathsOf(each, `${at}[]`))
  if (typeof value !== 'object' || value === null) return [at]
  return Object.entries(value).flatMap(([key, each]) => pathsOf(each, `${at}.${key}`))
}

/** What was typed for a field has the field's own name since version 3 was new; all else stays as it is. */
const untyped = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(untyped)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value).flatMap(([key, each]) => (key === 'typed' ? [] : [[key, untyped(each)]])),
        )
      : value

describe('files of every version that was ever written', () => {
  it.each([1, 2, 3, 4])(
    'version %i is read, and nothing of the vehicle, its racks, gear and places is lost',
    (version) => {
      const old = JSON.parse(file(version)) as Record<string, unknown>
      const read = readPlan(old)
      if (!read.ok) throw new Error(read.problems[0]?.text)
      const now = read.plan as unknown as Record<string, unknown>
      for (const part of ['job', 'vehicle', 'racks', 'gear', 'placements', 'use', 'clearances', 'rules'])
        expect(untyped(now[part]), part).toEqual(untyped(old[part]))
      expect((now['measurements'] as unknown[]).length).toBe((old['measurements'] as unknown[]).length)
      if (version < 3) expect(now['car']).toMatchObject({ shared: true })
    },
  )

  it('of version 4 do not bring back what was typed for a field that is empty since', () => {
    const old = JSON.parse(file(4)) as { vehicle: Record<string, unknown> }
    const { trackMm: _, ...vehicle } = old.vehicle
    const typed = { lengthMm: '7 mm', 'trackMm.front': '60 in', 'roof.crownMm': '7 mm' }
    const read = readPlan({ ...old, vehicle: { ...vehicle, typed } })
    if (!read.ok) throw new Error(read.problems[0]?.text)
    expect(read.plan.vehicle.typed).toEqual({ lengthMm: '7 mm', 'roof.crownMm': '7 mm' })
  })

  it('version 5 is read and written byte for byte', () => {
    const read = parsePlanText(file(5))
    if (!read.ok) throw new Error(read.problems[0]?.text)
    expect(printPlan(read.plan)).toBe(file(5))
  })
})

describe(`version ${FORMAT_VERSION} is frozen`, () => {
  it('what a plan may hold is what the frozen file holds: a field more is a version more, with a file and a lift of its own', () => {
    const frozen = new Set(pathsOf(JSON.parse(file(FORMAT_VERSION))))
    const now = new Set(pathsOf(fullPlan()))
    expect([...now].filter((path) => !frozen.has(path))).toEqual([])
    expect([...frozen].filter((path) => !now.has(path))).toEqual([])
  })
})
