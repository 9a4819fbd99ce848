import type { Verdict } from '@/core'
import type { BoardCard } from '@/workers/board-messages'

/** What of a board is shown: words that a job must have, and the verdict it must have. */
export interface BoardFilter {
  readonly words: string
  readonly verdict: Verdict | 'any'
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')

const textOf = ({ glance }: Extract<BoardCard, { ok: true }>) =>
  plain(
    [glance.name, glance.customer, glance.number, glance.vehicle, glance.plate]
      .filter((each) => each !== undefined)
      .join(' '),
  )

/** Jobs that have every word asked for, in any order, and the verdict; what does not read is never hidden. */
export function filtered(cards: readonly BoardCard[], { words, verdict }: BoardFilter): readonly BoardCard[] {
  const wanted = plain(words)
    .split(/\s+/)
    .filter((each) => each !== '')
  return cards.filter((card) => {
    if (!card.ok) return true
    if (verdict !== 'any' && card.glance.verdict !== verdict) return false
    const text = textOf(card)
    return wanted.every((each) => text.includes(each))
  })
}

/** What cannot be read first, then what is overdue, then by the day that comes next, then by name. */
export function ordered(cards: readonly BoardCard[], day: string): readonly BoardCard[] {
  const rank = (card: BoardCard): string => {
    if (!card.ok) return '0'
    const { backOn, glance } = card
    if (backOn !== undefined && backOn < day) return `1 ${backOn}`
    return `2 ${backOn ?? glance.due ?? '9999'} ${plain(glance.name)}`
  }
  return cards
    .map((card) => ({ card, rank: rank(card) }))
    .sort((a, b) => (a.rank < b.rank ? -1 : a.rank > b.rank ? 1 : 0))
    .map(({ card }) => card)
}
