import type { Amount } from './amounts'
import { unitNamed } from './unit-words'

/** What stands round an amount, from near to far: what is said of it is looked for in this order. */
export interface Around {
  /** The clause before it, from the amount before or the sentence’s beginning. */
  readonly before: string
  /** What follows it, up to the next amount or mark. */
  readonly after: string
  readonly sentence: string
  /** What was said just before its sentence. */
  readonly earlier: string
  /** What follows in its line, whatever is between. */
  readonly rest: string
  /** The first cell of its row, or the key before its colon. */
  readonly row: string
  /** The head of its column. */
  readonly column: string
  /** The headings it stands under, the nearest first. */
  readonly headings: readonly string[]
  /** The footnote that its mark names. */
  readonly note: string
  /** Somebody else’s words in a letter. */
  readonly quoted: boolean
  /** It shares its sentence with other amounts. */
  readonly among: number
}

export interface Placed {
  readonly amount: Amount
  readonly around: Around
}

/** “75 kg max.” ends a sentence as well. */
const ENDS_IN_MAX = /\d\s?[a-z"]{1,3} (?:max|min)$/i

interface Cell {
  readonly start: number
  readonly end: number
  readonly text: string
}

interface Line {
  readonly start: number
  readonly end: number
  readonly text: string
  readonly indent: number
  readonly cells: readonly Cell[]
  readonly quoted: boolean
}

const CELL_MARK = /\t+| {2,}|\s*\|\s*|\s*\.{4,}\s*/g
const LETTERS = /[A-Za-z]{2}/
const MOST_HEADING = 72
const MOST_EARLIER = 160
/** A dot after these ends no sentence. */
const ABBREVIATED =
  /\b(?:max|min|incl|excl|approx|no|art|p|pp|resp|ca|nr|vs|ref|perm|dyn|stat|tel|e\.g|i\.e)$/i

function cellsOf(text: string, start: number): Cell[] {
  const cells: Cell[] = []
  let from = 0
  const put = (to: number) => {
    const raw = text.slice(from, to)
    const lead = raw.length - raw.trimStart().length
    if (raw.trim() !== '')
      cells.push({ start: start + from + lead, end: start + from + raw.trimEnd().length, text: raw.trim() })
  }
  for (const mark of text.matchAll(CELL_MARK)) {
    put(mark.index)
    from = mark.index + mark[0].length
  }
  put(text.length)
  return cells
}

function linesOf(plain: string): Line[] {
  const lines: Line[] = []
  let start = 0
  for (const text of plain.split('\n')) {
    const indent = text.length - text.trimStart().length
    lines.push({
      start,
      end: start + text.length,
      text,
      indent,
      cells: cellsOf(text, start),
      quoted: /^\s*>/.test(text),
    })
    start += text.length + 1
  }
  return lines
}

/** The stretch of the sentence in which a place of a line stands, as places in the line. */
function sentenceAround(text: string, from: number, to: number): readonly [number, number] {
  let start = 0
  let end = text.length
  for (const mark of text.matchAll(
    /;\s+|[!?]+\s+|\.\s+(?=[A-Za-z"(])|(?<=[A-Za-z]{4})\.\s+(?=\d)|\.\s{2,}| - (?=[A-Za-z])/g,
  )) {
    const before = text.slice(0, mark.index)
    if (mark[0].startsWith('.') && ABBREVIATED.test(before) && !ENDS_IN_MAX.test(before)) continue
    if (mark.index + mark[0].length <= from) start = mark.index + mark[0].length
    else if (mark.index >= to) {
      end = mark.index
      break
    }
  }
  return [start, end]
}

const cut = (after: string): string =>
  after.split(/[,;()]|\s\/\s|\.\s|\b(?:takes|carr(?:y|ies)|holds|weighs|max)\b/i)[0] ?? after

/** What stands between two amounts belongs to the second from its last mark on. */
const lastClause = (between: string): string => between.split(/[,;(]|\s\/\s|\band\b/).at(-1) ?? between

const spaced = (text: string): string => text.replaceAll('_', ' ')

const isRule = (text: string): boolean => text.trim() !== '' && !/[A-Za-z0-9]/.test(text)

/** The head of the column under which a cell stands: the same one by number, or the nearest by its place in the line. */
function headOver(cell: Cell, line: Line, head: Line): string {
  const at = (each: Cell, of: Line) => [each.start - of.start, each.end - of.start] as const
  const isTabbed = /[\t|]/.test(line.text)
  if (isTabbed)
    return head.cells[line.cells.indexOf(cell) - (line.cells.length - head.cells.length)]?.text ?? ''
  const [a, b] = at(cell, line)
  const heads = head.cells.slice(head.cells.length === line.cells.length ? 1 : 0)
  const away = (each: Cell): number => {
    const [c, d] = at(each, head)
    return Math.abs((a + b) / 2 - (c + d) / 2)
  }
  const [nearest] = heads.toSorted((one, other) => away(one) - away(other))
  return nearest?.text ?? ''
}

/** The footnotes of a text by their marks. */
function notesOf(lines: readonly Line[]): ReadonlyMap<string, string> {
  const notes = new Map<string, string>()
  for (const { text } of lines) {
    const [, raised, closed, stars, note = ''] =
      /^\s*(?:[-•*] )?(?:([¹²³⁴⁵])|(\d)\)|(\*+))\s*(.+)$/.exec(text) ?? []
    const mark = raised ?? closed ?? stars
    if (mark !== undefined) notes.set(mark, note)
  }
  return notes
}

const keyOf = (text: string, upTo: number): string => {
  const colon = text.lastIndexOf(':', upTo)
  return colon < 0 ? '' : text.slice(0, colon).replace(/^.*[.;]\s+(?=[A-Z])/, '')
}

interface Under {
  readonly text: string
  readonly indent: number
}

/** Each amount with what stands round it. A bare number takes the unit that its row, column or heading names. */
export function placed(plain: string, amounts: readonly Amount[]): Placed[] {
  const lines = linesOf(plain)
  const notes = notesOf(lines)
  const all: Placed[] = []
  const headings: Under[] = []
  let head: Line | undefined
  let rows = 0
  let next = 0
  let question = ''
  for (const line of lines) {
    const here: Amount[] = []
    for (let amount = amounts[next]; amount && amount.start <= line.end; amount = amounts[++next])
      here.push(amount)
    const text = line.text.trim()
    if (text === '') question = ''
    if (text === '' || isRule(text)) {
      if (text === '' && rows > 0) head = undefined
      continue
    }
    if (line.quoted && text.endsWith('?')) question = text.replace(/^[>\s]+/, '')
    else if (line.quoted) question = ''
    const isBare = here.every(({ unit }) => unit === undefined)
    const next2 = line.cells.filter((cell) => LETTERS.test(cell.text)).length
    const isHead = isBare && next2 >= 2 && next2 >= line.cells.length - 1
    if (isHead) {
      head = line
      rows = 0
    } else if (line.cells.length < 2) head = undefined
    if (head && !isHead) rows += 1
    while (headings.length > 0 && (headings.at(-1)?.indent ?? 0) > line.indent) headings.pop()
    const isHeading =
      isBare &&
      (here.length === 0 || line.cells.length === 1) &&
      !/[:=]\s*\d/.test(text) &&
      text.length <= MOST_HEADING &&
      LETTERS.test(text) &&
      !/[.?!]$/.test(text) &&
      !line.quoted &&
      !isHead
    if (isHeading) {
      while (headings.length > 1 && (headings.at(-1)?.indent ?? 0) >= line.indent) headings.pop()
      headings.push({ text, indent: line.indent })
    }
    for (const [i, amount] of here.entries()) {
      const cell = line.cells.find(({ start, end }) => start <= amount.start && amount.start < end)
      const isCell = cell !== undefined && line.cells.length > 1
      const from = isCell ? cell.start : line.start
      const to = isCell ? Math.max(cell.end, amount.end) : line.end
      const stretch = plain.slice(from, to)
      const [a, b] = sentenceAround(stretch, amount.start - from, amount.end - from)
      const previous = here.slice(0, i).findLast(({ unit }) => unit !== undefined)
      const following = here.slice(i + 1).find(({ unit }) => unit !== undefined)
      const beforeFrom = Math.max(from + a, previous?.end ?? 0)
      const afterTo = Math.min(from + b, following?.start ?? Number.MAX_SAFE_INTEGER)
      const after = plain.slice(amount.end, afterTo)
      const firstCell = line.cells.find(({ text: words }) => LETTERS.test(words))
      const isRow = isCell && firstCell !== undefined && firstCell.start < cell.start
      const key = isRow ? firstCell.text : keyOf(line.text, amount.start - line.start)
      // An answer under a question of the letter it replies to.
      const row = key === '' && !line.quoted ? question : key
      const column = isCell && head && head !== line ? headOver(cell, line, head) : ''
      const over = headings.map((each) => each.text).toReversed()
      const named =
        amount.unit === undefined
          ? [row, column, head && head !== line ? (head.cells[0]?.text ?? '') : '', ...over]
              .map(unitNamed)
              .find((each) => each)
          : undefined
      all.push({
        amount: named ? { ...amount, ...named } : amount,
        around: {
          before:
            previous && previous.end > from + a
              ? lastClause(plain.slice(beforeFrom, amount.start))
              : plain.slice(beforeFrom, amount.start),
          after: following && following.start < from + b ? cut(after) : after,
          sentence: stretch.slice(a, b),
          earlier: plain.slice(Math.max(0, from + a - MOST_EARLIER), from + a),
          rest: plain.slice(amount.end, Math.min(line.end, amount.end + 40)),
          row: spaced(row),
          column: spaced(column),
          headings: over,
          note: amount.mark === undefined ? '' : (notes.get(amount.mark) ?? ''),
          quoted: line.quoted,
          among: here.filter(({ dimension }) => dimension === amount.dimension).length,
        },
      })
    }
  }
  return all
}
