import { availableParallelism } from 'node:os'
import { Worker } from 'node:worker_threads'
import { type Asked, tellOf, type Told } from './judge-file'

/** Fewer are judged sooner than other threads are started. */
const WORTH_THREADS = 200
/** So many files go to a thread at a time. */
const AT_A_TIME = 25
/** A thread that judges handfuls of files, one after the other. */
class Judge {
  private readonly worker = new Worker(new URL('./judge-thread.mjs', import.meta.url))
  async judge(files: readonly string[], asked: Asked): Promise<readonly Told[]> {
    const answer = new Promise<readonly Told[]>((resolve, reject) => {
      this.worker.once('message', (told: readonly Told[]) => {
        this.worker.off('error', reject)
        resolve(told)
      })
      this.worker.once('error', reject)
    })
    this.worker.postMessage({ files, asked })
    return answer
  }
  readonly end = () => this.worker.terminate()
}

/** Each thread takes the next handful as soon as it is free; what comes back is said in the order of the files. */
async function* byThreads(files: readonly string[], asked: Asked): AsyncIterable<Told> {
  const handfuls = Array.from({ length: Math.ceil(files.length / AT_A_TIME) }, (_, i) =>
    files.slice(i * AT_A_TIME, (i + 1) * AT_A_TIME),
  )
  const judges = Array.from({ length: availableParallelism() }, () => new Judge())
  const answers: ((told: Promise<readonly Told[]>) => void)[] = []
  const told = handfuls.map(
    () => new Promise<readonly Told[]>((resolve) => answers.push((answer) => resolve(answer))),
  )
  let next = 0
  const work = async (judge: Judge) => {
    for (let i = next++; i < handfuls.length; i = next++) {
      const answer = judge.judge(handfuls[i] ?? [], asked)
      answers[i]?.(answer)
      await answer
    }
  }
  try {
    // What goes wrong in a thread is met where its handful is waited for.
    for (const judge of judges) work(judge).catch(() => undefined)
    for (const each of told) yield* await each
  } finally {
    await Promise.all(judges.map((judge) => judge.end()))
  }
}

/** What is said of each file, in their order: by one thread, or by as many as the machine has where they are many. */
export async function* tellFiles(
  files: readonly string[],
  asked: Asked,
  read: (path: string) => Promise<string>,
): AsyncIterable<Told> {
  if (files.length >= WORTH_THREADS && availableParallelism() > 1) yield* byThreads(files, asked)
  else for (const file of files) yield await tellOf(file, asked, read)
}
