const MONTHS = 'january february march april may june july august september october november december'.split(
  ' ',
)
const MONTH = MONTHS.join('|')

/** A day that can be read one way only: `2025-11-03`, `12 March 2025`, `March 4, 2026`. Not `03/04/2026`. */
export const DAY = String.raw`\d{4}-\d{2}-\d{2}|\d{1,2}\.? (?:${MONTH}) \d{4}|(?:${MONTH}) \d{1,2},? \d{4}`

const two = (value: number): string => String(value).padStart(2, '0')

/** Such a day as year, month and day; nothing where the calendar has no such day. */
export function saidDay(said: string): string | undefined {
  const [, year, month, day] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(said) ?? []
  const name = new RegExp(MONTH, 'i').exec(said)?.[0]?.toLowerCase()
  const figures = said.match(/\d+/g) ?? []
  const [iso, of, on] =
    name === undefined
      ? [year, Number(month), Number(day)]
      : [figures[1], MONTHS.indexOf(name) + 1, Number(figures[0])]
  if (iso === undefined || !of || !on) return undefined
  const date = `${iso}-${two(of)}-${two(on)}`
  const read = new Date(`${date}T00:00:00Z`)
  return !Number.isNaN(read.getTime()) && read.toISOString().startsWith(date) ? date : undefined
}
