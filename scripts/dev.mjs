import { ensureInstalled, freePort, NEXT, start } from './project.mjs'

/** Serves the source as it is edited, with the demo's jobs in it. */
await ensureInstalled()
const port = await freePort(Number(process.env['PORT'] ?? 4320))
const server = start([NEXT, 'dev', '-p', String(port), '-H', '127.0.0.1'], { YPSOS_DEMO: '1' })
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    server.kill(signal)
  })
server.on('exit', (code) => process.exit(code ?? 0))
