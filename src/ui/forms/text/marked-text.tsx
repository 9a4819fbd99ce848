'use client'
import type { ReactNode } from 'react'
import { Note } from '@/ui/kit/field-note'
import { countsOf, type TextMark, type TextMarkState } from './figures'

/** How what became of an amount is marked: by a sign and a line under it, and said in words. */
const MARK: Readonly<
  Record<TextMarkState, { readonly sign: string; readonly word: string; readonly line: string }>
> = {
  taken: { sign: '✓', word: 'taken', line: 'decoration-solid decoration-2 font-semibold' },
  asked: { sign: '?', word: 'asked', line: 'decoration-dashed decoration-2 font-semibold' },
  source: { sign: '§', word: 'page or day', line: 'decoration-solid decoration-1' },
  elsewhere: { sign: '→', word: 'not on these sheets', line: 'decoration-dotted decoration-2' },
  left: { sign: '·', word: 'left', line: 'decoration-dotted decoration-1' },
}
const STATES = Object.keys(MARK) as TextMarkState[]

interface Line {
  readonly start: number
  readonly text: string
  readonly marks: readonly TextMark[]
}

/** So many lines are shown before and after one with a mark. */
const AROUND = 1
const MOST_LINE = 600
/** What stands in columns keeps them: it runs out to the right rather than to another line. */
const COLUMNS = /\S(?: {3,}|\t)\S/

/** The lines of a text that have a mark or stand beside one; `undefined` where others are left out. */
function shownLines(text: string, marks: readonly TextMark[]): (Line | undefined)[] {
  const lines: Line[] = []
  let start = 0
  let next = 0
  for (const words of text.split(/\n|\f/)) {
    const end = start + words.length
    const here: TextMark[] = []
    for (let mark = marks[next]; mark && mark.at <= end; mark = marks[++next]) here.push(mark)
    lines.push({ start, text: words, marks: here })
    start = end + 1
  }
  const near = lines.map((_, i) =>
    lines.slice(Math.max(0, i - AROUND), i + AROUND + 1).some((line) => line.marks.length > 0),
  )
  return lines.flatMap((line, i) => (near[i] ? [line] : i === 0 || near[i - 1] === true ? [undefined] : []))
}

function LineWords({
  line: { start, text, marks },
  onPick,
}: {
  line: Line
  onPick: (mark: TextMark) => void
}) {
  const pieces: ReactNode[] = []
  let from = Math.max(0, (marks[0]?.at ?? start) - start - MOST_LINE)
  for (const mark of marks) {
    const [at, to] = [mark.at - start, Math.min(mark.to - start, text.length)]
    const { sign, word, line } = MARK[mark.state]
    pieces.push(
      text.slice(Math.max(from, at - MOST_LINE), at),
      <button
        key={mark.at}
        type="button"
        className={`cursor-pointer whitespace-nowrap underline underline-offset-4 touch:inline-flex touch:min-h-11 touch:items-center ${line}`}
        aria-label={`${text.slice(at, to)}: ${word}`}
        onClick={() => onPick(mark)}
      >
        {text.slice(at, to)}
        <span aria-hidden className="ml-0.5 text-aside">
          {sign}
        </span>
      </button>,
    )
    from = to
  }
  pieces.push(text.slice(from, from + MOST_LINE))
  return pieces
}

/** A text with each of its amounts marked by what became of it. Lines without any are left out but for those beside one. */
export function MarkedText({
  text,
  marks,
  onPick,
}: {
  text: string
  marks: readonly TextMark[]
  onPick: (mark: TextMark) => void
}) {
  const counts = countsOf(marks)
  const lines = shownLines(text, marks)
  return (
    <div>
      <div
        role="region"
        aria-label="The text with its figures marked"
        tabIndex={0}
        className="border-edge max-h-[60dvh] overflow-auto border px-3 py-2"
      >
        {lines.length === 0 && <p className="whitespace-pre-wrap">{text.slice(0, MOST_LINE)}</p>}
        {lines.map((line, i) => (
          <p
            key={i}
            className={`min-h-4 ${line && COLUMNS.test(line.text) ? 'font-mono text-aside whitespace-pre' : 'whitespace-pre-wrap break-words'}`}
          >
            {line ? <LineWords line={line} onPick={onPick} /> : '⋯'}
          </p>
        ))}
      </div>
      <Note className="mt-1">
        {STATES.filter((state) => counts[state] > 0)
          .map((state) => `${MARK[state].sign} ${counts[state]} ${MARK[state].word}`)
          .join(', ')}
        {marks.length === 0 && 'No amount with a unit was found.'}
      </Note>
    </div>
  )
}
