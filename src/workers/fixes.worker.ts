import { FixSearch } from './fix-search'
import type { FixesQuestion } from './fixes-messages'

const desk = new FixSearch()
let working = false

/** Between two findings messages come in. */
const pause = () => new Promise((resolve) => setTimeout(resolve))

async function work(): Promise<void> {
  if (working) return
  working = true
  for (let answer = desk.next(); answer; answer = desk.next()) {
    postMessage(answer)
    await pause()
  }
  working = false
}

/** Looks for fixes beside the page, so that no frame waits for them. */
addEventListener('message', ({ data }: MessageEvent<FixesQuestion>) => {
  desk.take(data)
  void work()
})
