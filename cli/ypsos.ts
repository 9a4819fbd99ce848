import { readFile } from 'node:fs/promises'
import { runCommandLine } from './command-line'
import { reportFiles } from './report-files'

// Whoever reads may have seen enough: `ypsos review … | head -1` ends quietly, as other tools do.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code === 'EPIPE') process.exit(process.exitCode)
  throw error
})

const read = (path: string) => readFile(path, 'utf8')

process.exitCode = await runCommandLine(process.argv.slice(2), {
  read,
  tell: (files, asked) => reportFiles(files, asked, read),
  out: (line) => process.stdout.write(`${line}\n`),
  err: (line) => process.stderr.write(`${line}\n`),
})
