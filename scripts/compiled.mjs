import { mkdir, rename, writeFile } from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build } from 'esbuild'
import { ROOT } from './project.mjs'

/**
 * The address of a file of the project compiled into one for node, others that it starts by themselves beside it. What
 * runs sources as they lie wraps every function to keep its name, which costs a sixth of all time. A file is put in its
 * place whole: another that starts meanwhile never reads half of one.
 */
export async function compiled(entry, ...beside) {
  const { outputFiles } = await build({
    entryPoints: [entry, ...beside].map((file) => join(ROOT, file)),
    outdir: join(ROOT, '.cache', 'compiled', dirname(entry)),
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    write: false,
    // What was made for require asks for it by name.
    banner: {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    },
  })
  await Promise.all(
    outputFiles.map(async ({ path, contents }) => {
      await mkdir(dirname(path), { recursive: true })
      await writeFile(`${path}.${process.pid}`, contents)
      await rename(`${path}.${process.pid}`, path)
    }),
  )
  const main = basename(entry).replace(/\.ts$/, '.mjs')
  return pathToFileURL(outputFiles.find(({ path }) => basename(path) === main).path).href
}
