import { readFile } from 'node:fs/promises'
import { runCommandLine } from './command-line'

process.exitCode = await runCommandLine(process.argv.slice(2), {
  read: (path) => readFile(path, 'utf8'),
  out: (line) => process.stdout.write(`${line}\n`),
  err: (line) => process.stderr.write(`${line}\n`),
})
