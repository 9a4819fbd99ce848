import { spawn } from 'node:child_process'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { availableParallelism, tmpdir } from 'node:os'
import { join } from 'node:path'
import { printPlan } from '@/core/api/files'
import { DEMO_PLANS } from '@/demo/plans'
import { ROOT } from '../scripts/project.mjs'
import { ratio, type Ratio } from './ratio'

const FILES = 10_000
/** So many on top start the threads as well: what they take is start-up. */
const WARM = 200

/** The ms a shell takes to say a line of each file. */
function said(files: readonly string[]): Promise<number> {
  const began = Date.now()
  return new Promise((resolve, reject) => {
    const shell = spawn(process.execPath, [join(ROOT, 'cli', 'bin.mjs'), 'review', ...files], {
      stdio: ['ignore', 'ignore', 'inherit'],
    })
    shell.on('error', reject)
    shell.on('close', (code) => {
      if (code === 1) resolve(Date.now() - began)
      else reject(new Error(`the shell ended with ${code ?? 'nothing'}`))
    })
  })
}

/** The shell over ten thousand plans on all cores, against one core's reading of the same files; start-up apart. */
export async function shellRatio(readEach: (files: readonly string[]) => Promise<void>): Promise<Ratio> {
  const folder = await mkdtemp(join(tmpdir(), 'ypsos-many-'))
  try {
    const texts = DEMO_PLANS.map((plan) => printPlan(plan))
    const files = Array.from({ length: FILES + WARM }, (_, i) => join(folder, `${i}.json`))
    for (const [i, file] of files.entries()) await writeFile(file, texts[i % texts.length] ?? '')
    const began = Date.now()
    await readEach(files.slice(WARM))
    const reading = Date.now() - began
    const startUp = await said(files.slice(0, WARM))
    const all = await said(files)
    return ratio(
      `the shell over ${FILES} plans on ${availableParallelism()} cores (${all - startUp} ms) against one core's reading of them (${reading} ms)`,
      (all - startUp) / reading,
      3,
    )
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}
