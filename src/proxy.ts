import { NextResponse, type NextRequest } from 'next/server'

/** A content security policy with a fresh nonce per request, so that no inline script runs that we did not write. */
function policy(nonce: string): string {
  const development = process.env.NODE_ENV === 'development'
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    development ? "style-src 'self' 'unsafe-inline'" : `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}

/** What a page is asked for by. TRACE is refused by the server in front: the framework fails on it. */
const ASKED_BY = ['GET', 'HEAD', 'OPTIONS']

export function proxy(request: NextRequest): NextResponse {
  if (!ASKED_BY.includes(request.method))
    return new NextResponse('This page is read-only.\n', {
      status: 405,
      headers: { allow: ASKED_BY.join(', '), 'content-type': 'text/plain; charset=utf-8' },
    })
  const nonce = btoa(crypto.randomUUID())
  const value = policy(nonce)
  const headers = new Headers(request.headers)
  headers.set('x-nonce', nonce)
  headers.set('Content-Security-Policy', value)
  const response = NextResponse.next({ request: { headers } })
  response.headers.set('Content-Security-Policy', value)
  return response
}

// What stands before a route waits for the whole body of a request: the API reads its own, and ends one that does not come.
export const config = {
  matcher: [{ source: '/((?!api/|_next/static|_next/image|favicon.ico|icon.svg).*)' }],
}
