/** A moment as people write it where they are. */
export const whenWords = (at: string): string =>
  new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })

/** A day as people write it where they are; the year only where it is another one. */
export function dayWords(day: string): string {
  const date = new Date(`${day}T12:00:00`)
  const year = date.getFullYear() === new Date().getFullYear() ? {} : { year: 'numeric' as const }
  return date.toLocaleDateString(undefined, { day: 'numeric', month: 'short', ...year })
}
