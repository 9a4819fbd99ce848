import { readFileSync } from 'node:fs'
import { parentPort } from 'node:worker_threads'
import { type Asked, reportFile, type Output } from './assess-file'

interface Handful {
  readonly files: readonly string[]
  readonly asked: Asked
}

/** A thread has nothing else to do while it reads, and waiting for a small file takes longer than reading it. */
const read = (path: string) => new Promise<string>((resolve) => resolve(readFileSync(path, 'utf8')))

/** Judges the files it is given and says what was asked of each, in their order. */
parentPort?.on('message', ({ files, asked }: Handful) => {
  const report = async (): Promise<readonly Output[]> => {
    const outputs: Output[] = []
    for (const file of files) outputs.push(await reportFile(file, asked, read))
    return outputs
  }
  void report().then((outputs) => parentPort?.postMessage(outputs))
})
