import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { describe, expect, it } from 'vitest'
import { ATTACHMENTS } from './attachment'
import { BODIES } from './body'
import { GEAR_KINDS } from './gear-kind'
import { GEAR_SHAPES } from './gear-shape'
import { PROVENANCES } from './provenance'
import { kindsOf } from './kind'
import { MOUNTS } from './mount'
import { OBSTACLES } from './obstacle'
import { PART_ROLES } from './part-role'

const SRC = join(process.cwd(), 'src')
const files = readdirSync(SRC, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !/\.(test|testing)\./.test(entry.name))
  .map((entry) => join(entry.parentPath, entry.name))
  .map((path) => ({ path: relative(SRC, path), text: readFileSync(path, 'utf8') }))

const VOCABULARIES: Readonly<Record<string, readonly string[]>> = {
  attachments: kindsOf(ATTACHMENTS),
  bodies: kindsOf(BODIES),
  'ways to know a figure': kindsOf(PROVENANCES),
  'kinds of gear': kindsOf(GEAR_KINDS),
  'shapes of gear': kindsOf(GEAR_SHAPES),
  mounts: kindsOf(MOUNTS),
  obstacles: kindsOf(OBSTACLES),
  'roles of parts': kindsOf(PART_ROLES),
}

/**
 * Stretches of a file that list kinds one after another: items of an array or a union, or keys of a record. A switch
 * that returns for every kind is the compiler's to check, and no list.
 */
function* listsIn(text: string, kinds: ReadonlySet<string>): Iterable<readonly string[]> {
  const item = /(?:^|[[|({,])\s*'(\w+)'\s*(?=[,\]|)])|^\s*(\w+):/gm
  for (const block of text.split(/\n\s*\n/)) {
    const named = [...block.matchAll(item)].map((match) => match[1] ?? match[2] ?? '')
    yield [...new Set(named.filter((name) => kinds.has(name)))]
  }
}

/** Where the trade itself speaks of kinds one by one, and no list is meant. */
const NO_LIST: ReadonlySet<string> = new Set([
  // Which parts each kind of rack starts with.
  'core/survey/frame/starting-rack.ts',
  // What is tried by hand of each thing that opens.
  'core/bay/proof.ts',
  // Rules, some of which are called after what they look at.
  'core/remedies/fixes.ts',
])

describe('what is said once', () => {
  it.each(Object.entries(VOCABULARIES))('%s are listed in their record and nowhere else', (_, list) => {
    const kinds = new Set(list)
    const many = Math.ceil(list.length / 2)
    const second = files
      .filter(
        ({ path }) => !path.startsWith('core/kinds/') && !path.startsWith('demo/') && !NO_LIST.has(path),
      )
      .flatMap(({ path, text }) =>
        [...listsIn(text, kinds)]
          .filter((named) => named.length >= many)
          .map((named) => `${path}: ${named.join()}`),
      )
    expect(second).toEqual([])
  })

  it('every exported name, in one place', () => {
    const places = new Map<string, string[]>()
    for (const { path, text } of files) {
      // A page gives the framework what it asks for, by the names it asks for.
      if (path.startsWith('app/')) continue
      const names = text.matchAll(/^export (?:async )?(?:const|function\*?|type|interface|class) (\w+)/gm)
      for (const [, name = ''] of names) places.set(name, [...(places.get(name) ?? []), path])
    }
    const twice = [...places]
      .map(([name, paths]) => [name, [...new Set(paths)]] as const)
      .filter(([, paths]) => paths.length > 1)
      .map(([name, paths]) => `${name}: ${paths.join(', ')}`)
    expect(twice).toEqual([])
  })
})
