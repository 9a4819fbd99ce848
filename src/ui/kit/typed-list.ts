import type { ParsedText } from '@/ui/kit/parsed-field'

/** One number within bounds, in words why not. */
export function readNumber(text: string, from: number, to: number, whole = false): ParsedText<number> {
  const value = Number(text.replace(',', '.').replace(/\s*[a-z%]+$/i, ''))
  if (text === '' || !Number.isFinite(value)) return { ok: false, reason: `Write a number, as ${from}.` }
  if (value < from || value > to) return { ok: false, reason: `From ${from} to ${to}.` }
  return whole && !Number.isInteger(value)
    ? { ok: false, reason: 'Write a whole number.' }
    : { ok: true, value }
}

/** Several numbers with commas between, each within bounds. */
export function readNumbers(text: string, from: number, to: number, most: number): ParsedText<number[]> {
  const read = text
    .split(/[;,]\s*/)
    .filter((each) => each.trim() !== '')
    .map((each) => readNumber(each.trim(), from, to))
  const wrong = read.find((each) => !each.ok)
  if (wrong) return { ok: false, reason: `${wrong.reason} Put commas between.` }
  if (read.length === 0 || read.length > most)
    return { ok: false, reason: `Write one to ${most}, with commas between.` }
  return { ok: true, value: read.flatMap((each) => (each.ok ? [each.value] : [])) }
}

/** Several names with semicolons between. */
export function readNames(text: string, most: number, longest: number): ParsedText<string[]> {
  const names = text
    .split(';')
    .map((each) => each.trim())
    .filter((each) => each !== '')
  if (names.length === 0 || names.length > most)
    return { ok: false, reason: `Write one to ${most}, with semicolons between.` }
  const long = names.find((each) => each.length > longest)
  return long === undefined
    ? { ok: true, value: names }
    : { ok: false, reason: `"${long.slice(0, 20)}…" is too long: ${longest} letters at most.` }
}
