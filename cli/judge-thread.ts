import { readFileSync } from 'node:fs'
import { parentPort } from 'node:worker_threads'
import { type Asked, tellOf, type Told } from './judge-file'

interface Handful {
  readonly files: readonly string[]
  readonly asked: Asked
}

/** A thread has nothing else to do while it reads, and waiting for a small file takes longer than reading it. */
const read = (path: string) => new Promise<string>((resolve) => resolve(readFileSync(path, 'utf8')))

/** Judges the files it is given and says what was asked of each, in their order. */
parentPort?.on('message', ({ files, asked }: Handful) => {
  const tell = async (): Promise<readonly Told[]> => {
    const told: Told[] = []
    for (const file of files) told.push(await tellOf(file, asked, read))
    return told
  }
  void tell().then((told) => parentPort?.postMessage(told))
})
