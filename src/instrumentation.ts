import type { IncomingMessage, Server as HttpServer, ServerResponse } from 'node:http'

/**
 * Run once as the server starts. TRACE would send back what it was sent, and the framework fails on it: it is refused
 * before it gets there.
 */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] !== 'nodejs') return
  const { Server } = await import('node:http')
  const emit = Server.prototype.emit as (this: HttpServer, event: string, ...args: unknown[]) => boolean
  Server.prototype.emit = function (this: HttpServer, event: string, ...args: unknown[]): boolean {
    const [request, response] = args as [IncomingMessage, ServerResponse]
    if (event !== 'request' || request.method !== 'TRACE') return emit.call(this, event, ...args)
    response.writeHead(405, { Allow: 'GET, HEAD, POST, OPTIONS' }).end()
    return true
  } as HttpServer['emit']
}
