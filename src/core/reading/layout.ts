import type { ReadAmount } from './amounts'
import { type TextCell, type TextLine, linesOf, sentenceMarks, type Stretch } from './lines'
import { unitNamed } from './unit-words'

/** What stands round an amount, from near to far: what is said of it is looked for in this order. */
export interface Surroundings {
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
  readonly amount: ReadAmount
  readonly around: Surroundings
}

const LETTERS = /[A-Za-z]{2}/
/** A longer line is no heading. */
const MOST_HEADING = 72
const MOST_HEADINGS = 6
const MOST_EARLIER = 160
/** So far round an amount is looked at, whatever its sentence says beyond. */
const MOST_ROUND = 240
const MOST_KEY = 120
const MOST_REST = 40

const cut = (after: string): string =>
  after.split(/[,;()]|\s\/\s|\.\s|\b(?:takes|carr(?:y|ies)|holds|weighs|max)\b/i)[0] ?? after

/** “11 kg, holds 90 on road”: a clause with a number of its own says nothing of the amount before it. */
const withoutNext = (after: string): string => after.split(/,[^,]*\d/)[0] ?? after

/** What stands between two amounts belongs to the second from its last mark on. */
const lastClause = (between: string): string => between.split(/[,;(]|\s\/\s|\band\b/).at(-1) ?? between

const spaced = (text: string): string => text.replaceAll('_', ' ')

const isRule = (text: string): boolean => text.trim() !== '' && !/[A-Za-z0-9]/.test(text)

/** The head of the column under which a cell stands: the same one by number, or the nearest by its place in the line. */
function headOver(cell: TextCell, line: TextLine, head: TextLine): string {
  const at = (each: TextCell, of: TextLine) => [each.start - of.start, each.end - of.start] as const
  const isTabbed = /[\t|]/.test(line.text)
  if (isTabbed)
    return head.cells[line.cells.indexOf(cell) - (line.cells.length - head.cells.length)]?.text ?? ''
  const [a, b] = at(cell, line)
  const heads = head.cells.slice(head.cells.length === line.cells.length ? 1 : 0)
  const away = (each: TextCell): number => {
    const [c, d] = at(each, head)
    return Math.abs((a + b) / 2 - (c + d) / 2)
  }
  const [nearest] = heads.toSorted((one, other) => away(one) - away(other))
  return nearest?.text ?? ''
}

/** The footnotes of a text by their marks. */
function notesOf(lines: readonly TextLine[]): ReadonlyMap<string, string> {
  const notes = new Map<string, string>()
  for (const { text } of lines) {
    const [, raised, closed, stars, note = ''] =
      /^\s*(?:[-•*] )?(?:([¹²³⁴⁵])|(\d)\)|(\*+))\s*(.+)$/.exec(text) ?? []
    const mark = raised ?? closed ?? stars
    if (mark !== undefined) notes.set(mark, note)
  }
  return notes
}

/** The key before a value: what stands before the last colon, from its sentence on. */
function keyOf(text: string, upTo: number): string {
  const near = text.slice(Math.max(0, upTo - MOST_KEY), upTo)
  const colon = near.lastIndexOf(':')
  return colon < 0 ? '' : near.slice(0, colon).replace(/^.*[.;]\s+(?=[A-Z])/, '')
}

/** Goes through the stretches of a line in the order of its amounts, and says in which sentence each stands. */
class Sentences {
  private marks: readonly Stretch[] = []
  private at = 0
  private stretch: Stretch = [0, 0]
  constructor(private readonly plain: string) {}

  /** The sentence of an amount within a stretch: a mark inside the amount ends nothing. */
  around(stretch: Stretch, { start, end }: ReadAmount): Stretch {
    if (stretch[0] !== this.stretch[0] || stretch[1] !== this.stretch[1]) {
      this.stretch = stretch
      this.marks = sentenceMarks(this.plain, stretch)
      this.at = 0
    }
    while ((this.marks[this.at]?.[1] ?? Number.MAX_SAFE_INTEGER) <= start) this.at += 1
    const from = this.marks[this.at - 1]?.[1] ?? stretch[0]
    let after = this.at
    while ((this.marks[after]?.[0] ?? Number.MAX_SAFE_INTEGER) < end) after += 1
    return [from, this.marks[after]?.[0] ?? stretch[1]]
  }
}

/** What the cells after a value add to it, where they are words alone: `75 KG  DYN`. */
function wordsBeyond({ cells }: TextLine, at: number): string {
  const next = cells[at + 1]
  return next && at === 0 && cells.length === 2 && !/\d/.test(next.text) ? next.text : ''
}

/** Two keys with their values in one line: the second value’s key, where another value stands before it. */
function ownKey({ cells }: TextLine, at: number, here: readonly ReadAmount[]): string | undefined {
  const i = cells.slice(0, at).findLastIndex(({ text }) => LETTERS.test(text) && !/\d/.test(text))
  const key = cells[i]
  if (!key || !cells[i - 1]) return undefined
  return here.some(({ end, unit }) => unit !== undefined && end <= key.start) ? key.text : undefined
}

/** Of each amount the nearest one with a unit before it, and after it. */
function neighbours(here: readonly ReadAmount[]) {
  const before: (ReadAmount | undefined)[] = []
  const after: (ReadAmount | undefined)[] = []
  let last: ReadAmount | undefined
  for (const amount of here) {
    before.push(last)
    if (amount.unit) last = amount
  }
  last = undefined
  for (const amount of here.toReversed()) {
    after.push(last)
    if (amount.unit) last = amount
  }
  return { before, after: after.toReversed() }
}

interface Heading {
  readonly text: string
  readonly indent: number
}

/** What a line stands under: its headings, the head of its table, a question it answers. */
class Above {
  private readonly stack: Heading[] = []
  private rows = 0
  head: TextLine | undefined
  question = ''
  headings: readonly string[] = []

  /** Takes a line in, and says whether amounts may stand in it. */
  pass(line: TextLine, here: readonly ReadAmount[]): boolean {
    const text = line.text.trim()
    if (text === '') this.question = ''
    if (text === '' || isRule(text)) {
      if (text === '' && this.rows > 0) this.head = undefined
      return false
    }
    if (line.quoted) this.question = text.endsWith('?') ? text.replace(/^[>\s]+/, '') : ''
    const isBare = here.every(({ unit }) => unit === undefined)
    const isHead = isBare && this.isHead(line)
    if (isHead) {
      this.head = line
      this.rows = 0
    } else if (line.cells.length < 2) this.head = undefined
    if (this.head && !isHead) this.rows += 1
    while ((this.stack.at(-1)?.indent ?? 0) > line.indent) this.stack.pop()
    if (isBare && !isHead && isHeading(line, text, here)) {
      while (this.stack.length > 1 && (this.stack.at(-1)?.indent ?? 0) >= line.indent) this.stack.pop()
      if (this.stack.length >= MOST_HEADINGS) this.stack.shift()
      this.stack.push({ text, indent: line.indent })
    }
    this.headings = this.stack.map((each) => each.text).toReversed()
    return true
  }

  private isHead({ cells }: TextLine): boolean {
    const named = cells.filter((cell) => LETTERS.test(cell.text)).length
    return named >= 2 && named >= cells.length - 1
  }
}

const isHeading = (line: TextLine, text: string, here: readonly ReadAmount[]): boolean =>
  (here.length === 0 || line.cells.length === 1) &&
  text.length <= MOST_HEADING &&
  !/[:=]\s*\d/.test(text) &&
  LETTERS.test(text) &&
  !/[.?!]$/.test(text) &&
  !line.quoted

/** Each amount with what stands round it. A bare number takes the unit that its row, column or heading names. */
export function withSurroundings(plain: string, amounts: readonly ReadAmount[]): Placed[] {
  const lines = linesOf(plain)
  const notes = notesOf(lines)
  const sentences = new Sentences(plain)
  const above = new Above()
  const all: Placed[] = []
  let next = 0
  for (const line of lines) {
    const here: ReadAmount[] = []
    for (let amount = amounts[next]; amount && amount.start <= line.end; amount = amounts[++next])
      here.push(amount)
    if (!above.pass(line, here)) continue
    const { before, after } = neighbours(here)
    const head = above.head === line ? undefined : above.head
    const firstCell = line.cells.find(({ text }) => LETTERS.test(text))
    const many = new Map<string | undefined, number>()
    for (const { dimension } of here) many.set(dimension, (many.get(dimension) ?? 0) + 1)
    let at = 0
    for (const [i, amount] of here.entries()) {
      while ((line.cells[at]?.end ?? Number.MAX_SAFE_INTEGER) <= amount.start) at += 1
      const cell = line.cells.length > 1 ? line.cells[at] : undefined
      const stretch: Stretch = cell ? [cell.start, Math.max(cell.end, amount.end)] : [line.start, line.end]
      const [from, to] = sentences.around(stretch, amount)
      const [previous, following] = [before[i], after[i]]
      const isAfter = previous !== undefined && previous.end > from
      const isBefore = following !== undefined && following.start < to
      const lead = plain.slice(
        Math.max(isAfter ? previous.end : from, amount.start - MOST_ROUND),
        amount.start,
      )
      const tail = plain.slice(amount.end, Math.min(isBefore ? following.start : to, amount.end + MOST_ROUND))
      const isRow = cell !== undefined && firstCell !== undefined && firstCell.start < cell.start
      const key = isRow
        ? (ownKey(line, at, here) ?? firstCell.text)
        : keyOf(line.text, amount.start - line.start)
      // An answer under a question of the letter it replies to.
      const row = key === '' && !line.quoted ? above.question : key
      const column = cell ? `${head ? headOver(cell, line, head) : ''} ${wordsBeyond(line, at)}`.trim() : ''
      const named =
        amount.unit === undefined
          ? [row, column, head?.cells[0]?.text ?? '', ...above.headings].map(unitNamed).find((each) => each)
          : undefined
      // A bare number that nothing gives a unit means nothing.
      if (amount.unit === undefined && !named) continue
      all.push({
        amount: named ? { ...amount, ...named } : amount,
        around: {
          before: isAfter ? lastClause(lead) : lead,
          after: withoutNext(isBefore ? cut(tail) : tail),
          sentence: plain.slice(
            Math.max(from, amount.start - MOST_ROUND),
            Math.min(to, amount.end + MOST_ROUND),
          ),
          earlier: plain.slice(Math.max(0, from - MOST_EARLIER), from),
          rest: plain.slice(amount.end, Math.min(line.end, amount.end + MOST_REST)),
          row: spaced(row),
          column: spaced(column),
          headings: above.headings,
          note: amount.mark === undefined ? '' : (notes.get(amount.mark) ?? ''),
          quoted: line.quoted,
          among: many.get(amount.dimension) ?? 1,
        },
      })
    }
  }
  return all
}
