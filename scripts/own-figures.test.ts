import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import type { Rating } from '@/core/api/plan'
import { DEMO_PLANS } from '@/demo/plans'
import { DEMO_STOCK } from '@/demo/stock'
import { ROOT } from './project.mjs'

/** Texts that show figures to people: what is in them is invented, and by us alone. */
const SHOWN = [
  'src/demo',
  'README.md',
  'CHANGELOG.md',
  'docs',
  'src/core/units/parse.ts',
  'src/core/plan/schema/hints.ts',
]

function filesOf(path: string): string[] {
  const full = join(ROOT, path)
  if (statSync(full).isFile()) return /\.(ts|tsx|md)$/.test(path) && !/\.test\.ts$/.test(path) ? [path] : []
  return readdirSync(full).flatMap((name) => filesOf(join(path, name)))
}

/** A number by itself, not as a part of another one. */
const number = (value: string) => new RegExp(`(?<![\\d.])${value.replace('.', '\\.')}(?![\\d]|\\.\\d)`)

/**
 * Figures that together are somebody's: none of them alone is anybody's, and all of one line of this table within a few
 * lines of a text are.
 */
const TOGETHER: readonly (readonly RegExp[])[] = [
  [number('227'), number('136'), number('363')],
  [number('99.8'), number('220'), number('74.8')],
  [number('77'), number('90'), /\bhelper\b|\bseat it\b/i],
  [/fromMm: 5, toMm: 30\b/, /\bseam\b/i],
  [/fromMm: 60, toMm: 400\b/, /spoiler/i],
  [/6 mm hex/, /hook/i],
  [number('90.7'), /\bhatch\b/i],
  [number('113'), /\bladder\b/i],
  [number('8.2'), number('6'), /clamp/i],
  [/27\s*(?:3\/4|¾)/, /in\b|"/],
  [/15 Nm|15 N·m/, /11 (?:ft-lb|lbf·ft)/],
  [/110 km\/h/, /70 mph/],
  [/\b165 lb/, /75 kg/],
  [/\b24\b.{0,12}\b36 in\b|609\.6/],
]

/** How many lines apart figures still stand together. */
const NEAR = 4

/** The lines of a text where all of some figures stand together, from 1. */
function together(text: string, all: readonly RegExp[]): number[] {
  const lines = text.split('\n')
  return lines.flatMap((_, i) => {
    const near = lines.slice(i, i + NEAR).join('\n')
    return all.every((each) => each.test(near)) ? [i + 1] : []
  })
}

describe('figures that people see', () => {
  const files = SHOWN.flatMap(filesOf)

  it('are never together as somebody else has them', () => {
    expect(files.length).toBeGreaterThan(15)
    const found = files.flatMap((file) => {
      const text = readFileSync(join(ROOT, file), 'utf8')
      return TOGETHER.flatMap((all) => together(text, all).map((line) => `${file}:${line} ${all.join(' ')}`))
    })
    expect(found).toEqual([])
  })

  it('would be found', () => {
    expect(together('road: 227,\ntrail: 136,\nparked: 363', TOGETHER[0] ?? [])).toContain(1)
    expect(together('road: 227,\ntrail: 135,\nparked: 363', TOGETHER[0] ?? [])).toEqual([])
    expect(together('type 27 3/4 in', TOGETHER[9] ?? [])).toEqual([1])
  })

  it('of a parked roof are never three times the driving ones', () => {
    const tripled = (ratings: readonly Rating[]) =>
      ratings.some(
        ({ state, kg }) =>
          state === 'parked' && ratings.some((each) => each.state === 'road' && each.kg * 3 === kg),
      )
    const vehicles = [...DEMO_PLANS.map(({ vehicle }) => vehicle), ...DEMO_STOCK.vehicles]
    expect(vehicles.length).toBeGreaterThan(10)
    expect(vehicles.filter(({ roof }) => tripled(roof.ratings)).map(({ name }) => name)).toEqual([])
  })
})
