import { answers, ensureBuilt, ensureInstalled, freePort, NEXT, start } from './project.mjs'

/**
 * Installs, builds and serves, each only when something changed. PORT and HOST are honoured; a taken port gives the
 * next free one. With `--demo` the demo's jobs are in it.
 */
await ensureInstalled()
await ensureBuilt()
const demo = process.argv.includes('--demo')
const port = await freePort(Number(process.env['PORT'] ?? 4310))
const host = process.env['HOST'] ?? '127.0.0.1'
const address = `http://localhost:${port}`
const server = start([NEXT, 'start', '-p', String(port), '-H', host], demo ? { YPSOS_DEMO: '1' } : {}, [
  'ignore',
  'ignore',
  'inherit',
])
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    server.kill(signal)
  })
server.on('exit', (code) => process.exit(code ?? 0))
if (await answers(address, server)) console.log(`Ypsos is at ${address}\nStop it with Ctrl+C.`)
