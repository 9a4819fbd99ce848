import { whyNotKept } from '@/storage/shelves'
import { boardCards } from './board-desk'
import type { BoardAnswer, BoardQuestion } from './board-messages'

/** What program worked a card out; the build writes it here. */
const JUDGED_BY = process.env.JUDGED_BY

let wanted = 0
const answer = (message: BoardAnswer) => postMessage(message)

/** Reads and judges the jobs of a board beside the page. A newer question ends an older one. */
addEventListener('message', ({ data: { ticket, unkept } }: MessageEvent<BoardQuestion>) => {
  wanted = ticket
  boardCards(
    JUDGED_BY,
    unkept,
    (cards, left, whole) => answer({ say: 'cards', ticket, cards, left, whole }),
    () => wanted === ticket,
  ).catch((error: unknown) => answer({ say: 'failed', ticket, reason: whyNotKept(error) }))
})
