import type { Verdict, WorkState } from '@/core/api/assess'
import type { BoardCard } from '@/workers/board-messages'

export type ReadCard = Extract<BoardCard, { ok: true }>

/** When something is to be done about a job. */
export type DueBy = 'any' | 'overdue' | 'week' | 'later' | 'none'

/** What of a board is shown: words that a job must have, its verdict, its work, its day, its customer; the board or the archive. */
export interface BoardFilter {
  readonly words: string
  readonly verdict: Verdict | 'any'
  readonly work: WorkState | 'any'
  readonly due: DueBy
  readonly customer: string
  readonly archive: boolean
}

export const WHOLE_BOARD: BoardFilter = {
  words: '',
  verdict: 'any',
  work: 'any',
  due: 'any',
  customer: '',
  archive: false,
}

/** Whether a filter leaves nothing out, of the board or of the archive. */
export const isWhole = (filter: BoardFilter): boolean =>
  Object.entries(filter).every(
    ([key, value]) => key === 'archive' || value === WHOLE_BOARD[key as keyof BoardFilter],
  )

const ONLY_ASCII = /^[\0-\x7f]*$/

const plain = (text: string) =>
  ONLY_ASCII.test(text)
    ? text.toLowerCase()
    : text
        .toLowerCase()
        .normalize('NFKD')
        .replace(/[\u0300-\u036f]/g, '')

const textOf = ({ summary }: ReadCard) =>
  plain(
    [summary.name, summary.customer, summary.number, summary.vehicle, summary.plate]
      .filter((each) => each !== undefined)
      .join(' '),
  )

const DAY_MS = 86_400_000
const WEEK_MS = 7 * DAY_MS

/** The day that comes next for a job: its car's, once it is fitted, else its own. */
export const dayOf = ({ backOn, summary }: ReadCard): string | undefined => backOn ?? summary.due

/** When a job is due as seen on a day; a job whose work is done and whose car need not come back is not. */
export function dueBy(card: ReadCard, day: string): Exclude<DueBy, 'any'> {
  const due = dayOf(card)
  const isOver = card.backOn === undefined && card.work !== 'planned' && card.work !== 'begun'
  if (due === undefined || isOver) return 'none'
  if (due < day) return 'overdue'
  return Date.parse(due) - Date.parse(day) <= WEEK_MS ? 'week' : 'later'
}

/** Jobs that have all that is asked for, words in any order; what does not read is never hidden. */
export function filtered(
  cards: readonly BoardCard[],
  filter: BoardFilter,
  archived: ReadonlySet<string>,
  day: string,
): readonly BoardCard[] {
  const wanted = plain(filter.words)
    .split(/\s+/)
    .filter((each) => each !== '')
  return cards.filter((card) => {
    if (!card.ok) return !filter.archive
    const { summary, work } = card
    if (archived.has(card.id) !== filter.archive) return false
    if (filter.verdict !== 'any' && summary.verdict !== filter.verdict) return false
    if (filter.work !== 'any' && work !== filter.work) return false
    if (filter.due !== 'any' && dueBy(card, day) !== filter.due) return false
    if (filter.customer !== '' && summary.customer !== filter.customer) return false
    const text = textOf(card)
    return wanted.every((each) => text.includes(each))
  })
}

const byName = new Intl.Collator().compare

/** Every customer of a board once, by name. */
export const customersOf = (cards: readonly BoardCard[]): readonly string[] =>
  [...new Set(cards.flatMap((card) => (card.ok ? (card.summary.customer ?? []) : [])))].sort(byName)

/** What cannot be read first, then what is overdue, then by the day that comes next, then by name. */
export function ordered(cards: readonly BoardCard[], day: string): readonly BoardCard[] {
  const rank = (card: BoardCard): string => {
    if (!card.ok) return '0'
    const name = plain(card.summary.name)
    const due = dueBy(card, day)
    if (due === 'overdue') return `1 ${dayOf(card) ?? ''} ${name}`
    return `2 ${due === 'none' ? '9999' : (dayOf(card) ?? '9999')} ${name}`
  }
  return cards
    .map((card) => ({ card, rank: rank(card) }))
    .sort((a, b) => (a.rank < b.rank ? -1 : a.rank > b.rank ? 1 : 0))
    .map(({ card }) => card)
}
