import { FixSearch } from './fix-search'
import type { FixesQuestion } from './fixes-messages'

const search = new FixSearch()
let working = false

/** Between two findings messages come in. */
const pause = () => new Promise((resolve) => setTimeout(resolve))

async function work(): Promise<void> {
  if (working) return
  working = true
  for (let answer = search.next(); answer; answer = search.next()) {
    postMessage(answer)
    await pause()
  }
  working = false
}

/** Looks for fixes beside the page, so that no frame waits for them. */
addEventListener('message', ({ data }: MessageEvent<FixesQuestion>) => {
  search.take(data)
  void work()
})
