import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import { type Asked, reportFile, type Output } from './assess-file'

/** Fewer are judged sooner than other threads are started. */
const WORTH_THREADS = 200
/** So many files go to a thread at a time. */
const AT_A_TIME = 25
/** A thread that judges handfuls of files, one after the other. */
class AssessThread {
  private readonly worker = new Worker(new URL('./assess-thread.mjs', import.meta.url))
  async assess(files: readonly string[], asked: Asked): Promise<readonly Output[]> {
    const answer = new Promise<readonly Output[]>((resolve, reject) => {
      this.worker.once('message', (outputs: readonly Output[]) => {
        this.worker.off('error', reject)
        resolve(outputs)
      })
      this.worker.once('error', reject)
    })
    this.worker.postMessage({ files, asked })
    return answer
  }
  readonly end = () => this.worker.terminate()
}

/** Each thread takes the next handful as soon as it is free; what comes back is said in the order of the files. */
async function* byThreads(files: readonly string[], asked: Asked): AsyncIterable<Output> {
  const handfuls = Array.from({ length: Math.ceil(files.length / AT_A_TIME) }, (_, i) =>
    files.slice(i * AT_A_TIME, (i + 1) * AT_A_TIME),
  )
  const threads = Array.from({ length: availableParallelism() }, () => new AssessThread())
  const answers: ((outputs: Promise<readonly Output[]>) => void)[] = []
  const outputs = handfuls.map(
    () => new Promise<readonly Output[]>((resolve) => answers.push((answer) => resolve(answer))),
  )
  let next = 0
  const work = async (judge: AssessThread) => {
    for (let i = next++; i < handfuls.length; i = next++) {
      const answer = judge.assess(handfuls[i] ?? [], asked)
      answers[i]?.(answer)
      await answer
    }
  }
  try {
    // What goes wrong in a thread is met where its handful is waited for.
    for (const judge of threads) work(judge).catch(() => undefined)
    for (const each of outputs) yield* await each
  } finally {
    await Promise.all(threads.map((judge) => judge.end()))
  }
}

/** What is said of each file, in their order: by one thread, or by as many as the machine has where they are many. */
export async function* reportFiles(
  files: readonly string[],
  asked: Asked,
  read: (path: string) => Promise<string>,
): AsyncIterable<Output> {
  if (files.length >= WORTH_THREADS && availableParallelism() > 1) yield* byThreads(files, asked)
  else for (const file of files) yield await reportFile(file, asked, read)
}
