import type { Letters } from './letters'
import { UNIT_AHEAD } from './unit-words'

/** A line of prose that is shorter than this ends where its writer ended it. */
const PROSE_LETTERS = 42
/** A wrapped line is about as long as its neighbours. */
const WRAPPED = 0.85
const NUMBER_AT_END = /(?:\d|\d")$/
const CUT_WORD = /[A-Za-z]-$/
const CUT_NUMBER = /(?:\b(?:is|to|of|than|are|by|from|with|up|at)\s|:\s*|[:=(]\s*|\d[.,])\d{1,3}$/
const REST_OF_NUMBER = new RegExp(String.raw`^\d{1,2}\s?(?:${UNIT_AHEAD})`, 'i')
const UNIT_FIRST = new RegExp(String.raw`^(?:${UNIT_AHEAD})`, 'i')

const ENDS_IN_UNIT = new RegExp(String.raw`\d\s?(?:${UNIT_AHEAD})$`, 'i')

type Join = 'word' | 'number' | 'space' | undefined

/** A line that ends in one of these goes on. */
const OPEN_END =
  /(?:,|\b(?:the|a|an|of|to|and|or|in|on|with|for|is|are|be|by|than|at|as|from|off|when|not|may|can|this|that|its?|which|per|has))$/i

/** `longest` is the length of the longest of a line's neighbours, and `isProse` that more of them are as long. */
function joinOf(line: string, next: string, longest: number, isProse: boolean): Join {
  if (line === '' || next === '') return undefined
  if (CUT_WORD.test(line) && /^[a-z]/.test(next)) return 'word'
  if (CUT_NUMBER.test(line) && REST_OF_NUMBER.test(next)) return 'number'
  if (NUMBER_AT_END.test(line) && (UNIT_FIRST.test(next) || /^(?:to|-) ?\d/.test(next))) return 'space'
  const goesOn =
    line.length >= Math.max(PROSE_LETTERS, WRAPPED * longest) &&
    (isProse || OPEN_END.test(line)) &&
    !ENDS_IN_UNIT.test(line) &&
    !/[.:;!?|]$/.test(line) &&
    !/ {3}|\t|^\s*[-•*>|]/.test(line)
  return goesOn && /^[a-z(]/.test(next) ? 'space' : undefined
}

/** The same text with its wrapped lines made whole: a word that was cut, a sentence that goes on, a unit on the next line, a number in two pieces. */
export function unwrapped({ plain, at }: Letters): Letters {
  const parts: string[] = []
  const places = new Uint32Array(at.length)
  let put = 0
  const mended = new Set<number>()
  const lines = plain.split('\n')
  let from = 0
  let indent = 0
  lines.forEach((line, i) => {
    const next = lines[i + 1]
    const around = [lines[i - 1]?.length ?? 0, line.length, next?.length ?? 0]
    const longest = Math.max(...around)
    const isProse = around.filter((length) => length >= WRAPPED * longest).length > 1
    const join = next === undefined ? undefined : joinOf(line.trimEnd(), next.trimStart(), longest, isProse)
    const end = join === undefined ? line.length : line.trimEnd().length - (join === 'word' ? 1 : 0)
    parts.push(line.slice(indent, end))
    if (end > indent) {
      places.set(at.subarray(from + indent, from + end), put)
      put += end - indent
    }
    if (join === 'number') mended.add(put)
    if (join === 'space' || (join === undefined && next !== undefined)) {
      parts.push(join === 'space' ? ' ' : '\n')
      places[put++] = at[from + line.length] ?? 0
    }
    from += line.length + 1
    indent = join === undefined || next === undefined ? 0 : next.length - next.trimStart().length
  })
  places[put++] = at.at(-1) ?? 0
  return { plain: parts.join(''), at: places.subarray(0, put), mended }
}
