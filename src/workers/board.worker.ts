import { whyNotSaved } from '@/storage/save-result'
import { boardCards } from './board-cards'
import type { BoardAnswer, BoardQuestion } from './board-messages'

/** What program worked a card out; the build writes it here. */
const ASSESSED_BY = process.env.ASSESSED_BY

let wanted = 0
const answer = (message: BoardAnswer) => postMessage(message)

/** Reads and judges the jobs of a board beside the page. A newer question ends an older one. */
addEventListener('message', ({ data: { ticket, unsaved } }: MessageEvent<BoardQuestion>) => {
  wanted = ticket
  boardCards(
    ASSESSED_BY,
    unsaved,
    (cards, left, whole) => answer({ say: 'cards', ticket, cards, left, whole }),
    () => wanted === ticket,
  ).catch((error: unknown) => answer({ say: 'failed', ticket, reason: whyNotSaved(error) }))
})
