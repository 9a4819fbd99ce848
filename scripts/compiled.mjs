import { rmSync } from 'node:fs'
import { mkdir, mkdtemp, rename, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { basename, dirname, join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build } from 'esbuild'
import { ROOT } from './project.mjs'

/** Puts files in their place, each whole: another that starts meanwhile never reads half of one. */
async function put(folder, files) {
  await mkdir(folder, { recursive: true })
  await Promise.all(
    files.map(async ({ path, contents }) => {
      const place = join(folder, basename(path))
      await writeFile(`${place}.${process.pid}`, contents)
      await rename(`${place}.${process.pid}`, place)
    }),
  )
  return folder
}

/** A folder of this one run, where the project's own may not be written to: installed by one, called by another. */
async function ofThisRun() {
  const folder = await mkdtemp(join(tmpdir(), 'ypsos-'))
  process.on('exit', () => rmSync(folder, { recursive: true, force: true }))
  return folder
}

/**
 * The address of a file of the project compiled into one for node, others that it starts by themselves beside it. What
 * runs sources as they lie wraps every function to keep its name, which costs a sixth of all time.
 */
export async function compiled(entry, ...beside) {
  const kept = join(ROOT, '.cache', 'compiled', dirname(entry))
  const { outputFiles } = await build({
    entryPoints: [entry, ...beside].map((file) => join(ROOT, file)),
    outdir: kept,
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
  const folder = await put(kept, outputFiles).catch(async () => put(await ofThisRun(), outputFiles))
  return pathToFileURL(join(folder, basename(entry).replace(/\.ts$/, '.mjs'))).href
}
