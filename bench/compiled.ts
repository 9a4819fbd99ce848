import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build } from 'esbuild'
import { ROOT } from '../scripts/project.mjs'

/**
 * The address of a file of the bench compiled into one, as the pages are: what runs sources as they lie wraps every
 * function to keep its name, which no page and no server pays for.
 */
export async function compiled(entry: string): Promise<string> {
  const outfile = join(ROOT, '.cache', 'bench', `${entry}.mjs`)
  await build({
    entryPoints: [join(ROOT, 'bench', `${entry}.ts`)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
  })
  return pathToFileURL(outfile).href
}
