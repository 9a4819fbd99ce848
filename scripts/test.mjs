import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuilt, ensureChromium, ensureInstalled, ROOT, run, runApart } from './project.mjs'

/** Everything that must hold before a change lands, in the order in which it is cheapest to learn of a fault. */

const REPORTS = join(ROOT, '.cache', 'reports')
const bin = (name) => join(ROOT, 'node_modules', '.bin', name)

async function step(name, command, args, environment, how = run) {
  console.log(`\n== ${name}`)
  const began = Date.now()
  const code = await how(command, args, environment)
  console.log(
    `== ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${Math.round((Date.now() - began) / 1000)} s`,
  )
  return code === 0
}

function counts(file, read) {
  const path = join(REPORTS, file)
  return existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 0 }
}

await ensureInstalled()
await ensureChromium()
rmSync(REPORTS, { recursive: true, force: true })
mkdirSync(REPORTS, { recursive: true })

const failed = []
const check = async (name, ...rest) => {
  if (!(await step(name, ...rest))) failed.push(name)
}
await check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.'])
// Linting with types keeps one core busy for as long as the rest down to the unit tests: they share the time.
const linted = check('lint', bin('eslint'), ['.', '--max-warnings', '0'], {}, runApart)
await check('types', bin('tsc'), ['--noEmit'])
await check('types of the core, without a browser or Node', bin('tsc'), [
  '--noEmit',
  '-p',
  'src/core/tsconfig.json',
])
await check('boundaries', 'npm', ['run', '-s', 'boundaries'])
await check('unused code', bin('knip'), [])
await check('unit and property tests', bin('vitest'), [
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${join(REPORTS, 'unit.json')}`,
])
await linted
console.log('\n== build')
await ensureBuilt()
await check('browser tests', bin('playwright'), ['test'], {
  PLAYWRIGHT_JSON_OUTPUT_NAME: join(REPORTS, 'browser.json'),
})

const unit = counts('unit.json', (report) => ({
  passed: report.numPassedTests,
  failed: report.numFailedTests,
}))
const browser = counts('browser.json', ({ stats }) => ({
  passed: stats.expected,
  failed: stats.unexpected + stats.flaky,
}))
if (unit.passed === 0) failed.push('unit tests ran')
if (browser.passed === 0) failed.push('browser tests ran')
if (failed.length > 0) console.log(`\nFailed: ${failed.join(', ')}`)
console.log(`\n${unit.passed + browser.passed} passed, ${unit.failed + browser.failed} failed`)
process.exit(failed.length > 0 ? 1 : 0)
