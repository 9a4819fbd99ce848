import { gzipSync } from 'node:zlib'
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

const SCREENS = [
  ['the bench', '/bench?job=demo-boat-and-box', 1.95],
  ['the board', '/', 1.7],
  ['the bay', '/bay?job=demo-boat-and-box', 1.7],
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
