/** A piece of a line between the marks of a table. */
export interface TextCell {
  readonly start: number
  readonly end: number
  readonly text: string
}

export interface TextLine {
  readonly start: number
  readonly end: number
  readonly text: string
  readonly indent: number
  readonly cells: readonly TextCell[]
  /** Somebody else’s words in a letter. */
  readonly quoted: boolean
}

const CELL_MARK = /\t+| {2,}|\|| ?\.{4,} ?/g
/** A dot after these ends no sentence. */
const ABBREVIATED =
  /\b(?:max|min|incl|excl|approx|no|art|p|pp|resp|ca|nr|vs|ref|perm|dyn|stat|tel|e\.g|i\.e)$/i
/** “75 kg max.” ends a sentence as well. */
const ENDS_IN_MAX = /\d\s?[a-z"]{1,3} (?:max|min)$/i
const MOST_ABBREVIATED = 16
const SENTENCE_MARK = /[;!?.]\s+| - /g

function cellsOf(text: string, start: number): TextCell[] {
  const cells: TextCell[] = []
  let from = 0
  const put = (to: number) => {
    const raw = text.slice(from, to)
    const words = raw.trim()
    if (words === '') return
    const lead = raw.length - raw.trimStart().length
    cells.push({ start: start + from + lead, end: start + from + lead + words.length, text: words })
  }
  for (const mark of text.matchAll(CELL_MARK)) {
    put(mark.index)
    from = mark.index + mark[0].length
  }
  put(text.length)
  return cells
}

/** The lines of a text with their cells: what tabs, bars, leaders and runs of blanks part. */
export function linesOf(plain: string): TextLine[] {
  const lines: TextLine[] = []
  let start = 0
  for (const text of plain.split('\n')) {
    const indent = text.length - text.trimStart().length
    const quoted = text.charAt(indent) === '>'
    lines.push({ start, end: start + text.length, text, indent, cells: cellsOf(text, start), quoted })
    start += text.length + 1
  }
  return lines
}

export type Stretch = readonly [start: number, end: number]

/** A dot ends a sentence before a word, before a wide gap, and before a figure where a whole word stands before it. */
function endsSentence(text: string, at: number, mark: string): boolean {
  const next = text.charAt(at + mark.length)
  if (mark === ' - ') return /[A-Za-z]/.test(next)
  if (!mark.startsWith('.')) return true
  const before = text.slice(Math.max(0, at - MOST_ABBREVIATED), at)
  if (ABBREVIATED.test(before) && !ENDS_IN_MAX.test(before)) return false
  return /[A-Za-z"(]/.test(next) || mark.length > 2 || (/\d/.test(next) && /[A-Za-z]{4}$/.test(before))
}

/** What parts the sentences of a stretch of text, by its places in the text. */
export function sentenceMarks(plain: string, [start, end]: Stretch): Stretch[] {
  const text = plain.slice(start, end)
  const marks: Stretch[] = []
  for (const { index, 0: mark } of text.matchAll(SENTENCE_MARK)) {
    if (!endsSentence(text, index, mark)) continue
    marks.push([start + index, start + index + mark.length])
  }
  return marks
}
