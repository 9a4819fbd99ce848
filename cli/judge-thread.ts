import { readFile } from 'node:fs/promises'
import { parentPort } from 'node:worker_threads'
import { type Asked, tellOf, type Told } from './judge-file'

interface Handful {
  readonly files: readonly string[]
  readonly asked: Asked
}

/** Judges the files it is given and says what was asked of each, in their order. */
parentPort?.on('message', ({ files, asked }: Handful) => {
  const tell = async (): Promise<readonly Told[]> => {
    const told: Told[] = []
    for (const file of files) told.push(await tellOf(file, asked, (path) => readFile(path, 'utf8')))
    return told
  }
  void tell().then((told) => parentPort?.postMessage(told))
})
