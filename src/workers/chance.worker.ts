import { assess, chanceProblem, drawChances } from '@/core/api/assess'
import type { ChanceAnswer, ChanceQuestion } from './chance-messages'

/** The run that is wanted; a newer question or a stop makes an older run give up at its next pause. */
let wanted = 0

const answer = (message: ChanceAnswer) => postMessage(message)

/** A pause in which messages come in. */
const pause = () => new Promise((resolve) => setTimeout(resolve))

async function draw({ ticket, plan, draws }: Extract<ChanceQuestion, { ask: 'draw' }>): Promise<void> {
  const run = drawChances(chanceProblem(assess(plan).survey), draws)
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) {
      answer({ say: 'done', ticket, chances: step.value })
      return
    }
    answer({ say: 'progress', ticket, done: step.value })
    await pause()
    if (wanted !== ticket) {
      answer({ say: 'stopped', ticket })
      return
    }
  }
}

addEventListener('message', ({ data }: MessageEvent<ChanceQuestion>) => {
  if (data.ask === 'stop') {
    wanted = 0
    return
  }
  wanted = data.ticket
  void draw(data)
})
