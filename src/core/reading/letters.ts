import { VULGAR_FRACTIONS } from '../units/parse'

/** A text in plain letters, each of which knows its place in the original. */
export interface Letters {
  readonly plain: string
  /** The place in the original of each plain letter, and of what comes after the last. */
  readonly at: Uint32Array
  /** Places in the plain text where a number was put together over the end of a line. */
  readonly mended: ReadonlySet<number>
}

export type Span = readonly [start: number, end: number]

const FRACTIONS: Readonly<Record<string, string>> = { ...VULGAR_FRACTIONS, '⅓': '1/3', '⅔': '2/3' }

/** What a letter is made of. */
const PLAIN: Readonly<Record<string, string>> = {
  ﬀ: 'ff',
  ﬁ: 'fi',
  ﬂ: 'fl',
  ﬃ: 'ffi',
  ﬄ: 'ffl',
  '\u00ad': '',
  '\u200b': '',
  '\u2060': '',
  '\ufeff': '',
  '\r': '',
  // Between two pages.
  '\f': '\n',
  '\u2010': '-',
  '\u2011': '-',
  '\u2012': '-',
  '\u2013': '-',
  '\u2014': '-',
  '\u2212': '-',
  '\u2044': '/',
  '\u2032': "'",
  '\u2018': "'",
  '\u2019': "'",
  '\u2033': '"',
  '\u201c': '"',
  '\u201d': '"',
  '×': 'x',
  '✕': 'x',
  '·': '.',
  '⋅': '.',
  '∙': '.',
  '…': '...',
  '±': '+/-',
}

const isSpace = (code: number): boolean =>
  code === 0xa0 || code === 0x202f || code === 0x3000 || (code >= 0x2000 && code <= 0x200a)
const isDigit = (letter: string | undefined): boolean =>
  letter !== undefined && letter >= '0' && letter <= '9'

const CSV_LINE = /^[^\s,\n][^,\n]*(?:,\S[^,\n]*){2,} *$/

/** Rows whose cells are parted by commas alone have tabs instead: a comma between two figures would be one of a number. */
function withTabs(plain: string): string {
  if (!/^[^\s,\n]+(?:,[^\s,\n]+){2,} *$/m.test(plain)) return plain
  const lines = plain.split('\n')
  const commas = lines.map((line) => (CSV_LINE.test(line) ? line.split(',').length : 0))
  return lines
    .map((line, i) => {
      const isOne = (commas[i] ?? 0) > 0 && (commas[i] === commas[i - 1] || commas[i] === commas[i + 1])
      return isOne ? line.replaceAll(',', '\t') : line
    })
    .join('\n')
}

/** Letters that are not plain already; a line feed and a tab are. */
const NOT_PLAIN = /[\r\f\u0080-\uffff]/g

/** A text with its ligatures, spaces, hyphens, primes, fractions and signs made plain. */
export function plainLetters(text: string): Letters {
  const changes: { readonly place: number; readonly letters: string }[] = []
  let length = text.length
  for (const { index, 0: letter } of text.matchAll(NOT_PLAIN)) {
    const fraction = FRACTIONS[letter]
    const letters =
      fraction === undefined
        ? (PLAIN[letter] ?? (isSpace(letter.charCodeAt(0)) ? ' ' : letter))
        : isDigit(text[index - 1])
          ? ` ${fraction}`
          : fraction
    if (letters === letter) continue
    changes.push({ place: index, letters })
    length += letters.length - 1
  }
  const at = new Uint32Array(length + 1)
  const parts: string[] = []
  let from = 0
  let put = 0
  const keep = (to: number) => {
    parts.push(text.slice(from, to))
    for (let place = from; place < to; place += 1) at[put++] = place
  }
  for (const { place, letters } of changes) {
    keep(place)
    parts.push(letters)
    for (let i = 0; i < letters.length; i += 1) at[put++] = place
    from = place + 1
  }
  keep(text.length)
  at[put] = text.length
  return { plain: withTabs(parts.join('')), at, mended: new Set() }
}

/** The stretch of the original in which a stretch of the plain text stands. */
export const originalSpan = ({ at }: Letters, start: number, end: number): Span => [
  at[start] ?? 0,
  (at[Math.max(start, end - 1)] ?? 0) + 1,
]
