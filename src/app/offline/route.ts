import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { NextResponse } from 'next/server'
import { OLD_ADDRESSES, ROUTES } from '@/ui/routes'

export const dynamic = 'force-dynamic'

const PAGES = Object.values(ROUTES).map(({ path }) => path)
const MOVED = Object.fromEntries(
  Object.entries(OLD_ADDRESSES).map(([from, screen]) => [from, ROUTES[screen].path]),
)

/** What a browser stores to work without the network: the name of this build, its files, its pages and the old addresses. */
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
    { build: build.trim(), files: files.map((file) => `/_next${file}`), pages: PAGES, moved: MOVED },
    { headers: { 'Cache-Control': 'no-store' } },
  )
}
