import { readSheet } from '@/core/api/files'
import type { TextAnswer, TextQuestion } from './text-messages'

/** Reads a text beside the page, so that no frame waits for it. */
addEventListener('message', ({ data: { ticket, text, of } }: MessageEvent<TextQuestion>) => {
  const answer: TextAnswer = { ticket, read: readSheet(text, of) }
  postMessage(answer)
})
