import { request } from 'node:http'
import { printPlan } from '../src/core/api/files'
import { type APIRequestContext, expect, test } from '@playwright/test'
import { ridgeTent } from '../src/demo/plans'
import { deeper } from './fixtures'

const JSON_TYPE = { 'content-type': 'application/json' }

interface Answer {
  readonly states: unknown
  readonly findings: readonly { readonly remedies: readonly unknown[] }[]
}

test('answers a plan with its review over POST; with fixes where they are asked for', async ({ request }) => {
  const ask = async (path: string): Promise<Answer> => {
    const response = await request.post(path, { data: printPlan(ridgeTent), headers: JSON_TYPE })
    expect(response.status()).toBe(200)
    return (await response.json()) as Answer
  }
  const plain = await ask('/api/review')
  expect(plain).toMatchObject({ format: 'ypsos-review', states: { parked: { verdict: 'stop' } } })
  const fixes = ({ findings }: Answer) => findings.flatMap(({ remedies }) => remedies).length
  expect(fixes(plain)).toBe(0)
  expect(fixes(await ask('/api/review?fixes=1'))).toBeGreaterThan(0)
})

test(
  'a plan that takes too long to review is ended, and nobody waits for it meanwhile',
  deeper,
  async ({ request }) => {
    const [first] = ridgeTent.placements
    if (!first) throw new Error('the demo has nothing on this rack')
    const placements = Array.from({ length: 900 }, (_, i) => ({ ...first, id: `${first.id}-${i}` }))
    let ended = false
    const heavy = request
      .post('/api/review?fixes=1', { data: printPlan({ ...ridgeTent, placements }), headers: JSON_TYPE })
      .then((response) => {
        ended = true
        return response.status()
      })
    expect((await request.get('/')).status()).toBe(200)
    const small = await request.post('/api/review', { data: printPlan(ridgeTent), headers: JSON_TYPE })
    expect([200, 503]).toContain(small.status())
    expect([200, 422]).toContain(await heavy)
    expect(ended).toBe(true)
  },
)

/** Asks for a review, and comes again where the server says when. */
async function posted(request: APIRequestContext, options: Parameters<APIRequestContext['post']>[1]) {
  for (;;) {
    const answer = await request.post('/api/review', options)
    if (answer.status() !== 503) return answer
    await new Promise((resolve) => setTimeout(resolve, 1000 * Number(answer.headers()['retry-after'])))
  }
}

test('refuses what is no plan with 400 and what is too large with 413', async ({ request }) => {
  const bad = await posted(request, {
    data: '{"format":"ypsos-plan","version":1}',
    headers: JSON_TYPE,
  })
  expect(bad.status()).toBe(400)
  const { problems } = (await bad.json()) as { problems: { path: string; text: string }[] }
  expect(problems.find((problem) => problem.path === 'vehicle')?.text).toContain('missing')
  const large = await posted(request, {
    data: ' '.repeat(4 * 1024 * 1024 + 10),
    headers: JSON_TYPE,
  })
  expect(large.status()).toBe(413)
  const plain = await posted(request, {
    data: printPlan(ridgeTent),
    headers: { 'content-type': 'text/plain' },
  })
  expect(plain.status()).toBe(415)
  const marked = await posted(request, {
    data: Buffer.from(`\uFEFF${printPlan(ridgeTent)}`),
    headers: JSON_TYPE,
  })
  expect(marked.status()).toBe(200)
  expect(marked.headers()['content-security-policy']).toBe("default-src 'none'; frame-ancestors 'none'")
})

test(
  'a body that does not come is ended in seconds, and whoever sent it is told',
  deeper,
  async ({ baseURL }) => {
    const began = Date.now()
    const answer = await new Promise<{ status: number | undefined; text: string }>((resolve, reject) => {
      const slow = request(
        new URL('/api/review', baseURL),
        { method: 'POST', headers: JSON_TYPE },
        (from) => {
          let text = ''
          from.on('data', (chunk: Buffer) => (text += chunk.toString()))
          from.on('end', () => {
            slow.destroy()
            resolve({ status: from.statusCode, text })
          })
        },
      )
      slow.on('error', reject)
      slow.write('{')
    })
    expect(answer.status).toBe(408)
    expect(answer.text).toContain('did not arrive within 10 s')
    expect(Date.now() - began).toBeLessThan(30_000)
  },
)

test('a page is read, and nothing is sent to it', async ({ request: ask }) => {
  for (const method of ['PUT', 'PATCH', 'DELETE', 'POST']) {
    const answer = await ask.fetch('/house', { method, data: '{}', maxRedirects: 0 })
    expect([method, answer.status(), answer.headers()['allow']]).toEqual([method, 405, 'GET, HEAD, OPTIONS'])
  }
  expect((await ask.get('/house')).status()).toBe(200)
  expect((await ask.fetch('/api/review', { method: 'PUT' })).status()).toBe(405)
})

test('sends the usual headers with every file it serves, scripts and icons too', async ({ request }) => {
  const page = await (await request.get('/')).text()
  const files = [...page.matchAll(/"(\/_next\/static\/[^"]+?\.(?:js|css|woff2))/g)].map(
    ([, path]) => path ?? '',
  )
  expect(files.length).toBeGreaterThan(3)
  for (const path of [...new Set(files), '/icon.svg', '/sw.js']) {
    const headers = (await request.get(path)).headers()
    expect(headers, path).toMatchObject({
      'x-content-type-options': 'nosniff',
      'x-frame-options': 'DENY',
      'cross-origin-resource-policy': 'same-origin',
    })
    expect(headers['content-security-policy'], path).toContain("default-src 'self'")
  }
})

test('sends a strict policy and the other usual headers', async ({ request }) => {
  const headers = (await request.get('/')).headers()
  const policy = headers['content-security-policy'] ?? ''
  const scripts = policy.split(';').find((part) => part.trim().startsWith('script-src')) ?? ''
  expect(scripts).toContain("'nonce-")
  expect(scripts).not.toContain('unsafe-inline')
  expect(scripts).not.toContain('unsafe-eval')
  expect(headers).toMatchObject({
    'x-content-type-options': 'nosniff',
    'x-frame-options': 'DENY',
    'referrer-policy': 'no-referrer',
    'cross-origin-opener-policy': 'same-origin',
  })
  expect(headers['x-powered-by']).toBeUndefined()
})
