import { createServer, request, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { OLD_ADDRESSES, ROUTES, SHOWN } from '../src/ui/routes'
import { DEEP, expect, inDrawing, saved, test } from './fixtures'

/** A proxy as it stands before a shop's server: it hands on, or answers in the place of a server that is gone. */
class Proxy {
  through = true
  private readonly server: Server
  constructor(to: URL) {
    this.server = createServer((asked, answer) => {
      if (!this.through) {
        answer.writeHead(502, { 'Content-Type': 'text/html' }).end('<h1>Bad gateway</h1>')
        return
      }
      const { method, headers, url } = asked
      const on = request({ host: to.hostname, port: to.port, path: url, method, headers }, (back) => {
        answer.writeHead(back.statusCode ?? 500, back.headers)
        back.pipe(answer)
      })
      on.on('error', () => answer.destroy())
      asked.pipe(on)
    })
  }
  start = () =>
    new Promise<string>((resolve) => {
      this.server.listen(0, '127.0.0.1', () =>
        resolve(`http://localhost:${(this.server.address() as AddressInfo).port}`),
      )
    })
  stop = () =>
    new Promise((resolve) => {
      this.server.closeAllConnections()
      this.server.close(resolve)
    })
}

/** The gate asks for every so manieth screen, the deep run for all. */
const GATE_EVERY = 8

test.use({ serviceWorkers: 'allow' })

test('every screen is there, and work goes on and stays, behind a proxy that answers 502', async ({
  browser,
  baseURL,
}) => {
  const proxy = new Proxy(new URL(baseURL ?? ''))
  const address = await proxy.start()
  const context = await browser.newContext({
    serviceWorkers: 'allow',
    viewport: { width: 1280, height: 800 },
  })
  try {
    const page = await context.newPage()
    await page.goto(address)
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
    for (const [old, screen] of Object.entries(OLD_ADDRESSES)) {
      const moved = await page.request.get(`${address}${old}?job=demo-hatch`, { maxRedirects: 0 })
      expect(moved.status()).toBe(308)
      expect(moved.headers()['location']).toBe(`${ROUTES[screen].path}?job=demo-hatch`)
    }
    proxy.through = false
    const answer = await fetch(address)
    expect(answer.status).toBe(502)

    for (const [name, path] of SHOWN.filter((_, i) => DEEP || i % GATE_EVERY === 0)) {
      await page.goto(`${address}${path}`)
      await expect(page.locator('main, h1').first(), name).toBeVisible()
      await expect(page.getByText('Bad gateway')).toHaveCount(0)
    }
    const olds = Object.entries(OLD_ADDRESSES)
    for (const [old, screen] of DEEP ? olds : olds.slice(0, 1)) {
      await page.goto(`${address}${old}?job=demo-hatch`)
      await expect(page).toHaveURL(`${address}${ROUTES[screen].path}?job=demo-hatch`)
      await expect(page.locator('h1').first()).toBeVisible()
    }
    // What runs beside the page is there too: the board's cards, fixes, the chance of exceeding.
    await page.goto(address)
    await expect(page.getByRole('list', { name: 'Jobs' }).getByText('A boat and the long box')).toBeVisible()
    await page.goto(`${address}/load?job=demo-boat-and-box`)
    await expect(page.getByRole('list', { name: 'Stops' }).getByRole('button').first()).toBeVisible()
    await inDrawing(page, /^Long box/).click()
    await page.getByLabel('x, middle').fill('900 mm')
    await page.getByLabel('x, middle').press('Enter')
    await saved(page)
    await page.reload()
    await inDrawing(page, /^Long box/).click()
    await expect(page.getByLabel('x, middle')).toHaveValue('900 mm')
    await page.goto(`${address}/forces?job=demo-frame`)
    await expect(page.getByText(/Nine of ten draws leave/).first()).toBeVisible()
  } finally {
    await context.close()
    await proxy.stop()
  }
})
