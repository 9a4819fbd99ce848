import { readdirSync, readFileSync } from 'node:fs'
import { join, relative, sep } from 'node:path'
import { compile } from 'tailwindcss'
import { beforeAll, describe, expect, it } from 'vitest'

const ROOT = process.cwd()
const read = (path: string) => readFileSync(join(ROOT, path), 'utf8')
const under = (folder: string, ending: RegExp) =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((path) => ending.test(path) && !/\.test\./.test(path))
    .map((path) => join(folder, path).split(sep).join('/'))

const SCREENS = [...under('src/ui', /\.tsx$/), ...under('src/app', /\.tsx$/)]
const SHEETS = [...under('src/app', /\.css$/), ...under('src/ui', /\.css$/)]

/** The classes that stand in a file: in quotes or in a template, wherever a `className` is given. */
function classesIn(text: string): string[] {
  const given = text.matchAll(/className=(?:"([^"]*)"|\{((?:[^{}]|\{(?:[^{}]|\{[^{}]*\})*\})*)\})/g)
  return [...given].flatMap(([, plain, code]) => {
    if (plain !== undefined) return plain.split(/\s+/)
    // What is only compared is no class, and what is glued to a value is made of it.
    const chosen = (code ?? '').replace(/[!=]==\s*'[^']*'/g, '')
    const inChoices = [...chosen.matchAll(/'([^']*)'/g)].map(([, quoted]) => quoted ?? '')
    const inTemplates = [...chosen.matchAll(/`([^`]*)`/g)].map(([, template]) =>
      (template ?? '').replace(/\S*\$\{(?:[^{}]|\{[^{}]*\})*\}\S*/g, ' '),
    )
    return [...inChoices, ...inTemplates].flatMap((text) => text.split(/\s+/))
  })
}

const definedIn = (css: string) =>
  new Set([...css.matchAll(/\.(-?[a-z][\w-]*)(?=[^;{}]*\{)/g)].map(([, name]) => name ?? ''))

/** Everything quoted in a file: classes also stand in tables of looks, before they are given. */
const quotedIn = (text: string): string[] =>
  [...text.matchAll(/'([^'\n]*)'|"([^"\n]*)"|`([^`]*)`/g)].flatMap(([, one, two, template]) =>
    (one ?? two ?? template ?? '').split(/\s+/),
  )

/** The colours of Tailwind's own palette, and black and white: they know no theme. */
const PALETTE =
  /(?:^|:)(?:[a-z]+-)+(?:black|white|(?:red|orange|amber|yellow|lime|green|emerald|teal|cyan|sky|blue|indigo|violet|purple|fuchsia|pink|rose|slate|gray|zinc|neutral|stone)-\d+)(?:\/\d+)?!?$/

const THEME = /@plugin "daisyui\/theme" \{[^}]*\}/g
const COLOUR = /#[0-9a-f]{3,8}\b|\b(?:rgb|rgba|hsl|oklch|oklab)\(/gi

/** What only marks an element for the utilities of those in it. */
const MARKERS = new Set(['', 'group'])

describe('the classes of the screens', () => {
  const own = new Set(SHEETS.flatMap((path) => [...definedIn(read(path))]))
  const daisy = new Set(
    readdirSync(join(ROOT, 'node_modules/daisyui/components'))
      .filter((name) => name.endsWith('.css'))
      .flatMap((name) => [...definedIn(read(`node_modules/daisyui/components/${name}`))]),
  )
  let isUtility: (name: string) => boolean
  beforeAll(async () => {
    const theme = [
      ...read('src/app/globals.css').matchAll(/@theme \{[^}]*\}|@custom-variant [\w-]+ \{[^}]*\}\s*\}/g),
    ].join('\n')
    const colours = [...read('src/app/globals.css').matchAll(/(--color-[\w-]+):/g)]
      .map(([, name]) => `${name ?? ''}: initial-value;`)
      .join('')
    const { build } = await compile(
      `${read('node_modules/tailwindcss/theme.css')}\n${theme}\n@theme { ${colours} }\n@tailwind utilities;`,
    )
    const before = new Map<string, boolean>()
    isUtility = (name) => {
      const known = before.get(name)
      if (known !== undefined) return known
      const length = build([]).length
      const made = build([name]).length > length
      before.set(name, made)
      return made
    }
  })

  it('reads the classes of quotes, templates and choices', () => {
    const of = (text: string) => new Set(classesIn(text).filter((name) => name !== ''))
    expect(of('<p className="a b" />')).toEqual(new Set(['a', 'b']))
    expect(of("<p className={`c ${on === 'x' ? 'd' : ''} page-${size} e`} />")).toEqual(
      new Set(['c', 'd', 'e']),
    )
    expect(of("<p className={on ? 'f' : 'g'} />")).toEqual(new Set(['f', 'g']))
  })

  it('takes the classes of daisyUI in the kit alone', () => {
    expect(daisy.has('btn') && daisy.has('modal-box') && daisy.has('input')).toBe(true)
    const elsewhere = SCREENS.filter((path) => !path.startsWith('src/ui/kit/')).flatMap((path) =>
      classesIn(read(path))
        .filter((name) => daisy.has(name) && !isUtility(name))
        .map((name) => `${path}: ${name}`),
    )
    expect(elsewhere).toEqual([])
    // A word alone may mean anything; one with a hyphen that daisyUI has is a class wherever it is quoted.
    const saved = SCREENS.filter((path) => !path.startsWith('src/ui/kit/')).flatMap((path) =>
      quotedIn(read(path))
        .filter((name) => name.includes('-') && daisy.has(name) && !isUtility(name))
        .map((name) => `${path}: ${name}`),
    )
    expect(saved).toEqual([])
  })

  it('takes nothing else but utilities, and what the style sheets of drawing, paper and app give', () => {
    const unknown = SCREENS.flatMap((path) =>
      classesIn(read(path))
        .filter((name) => !MARKERS.has(name) && !own.has(name) && !daisy.has(name) && !isUtility(name))
        .map((name) => `${path}: ${name}`),
    )
    expect(unknown).toEqual([])
  })

  it('uses every class of its own style sheets', () => {
    const all = [...SCREENS, ...under('src/ui', /\.ts$/), ...under('src/drawing', /\.ts$/)]
      .map(read)
      .join('\n')
    const unused = [...own].filter(
      (name) => !new RegExp(`(?<![\\w-])${name}(?![\\w-])`).test(all) && !/^page-/.test(name),
    )
    expect(unused).toEqual([])
  })

  it('writes no colour outside the two themes', () => {
    const written = [...SCREENS, ...SHEETS].flatMap((path) =>
      [...read(path).replace(THEME, '').matchAll(COLOUR)].map(
        ([colour]) => `${relative('.', path)}: ${colour}`,
      ),
    )
    expect(written).toEqual([])
    const palette = SCREENS.flatMap((path) =>
      quotedIn(read(path))
        .filter((name) => PALETTE.test(name))
        .map((name) => `${path}: ${name}`),
    )
    expect(palette).toEqual([])
    expect(
      ['bg-red-500', 'hover:text-white', 'border-b-slate-200/50', 'fill-black!'].every((name) =>
        PALETTE.test(name),
      ),
    ).toBe(true)
    expect(['bg-error', 'text-ink2', 'border-base-100'].some((name) => PALETTE.test(name))).toBe(false)
  })
})
