/**
 * Keeps Ypsos working where there is no network: every page and every file of this build is fetched once and kept.
 * Pages come from the network while there is one; a page's address says which job, so one copy of a page does for all.
 */
const CACHE = `ypsos-${new URL(self.location.href).searchParams.get('build') ?? 'none'}`
/** A bay's network can be there and still give nothing. */
const PATIENCE_MS = 5000

self.addEventListener('install', (event) => {
  event.waitUntil(
    (async () => {
      const list = await (await fetch('/offline', { cache: 'no-store' })).json()
      const cache = await caches.open(CACHE)
      await cache.addAll([...list.files, ...list.pages])
      await cache.put('/offline', Response.json(list))
      await self.skipWaiting()
    })(),
  )
})

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      const names = await caches.keys()
      await Promise.all(
        names
          .filter((name) => name.startsWith('ypsos-') && name !== CACHE)
          .map((name) => caches.delete(name)),
      )
      await self.clients.claim()
    })(),
  )
})

const kept = (request, options) => caches.match(request, { ignoreVary: true, ...options })

/** A worker's own script must not carry the address it was asked for, or the browser resolves its imports wrongly. */
const fresh = (response, request) =>
  request.destination === 'worker' ? new Response(response.body, response) : response

/** A stored page; an old address leads to the page's new one. */
async function keptPage(request) {
  const { pathname, search, origin } = new URL(request.url)
  const found = await kept(pathname, { ignoreSearch: true })
  if (found) return found
  const list = await caches.match('/offline')
  const moved = list && (await list.json()).moved?.[pathname]
  return moved && Response.redirect(`${origin}${moved}${search}`, 308)
}

async function page(request) {
  const late = new Promise((_, reject) => setTimeout(() => reject(new Error('late')), PATIENCE_MS))
  try {
    const answer = await Promise.race([fetch(request), late])
    // A proxy that stands before a server that is gone answers in its place.
    if (answer.status < 500) return answer
    return (await keptPage(request)) ?? answer
  } catch {
    return (await keptPage(request)) ?? Response.error()
  }
}

async function file(request) {
  const found = await kept(request)
  return found ? fresh(found, request) : fetch(request)
}

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (request.mode === 'navigate') event.respondWith(page(request))
  else if (url.pathname.startsWith('/_next/static/') || url.pathname === '/icon.svg')
    event.respondWith(file(request))
})
