import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { build, ensureChromium, ensureInstalled, ROOT, runApart } from './project.mjs'

/**
 * Everything that must hold before a change lands. Two lanes share the machine: one builds and walks through the
 * browser, the other reads the code and runs the unit tests. `--deep` runs every case of every property with a seed of
 * its own, and every browser test at every size, and nothing else.
 */

const REPORTS = join(ROOT, '.cache', 'reports')
const bin = (name) => join(ROOT, 'node_modules', '.bin', name)
const deep = process.argv.includes('--deep')
const began = Date.now()
const seconds = (since) => Math.round((Date.now() - since) / 1000)

const failed = []
const times = []

async function part(name, work) {
  const since = Date.now()
  const { code, output } = await work()
  const verdict = code === 0 ? 'passed' : 'FAILED'
  times.push({ name, seconds: seconds(since) })
  if (code !== 0) failed.push(name)
  process.stdout.write(`\n== ${name}\n${output}== ${name}: ${verdict} in ${seconds(since)} s\n`)
  return code === 0
}

const command = (name, tool, args, environment) => part(name, () => runApart(bin(tool), args, environment))

const unitTests = (environment) =>
  command(
    deep ? 'every case of every property' : 'unit and property tests',
    'vitest',
    ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${join(REPORTS, 'unit.json')}`],
    environment,
  )

/** The steps a person can also run alone, by the name they have in package.json. */
const script = (name, says) => part(says, () => runApart('npm', ['run', '--silent', name]))

async function reading() {
  await script('format:check', 'format')
  await script('types', 'types')
  await script('types:core', 'types of the core, without a browser or Node')
  await script('lint', 'lint')
  await script('boundaries', 'boundaries')
  await script('unused', 'unused code')
  await unitTests({})
}

async function walking(environment = {}) {
  if (!(await part('build', build))) return
  await command('browser tests', 'playwright', ['test'], {
    ...environment,
    PLAYWRIGHT_JSON_OUTPUT_NAME: join(REPORTS, 'browser.json'),
  })
}

function counts(file, read) {
  const path = join(REPORTS, file)
  return existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 0 }
}

await ensureInstalled()
rmSync(REPORTS, { recursive: true, force: true })
mkdirSync(REPORTS, { recursive: true })
await ensureChromium()
if (deep) {
  const seed = process.env.YPSOS_SEED ?? String(Date.now() % 2 ** 31)
  console.log(`Seed ${seed}: YPSOS_SEED=${seed} npm run test:deep runs the same cases again.`)
  const environment = { YPSOS_DEEP: '1', YPSOS_SEED: seed }
  await Promise.all([walking(environment), unitTests(environment)])
  console.log(`Seed ${seed}.`)
} else {
  await Promise.all([walking(), reading()])
}

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
console.log(`\nTime by part, two at a time:`)
for (const { name, seconds: took } of times) console.log(`${String(took).padStart(5)} s  ${name}`)
console.log(`${String(seconds(began)).padStart(5)} s  in all`)
if (failed.length > 0) console.log(`\nFailed: ${failed.join(', ')}`)
console.log(`\n${unit.passed + browser.passed} passed, ${unit.failed + browser.failed} failed`)
process.exit(failed.length > 0 ? 1 : 0)
