/** What an answer is to the question that is asked: one of several, the last one, or an answer to an older question. */
type WorkerListener = 'more' | 'last' | 'older'

interface Asked<Question, Answer> {
  /** The question; a worker that was just started has heard nothing before it. */
  readonly question: (justStarted: boolean) => Question
  readonly listener: (answer: Answer) => WorkerListener
  /** The worker died and is asked again from the beginning. */
  readonly startedAgain?: () => void
  /** The worker died too often: there will be no answer. */
  readonly failed: () => void
}

export interface Bounds {
  /** A worker that owes an answer and says nothing for so long is dead. ms. */
  readonly silentMs: number
  /** After so many deaths at one question it is not started again. */
  readonly tries: number
}

export const USUAL: Bounds = { silentMs: 30_000, tries: 3 }

/** What the user reads when a worker is given up. */
export const stoppedWords = (what: string): string =>
  `${what} stopped by itself. Nothing was changed. Reload the page to try again.`

/**
 * Asks a worker one question at a time, the newest. It is started at the first question. If it dies or falls silent it
 * is started and asked again; after too many deaths the asker is told.
 */
export class WorkerClient<Question, Answer> {
  private worker: Worker | undefined
  private asked: Asked<Question, Answer> | undefined
  private deaths = 0
  private silence: ReturnType<typeof setTimeout> | undefined

  constructor(
    private readonly start: () => Worker,
    private readonly bounds: Bounds = USUAL,
  ) {}

  ask(asked: Asked<Question, Answer>): void {
    this.asked = asked
    this.deaths = 0
    this.send()
  }

  /** Says something to the worker that needs no answer of its own. */
  tell(message: Question): void {
    this.worker?.postMessage(message)
  }

  end(): void {
    this.asked = undefined
    this.drop()
  }

  private drop(): void {
    clearTimeout(this.silence)
    this.worker?.terminate()
    this.worker = undefined
  }

  private started(): Worker {
    const fresh = this.start()
    fresh.addEventListener('message', ({ data }: MessageEvent<Answer>) => {
      if (this.worker === fresh) this.hear(data)
    })
    const died = (event: Event) => {
      event.preventDefault()
      if (this.worker === fresh) this.died()
    }
    fresh.addEventListener('error', died)
    fresh.addEventListener('messageerror', died)
    return fresh
  }

  private send(): void {
    if (!this.asked) return
    const justStarted = this.worker === undefined
    this.worker ??= this.started()
    this.listen()
    this.worker.postMessage(this.asked.question(justStarted))
  }

  private listen(): void {
    clearTimeout(this.silence)
    this.silence = setTimeout(() => this.died(), this.bounds.silentMs)
  }

  private hear(answer: Answer): void {
    const listener = this.asked?.listener(answer)
    if (listener === 'more') this.listen()
    if (listener !== 'last') return
    clearTimeout(this.silence)
    this.asked = undefined
  }

  private died(): void {
    this.drop()
    const { asked } = this
    if (!asked) return
    this.deaths += 1
    if (this.deaths < this.bounds.tries) {
      asked.startedAgain?.()
      this.send()
      return
    }
    this.asked = undefined
    asked.failed()
  }
}
