import { assess, compatible } from '@/core/api/assess'
import type { FitAnswers, FitQuestion } from './fit-messages'

/** Judges the whole shelf beside the page, so that no frame waits for it. */
addEventListener('message', ({ data }: MessageEvent<FitQuestion>) => {
  const { ticket, plan, rackId, gear, adapters } = data
  const surveyed = assess(plan).survey
  const answers: FitAnswers = {
    ticket,
    answers: gear.map((each) => [each.id, compatible(surveyed, each, rackId, adapters, 'trial')]),
  }
  postMessage(answers)
})
