import { answers, ensureBuilt, ensureInstalled, freePort, NEXT, start } from './project.mjs'

/** Serves the built application with the demo's jobs in it. PORT is honoured; a taken port gives the next free one. */
await ensureInstalled()
await ensureBuilt()
const port = await freePort(Number(process.env['PORT'] ?? 4310))
const address = `http://localhost:${port}`
const server = start([NEXT, 'start', '-p', String(port), '-H', '127.0.0.1'], { YPSOS_DEMO: '1' }, [
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
