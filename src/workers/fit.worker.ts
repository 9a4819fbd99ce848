import { compatible } from '@/core/review/compatible'
import { survey } from '@/core/survey/survey'
import type { FitAnswers, FitQuestion } from './fit-messages'

/** Judges the whole shelf beside the page, so that no frame waits for it. */
addEventListener('message', ({ data }: MessageEvent<FitQuestion>) => {
  const { ticket, plan, rackId, gear, adapters } = data
  const surveyed = survey(plan)
  const answers: FitAnswers = {
    ticket,
    answers: gear.map((each) => [each.id, compatible(surveyed, each, rackId, adapters, 'trial')]),
  }
  postMessage(answers)
})
