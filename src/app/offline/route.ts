import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { NextResponse } from 'next/server'

export const dynamic = 'force-dynamic'

const PAGES = [
  '/',
  '/bench',
  '/bay',
  '/handover',
  '/log',
  '/forces',
  '/new',
  '/stock',
  '/compare',
  '/why',
  '/vehicle',
  '/rack',
  '/gear',
]

/** What a browser has to keep to work without the network: this build's name, its files and its pages. */
export async function GET(): Promise<NextResponse> {
  const built = join(process.cwd(), '.next')
  const [build, entries] = await Promise.all([
    readFile(join(built, 'BUILD_ID'), 'utf8'),
    readdir(join(built, 'static'), { recursive: true, withFileTypes: true }),
  ])
  const files = entries
    .filter((entry) => entry.isFile() && !entry.name.endsWith('.map'))
    .map((entry) => join(entry.parentPath, entry.name).slice(built.length).replaceAll('\\', '/'))
  return NextResponse.json(
    { build: build.trim(), files: files.map((file) => `/_next${file}`), pages: PAGES },
    { headers: { 'Cache-Control': 'no-store' } },
  )
}
