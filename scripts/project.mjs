import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** What the commands for people share: installing, building, serving, each only when something changed. */

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))
export const NEXT = join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next')
const ENVIRONMENT = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' }

/** Runs a command to its end with its output shown; gives the exit code. */
export function run(command, args, environment = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...ENVIRONMENT, ...environment },
    })
    child.on('error', () => resolve(127))
    child.on('exit', (code) => resolve(code ?? 1))
  })
}

/** Runs a command beside others: its output is given whole once it has ended, so that nothing is mixed up. */
export function runApart(command, args, environment = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...ENVIRONMENT, ...environment },
    })
    const output = []
    child.stdout.on('data', (chunk) => output.push(chunk))
    child.stderr.on('data', (chunk) => output.push(chunk))
    const end = (code) => {
      resolve({ code, output: Buffer.concat(output).toString('utf8') })
    }
    child.on('error', (error) => {
      output.push(Buffer.from(`${error.message}\n`))
      end(127)
    })
    child.on('close', (code) => end(code ?? 1))
  })
}

/** A process that goes on, such as a server. */
export function start(args, environment = {}, stdio = 'inherit') {
  return spawn(process.execPath, args, { cwd: ROOT, stdio, env: { ...ENVIRONMENT, ...environment } })
}

function filesUnder(path) {
  if (!existsSync(path)) return []
  if (statSync(path).isFile()) return [path]
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesUnder(join(path, name)))
}

/** Tests are in no build. */
const TEST = /\.(test|testing)\.tsx?$/

function fingerprint(paths) {
  const hash = createHash('sha256')
  for (const file of paths.flatMap((path) => filesUnder(join(ROOT, path)))) {
    if (TEST.test(file)) continue
    hash.update(file.slice(ROOT.length))
    hash.update(readFileSync(file))
  }
  return hash.digest('hex')
}

const sameAs = (stamp, print) => existsSync(stamp) && readFileSync(stamp, 'utf8') === print

/** Installs the packages, unless those that package.json names are here already. */
export async function ensureInstalled() {
  const stamp = join(ROOT, 'node_modules', '.installed-for')
  const print = fingerprint(['package.json'])
  if (sameAs(stamp, print)) return
  console.log('Installing packages (about two minutes the first time).')
  const code = await run('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error'])
  if (code !== 0) {
    console.error('The packages could not be installed. Is the package registry reachable?')
    process.exit(code)
  }
  writeFileSync(stamp, print)
}

/** Builds the application, unless nothing it is made of has changed since the last build. */
export async function build() {
  const stamp = join(ROOT, '.next', 'built-from')
  const print = fingerprint([
    'src',
    'public',
    'next.config.ts',
    'scripts/assessed-by.mjs',
    'postcss.config.mjs',
    'package.json',
    'tsconfig.json',
  ])
  if (sameAs(stamp, print)) return { code: 0, output: 'Nothing has changed since the last build.\n' }
  rmSync(join(ROOT, '.next'), { recursive: true, force: true })
  const built = await runApart(process.execPath, [NEXT, 'build'])
  if (built.code !== 0) {
    rmSync(join(ROOT, '.next'), { recursive: true, force: true })
    return built
  }
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, print)
  return built
}

/** The same for a person who waits: says that it builds, and ends with the builder's own words where it fails. */
export async function ensureBuilt() {
  console.log('Building, where something has changed (about a minute).')
  const { code, output } = await build()
  if (code === 0) return
  console.error(output)
  process.exit(code)
}

/** The first free port from `wanted` up, on this machine only. */
export async function freePort(wanted) {
  for (let port = wanted; port < wanted + 50; port += 1) {
    const free = await new Promise((resolve) => {
      const probe = createServer()
      probe.once('error', () => resolve(false))
      probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)))
    })
    if (free) return port
  }
  throw new Error(`No port is free from ${wanted} to ${wanted + 49}.`)
}

/** Waits until an address answers; false when the server ended first. */
export async function answers(address, child) {
  for (let tries = 0; tries < 300; tries += 1) {
    if (child.exitCode !== null) return false
    try {
      await fetch(address)
      return true
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  }
  return false
}

const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0

/** Chromium without its windows: it walks a page in about nine tenths of the time. */
const SHELL = 'chromium-headless-shell'

/** Where Chromium is, or undefined. */
export function findChromium() {
  const named = process.env['CHROMIUM']
  if (named && existsSync(named)) return named
  for (const name of [SHELL, 'chromium', 'chromium-browser', 'google-chrome']) {
    const found = spawnSync('sh', ['-c', `command -v ${name}`], { encoding: 'utf8' })
    if (found.status === 0) return found.stdout.trim()
  }
  return undefined
}

/** Installs Debian's Chromium without windows where this user may; what is there already will do, or it says what to do. */
export async function ensureChromium() {
  if (process.env['CHROMIUM'] ? findChromium() : has(SHELL)) return
  const root = process.getuid?.() === 0
  const sudo = !root && has('sudo') && spawnSync('sudo', ['-n', 'true']).status === 0
  if (has('apt-get') && (root || sudo)) {
    console.log('Installing Chromium for the browser tests.')
    const apt = (...args) =>
      sudo
        ? run('sudo', ['-n', 'apt-get', ...args])
        : run('apt-get', args, { DEBIAN_FRONTEND: 'noninteractive' })
    await apt('update', '-qq')
    await apt('install', '-y', '-qq', '--no-install-recommends', SHELL)
  }
  if (findChromium()) return
  console.error(
    `The browser tests need Chromium, and it is not here. Install it (on Debian: apt-get install ${SHELL}), or set CHROMIUM to its path, and run npm test again.`,
  )
  process.exit(1)
}
