import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { ratio, type Ratio } from './ratio'

/** What a page's own scripts weigh, gzipped, in bytes. */
async function scriptBytes(address: string): Promise<number> {
  const html = await (await fetch(address)).text()
  const paths = new Set(
    [...html.matchAll(/<script[^>]+src="([^"]+\.js[^"]*)"/g)].map((match) => match[1] ?? ''),
  )
  let bytes = 0
  for (const path of paths) {
    const body = await (await fetch(new URL(path, address))).arrayBuffer()
    bytes += gzipSync(Buffer.from(body)).byteLength
  }
  return bytes
}

/** What a screen has fetched of scripts, gzipped, by the time it can be worked with. */
async function usableBytes(address: string, sign: string, executablePath: string): Promise<number> {
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
    const bodies: Promise<Buffer>[] = []
    page.on('response', (response) => {
      if (new URL(response.url()).pathname.endsWith('.js')) bodies.push(response.body())
    })
    await page.goto(address)
    await page.locator(sign).first().waitFor()
    return (await Promise.all(bodies)).reduce((sum, body) => sum + gzipSync(body).byteLength, 0)
  } finally {
    await browser.close()
  }
}

/** What reads a job comes with the page, what shows it beside the reading: both together may not grow either. */
const USABLE = [
  ['the bench', '/load?job=demo-boat-and-box', '[data-words] text', 2.8],
  ['the bay', '/fit?job=demo-boat-and-box', 'main h2', 2.3],
] as const

/** JavaScript of a screen until its job can be worked with, against an empty app of the same framework. */
export async function usableRatios(here: string, empty: string, chromiumPath: string): Promise<Ratio[]> {
  const theirs = await scriptBytes(empty)
  const ratios: Ratio[] = []
  for (const [name, path, sign, most] of USABLE) {
    const ours = await usableBytes(`${here}${path}`, sign, chromiumPath)
    ratios.push(
      ratio(
        `JavaScript, workers too, until ${name} can be worked with (${Math.round(ours / 1024)} KB gzip) against an empty app`,
        ours / theirs,
        most,
      ),
    )
  }
  return ratios
}

const SCREENS = [
  ['the bench', '/load?job=demo-boat-and-box', 1.95],
  ['the board', '/', 1.7],
  ['the bay', '/fit?job=demo-boat-and-box', 1.7],
] as const

/** First-load JavaScript of three screens against an empty app of the same framework. */
export async function firstLoadRatios(here: string, empty: string): Promise<Ratio[]> {
  const theirs = await scriptBytes(empty)
  const kb = (bytes: number) => Math.round(bytes / 1024)
  const ratios: Ratio[] = []
  for (const [name, path, most] of SCREENS) {
    const ours = await scriptBytes(`${here}${path}`)
    ratios.push(
      ratio(
        `first-load JavaScript of ${name} (${kb(ours)} KB gzip) against an empty app (${kb(theirs)} KB)`,
        ours / theirs,
        most,
      ),
    )
  }
  return ratios
}
