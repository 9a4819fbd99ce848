/** A word or several of a page with their place: from the left and from the bottom of the page, in points. */
export interface PageWord {
  readonly text: string
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** Words whose feet are no further apart than this part of their height stand in one line. */
const SAME_LINE = 0.5
/** A gap of this part of a letter's height is a blank; a wider one parts two cells. */
const BLANK = 0.12
const CELL = 0.9
/** What parts two cells of a row: no fewer blanks than this. */
const LEAST_BLANKS = 3
/** A page is laid out in no more columns of letters than this, however small one of its letters is. */
const MOST_COLUMNS = 240
const USUAL_LETTER = 5

/** A small figure that stands higher than its line is the mark of a footnote, and no figure of the number before it. */
const SMALL = 0.8
const HIGHER = 0.15
const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹'

function withRaised(line: readonly PageWord[]): PageWord[] {
  const [tallest] = line.toSorted((a, b) => b.height - a.height)
  return line.map((word) => {
    const isRaised =
      tallest &&
      word.height < SMALL * tallest.height &&
      word.y > tallest.y + HIGHER * tallest.height &&
      /^\d{1,2}\)?$/.test(word.text)
    return isRaised
      ? { ...word, text: word.text.replaceAll(/\d/g, (figure) => RAISED[Number(figure)] ?? '') }
      : word
  })
}

function linesOf(words: readonly PageWord[]): PageWord[][] {
  const lines: PageWord[][] = []
  for (const word of words.toSorted((a, b) => b.y - a.y || a.x - b.x)) {
    const line = lines.at(-1)
    const [first] = line ?? []
    if (line && first && Math.abs(first.y - word.y) <= SAME_LINE * Math.max(first.height, word.height))
      line.push(word)
    else lines.push([word])
  }
  return lines.map((line) => withRaised(line.toSorted((a, b) => a.x - b.x)))
}

/** How wide a letter of the page usually is, in points. */
function letterWidth(words: readonly PageWord[]): number {
  const widths = words
    .filter(({ width }) => width > 0)
    .map(({ width, text }) => width / text.length)
    .toSorted((a, b) => a - b)
  return widths[Math.floor(widths.length / 2)] ?? USUAL_LETTER
}

/**
 * The lines of a page, from its words with their places: what stands at one height is one line, and a gap as wide as a
 * column's is so many blanks that what stands under each other on the page does so in the text.
 */
export function pageLines(words: readonly PageWord[]): string {
  const seen = words.filter(({ text }) => text.trim() !== '')
  const left = Math.min(...seen.map(({ x }) => x))
  const right = Math.max(...seen.map(({ x, width }) => x + width))
  const letter = Math.max(letterWidth(seen), (right - left) / MOST_COLUMNS)
  const lines: string[] = []
  let above: PageWord | undefined
  for (const line of linesOf(seen)) {
    const [first] = line
    if (!first) continue
    // A gap as high as a line is an empty one.
    if (above && above.y - first.y > 2.2 * Math.max(above.height, first.height)) lines.push('')
    above = first
    let text = ''
    let end: number | undefined
    for (const word of line) {
      const gap = end === undefined ? 0 : word.x - end
      const isCell = end !== undefined && gap > CELL * word.height
      const place = Math.round((word.x - left) / letter)
      if (isCell) text = text.trimEnd().padEnd(Math.max(place, text.trimEnd().length + LEAST_BLANKS))
      else if (end === undefined) text = ' '.repeat(Math.max(0, place))
      else if (gap > BLANK * word.height && !text.endsWith(' ')) text += ' '
      text += word.text
      end = word.x + word.width
    }
    lines.push(text.trimEnd())
  }
  return lines.join('\n')
}
