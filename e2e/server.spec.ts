import { printPlan } from '../src/core'
import { expect, test } from '@playwright/test'
import { ridgeTent } from '../src/demo/plans'

test('answers a plan with its review over POST', async ({ request }) => {
  const response = await request.post('/api/review', {
    data: printPlan(ridgeTent),
    headers: { 'content-type': 'application/json' },
  })
  expect(response.status()).toBe(200)
  expect(await response.json()).toMatchObject({
    format: 'ypsos-review',
    states: { parked: { verdict: 'stop' } },
  })
})

test('refuses what is no plan with 400 and what is too large with 413', async ({ request }) => {
  const bad = await request.post('/api/review', { data: '{"format":"ypsos-plan","version":1}' })
  expect(bad.status()).toBe(400)
  const { problems } = (await bad.json()) as { problems: { path: string; text: string }[] }
  expect(problems.find((problem) => problem.path === 'vehicle')?.text).toContain('missing')
  const large = await request.post('/api/review', { data: ' '.repeat(4 * 1024 * 1024 + 10) })
  expect(large.status()).toBe(413)
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
