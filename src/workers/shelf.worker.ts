import { assess, compatible } from '@/core/api/assess'
import type { ShelfAnswers, ShelfQuestion } from './shelf-messages'

/** Judges the whole shelf beside the page, so that no frame waits for it. */
addEventListener('message', ({ data }: MessageEvent<ShelfQuestion>) => {
  const { ticket, plan, rackId, gear, adapters } = data
  const surveyed = assess(plan).survey
  const answers: ShelfAnswers = {
    ticket,
    answers: gear.map((each) => [each.id, compatible(surveyed, each, rackId, adapters, 'trial')]),
  }
  postMessage(answers)
})
