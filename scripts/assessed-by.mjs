import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'esbuild'

/** What works out a card of the board: all that an assessment reaches is reached from here. */
const ENTRY = 'src/workers/board-cards.ts'

/**
 * A key of the program as far as an assessment reaches it: a hash of every source file that the cards of the board are
 * worked out with. Cards that were kept under another key are worked out again.
 */
export async function assessedBy(root) {
  const { metafile } = await build({
    absWorkingDir: root,
    entryPoints: [ENTRY],
    bundle: true,
    write: false,
    metafile: true,
    packages: 'external',
    platform: 'neutral',
    logLevel: 'silent',
  })
  const hash = createHash('sha256')
  for (const file of Object.keys(metafile.inputs).sort()) {
    hash.update(file)
    hash.update(readFileSync(join(root, file)))
  }
  return hash.digest('hex').slice(0, 16)
}
