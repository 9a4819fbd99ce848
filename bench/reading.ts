import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { readSheet } from '@/core/api/files'
import { ratio, type Ratio } from './ratio'

const LETTERS = 2_000_000
const shown = (): string =>
  readdirSync('reading/shown')
    .filter((name) => name.endsWith('.txt'))
    .map((name) => readFileSync(join('reading/shown', name), 'utf8'))
    .join('\n\n')

/** Makes of text that a reader may be slow at, as a piece that is repeated. */
const makes = (): Readonly<Record<string, string>> => ({
  'the forty texts': `${shown()}\n\n`,
  'figures alone': '0123456789',
  'one line of words': 'the roof rack with the bars and the feet of it ',
  'one line of limits': 'max 75 kg and each 50 kg, ',
  'one sentence of sizes': '1350 x 820 x 390 mm ',
  'a line for a number': '75\n',
  'a table of tabs': 'Roof\t75 kg\t50 kg\t210 kg\n',
  'a table of bars': '| Roof | 75 kg | 50 kg |\n',
  'headings alone': 'Limits of the rack\n  of the bars\n',
  'brackets that never close': '(75 kg ((',
  'fractions and hyphens': '1 1/2" - 3-4-5/6 ',
  'questions and answers': '> How heavy is it?\n75 kg\n',
})

const repeated = (piece: string, letters: number): string =>
  piece.repeat(Math.ceil(letters / piece.length)).slice(0, letters)

function timed(work: () => void): number {
  const began = performance.now()
  work()
  return performance.now() - began
}

/** How long the reader takes for two megabytes beside a plain search in two megabytes, and for four beside two: of twelve makes the worst. */
export function readingRatios(): Ratio[] {
  const forty = repeated(`${shown()}\n\n`, LETTERS)
  const search = () => {
    if ([...forty.matchAll(/\d+\s*(kg|lb)/g)].length === 0) throw new Error('nothing is found')
  }
  const searches = Array.from({ length: 9 }, () => timed(search)).sort((a, b) => a - b)
  const plain = searches[4] ?? Number.NaN
  const read = Object.entries(makes()).map(([name, piece]) => {
    const [two, four] = [repeated(piece, LETTERS), repeated(piece, 2 * LETTERS)]
    const once = timed(() => readSheet(two))
    return { name, once, grows: timed(() => readSheet(four)) / once }
  })
  const worst = read.reduce((so, each) => (each.once > so.once ? each : so))
  const steepest = read.reduce((so, each) => (each.grows > so.grows ? each : so))
  const [usual] = read
  return [
    ratio('the forty texts in 2 MB, read / searched', (usual?.once ?? Number.NaN) / plain, 20),
    ratio(
      `the slowest of twelve makes of 2 MB (${worst.name}), read / a plain search`,
      worst.once / plain,
      20,
    ),
    ratio(`the steepest of them (${steepest.name}), 4 MB / 2 MB`, steepest.grows, 2.2),
  ]
}
