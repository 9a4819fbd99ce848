/** A number as it is written, before its unit says how its commas are meant. */
export interface Written {
  readonly raw: string
  readonly end: number
}

const MIXED = /(\d{1,3})(?: {1,2}| ?- ?)(\d{1,2})\/(\d{1,2})(?![\d/])/y
const FRACTION = /(\d{1,2})\/(\d{1,2})(?![\d/])/y
const GROUPED = /\d{1,3}(?: \d{3})+(?![\d.,/])/y
const PLAIN = /\d{1,9}(?:[.,]\d{1,9}|'\d{3}(?!\d)){0,4}/y

function sticky(pattern: RegExp, text: string, place: number): RegExpExecArray | null {
  pattern.lastIndex = place
  return pattern.exec(text)
}

/** The number that begins at a place: mixed, a fraction, in groups of three, or plain. */
export function writtenAt(text: string, place: number): Written | undefined {
  for (const pattern of [MIXED, FRACTION, PLAIN]) {
    const found = sticky(pattern, text, place)
    if (found) return { raw: found[0], end: place + found[0].length }
  }
  return undefined
}

/** A number whose groups of three are parted by blanks: only where a unit follows it is it one number. */
export function groupedAt(text: string, place: number): Written | undefined {
  const found = sticky(GROUPED, text, place)
  return found ? { raw: found[0], end: place + found[0].length } : undefined
}

/** Which sign a text has before tenths, where one of its numbers can be read one way only. */
export function decimalSignOf(text: string): '.' | ',' | undefined {
  const comma = /(?<![\d.,])\d+,\d{1,2}(?![\d.,]*\d)/.test(text) || /\d\.\d{3},\d/.test(text)
  const point = /(?<![\d.,/-])\d+\.\d{1,2}(?![\d.,]*\d)/.test(text) || /\d,\d{3}\.\d/.test(text)
  return comma === point ? undefined : comma ? ',' : '.'
}

export interface NumberRead {
  readonly value: number
  /** It can be read two ways. */
  readonly doubtful: boolean
}

const READ = (value: number, doubtful = false): NumberRead => ({ value, doubtful })

/**
 * The value of a written number. Three digits after one comma or point are thousandths or thousands: the unit tells
 * (nobody writes thousandths of a millimetre, or thousands of metres of rack), or the text’s other numbers, or it stays
 * doubtful.
 */
export function numberOf(raw: string, unit: string | undefined, sign: '.' | ',' | undefined): NumberRead {
  const parts = /^(?:(\d+)\D+)?(\d+)\/(\d+)$/.exec(raw)
  if (parts) {
    const under = Number(parts[3])
    return READ(Number(parts[1] ?? 0) + (under === 0 ? Number.NaN : Number(parts[2]) / under))
  }
  const bare = raw.replaceAll(/[ ']/g, '')
  const signs = bare.replaceAll(/\d/g, '')
  const lastSign = signs.at(-1)
  if (lastSign === undefined) return READ(Number(bare))
  const groups = bare.split(/[.,]/)
  const last = groups.at(-1) ?? ''
  const thousands = READ(Number(groups.join('')))
  const tenths = READ(Number(`${groups.slice(0, -1).join('')}.${last}`))
  const areThrees = groups.slice(1).every((group) => group.length === 3) && (groups[0]?.length ?? 0) <= 3
  if (signs.length > 1) {
    const isMixed = signs.slice(0, -1) !== lastSign.repeat(signs.length - 1)
    return isMixed ? tenths : areThrees ? thousands : READ(Number.NaN)
  }
  if (!areThrees || groups[0] === '0') return tenths
  if (unit === 'm' || unit === 'l' || unit === 'km') return tenths
  if (unit === 'mm' || lastSign !== (sign ?? lastSign)) return thousands
  if (sign === undefined && lastSign === ',') return thousands
  return { ...(sign === lastSign ? tenths : thousands), doubtful: true }
}
