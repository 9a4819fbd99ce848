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

/** First-load JavaScript of the bench against an empty app of the same framework. */
export async function firstLoadRatio(bench: string, empty: string): Promise<Ratio> {
  const [ours, theirs] = [await scriptBytes(bench), await scriptBytes(empty)]
  const kb = (bytes: number) => Math.round(bytes / 1024)
  return ratio(
    `first-load JavaScript of the bench (${kb(ours)} KB gzip) against an empty app (${kb(theirs)} KB)`,
    ours / theirs,
    2.2,
  )
}
