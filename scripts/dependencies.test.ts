import { existsSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import * as z from '../src/core/units/schema'

const packageSchema = z.object({
  version: z.optional(z.string()),
  license: z.optional(z.string()),
  integrity: z.optional(z.string()),
  optional: z.optional(z.boolean()),
  dev: z.optional(z.boolean()),
})
const lockSchema = z.object({ packages: z.record(z.string(), packageSchema) })
const manifestSchema = z.object({
  name: z.optional(z.string()),
  version: z.optional(z.string()),
  dependencies: z.optional(z.record(z.string(), z.string())),
  devDependencies: z.optional(z.record(z.string(), z.string())),
})

const decoded = (path: string): unknown => JSON.parse(readFileSync(path, 'utf8'))
const packagesOf = (path: string) =>
  Object.entries(lockSchema.parse(decoded(path)).packages).filter(([at]) => at !== '')

/** Licences that may stand under what is handed on with Ypsos. */
const FREE = new Set([
  '0BSD',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'CC-BY-4.0',
  'CC0-1.0',
  'ISC',
  'MIT',
  'MIT-0',
  'OFL-1.1',
  'Unlicense',
  'Zlib',
])
/** Licences of tools that build and check, and of libraries that a server links beside it and nobody is handed a change of. */
const TOOLS = new Set([...FREE, 'MPL-2.0', 'LGPL-3.0-or-later'])
/** Tools that the build asks for though they are listed among what is needed to run. */
const BUILT_WITH = new Set(['node_modules/lightningcss'])

/** The licences that a package names, of which each must be kept or, with OR between them, one. */
function keeps(license: string, known: ReadonlySet<string>): boolean {
  const bare = license.replace(/[()]/g, '')
  return bare.includes(' OR ')
    ? bare.split(' OR ').some((each) => known.has(each))
    : bare.split(' AND ').every((each) => known.has(each))
}

describe('what Ypsos is built on', () => {
  const locked = packagesOf('package-lock.json')

  it('has a known licence, package by package', () => {
    const unknown = locked.filter(
      ([at, { license = 'none', dev, optional }]) =>
        !keeps(license, dev || optional || BUILT_WITH.has(at) ? TOOLS : FREE),
    )
    expect(unknown.map(([at, { license }]) => `${at}: ${license ?? 'none'}`)).toEqual([])
    expect(locked.length).toBeGreaterThan(100)
  })

  it('says no to a licence that nobody has looked at', () => {
    expect(keeps('GPL-3.0-only', TOOLS)).toBe(false)
    expect(keeps('MIT AND GPL-3.0-only', TOOLS)).toBe(false)
    expect(keeps('(GPL-3.0-only OR MIT)', FREE)).toBe(true)
    expect(keeps('none', TOOLS)).toBe(false)
  })

  it('is installed as it is locked, version by version and sum by sum', () => {
    const installed = new Map(packagesOf('node_modules/.package-lock.json'))
    const odd = locked.flatMap(([at, { version, integrity, optional }]) => {
      const there = installed.get(at)
      // What is for another machine is left out where it is optional.
      if (!there) return optional ? [] : [`${at} is not installed`]
      const manifest = `${at}/package.json`
      const own = existsSync(manifest) ? manifestSchema.parse(decoded(manifest)).version : undefined
      return there.version === version && there.integrity === integrity && own === version
        ? []
        : [`${at}: ${own ?? 'nothing'} lies there, ${version ?? '?'} is locked`]
    })
    expect(odd).toEqual([])
    const unlocked = [...installed.keys()].filter((at) => !locked.some(([each]) => each === at))
    expect(unlocked).toEqual([])
  })

  it('is asked for by exact versions', () => {
    const { dependencies = {}, devDependencies = {} } = manifestSchema.parse(decoded('package.json'))
    for (const [name, version] of Object.entries({ ...dependencies, ...devDependencies }))
      expect(version, name).toMatch(/^(npm:[^@]+@|npm:@[^@]+@)?\d+\.\d+\.\d+$/)
  })
})
