import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { NextResponse } from 'next/server'
import { ROUTES } from '@/ui/routes'

export const dynamic = 'force-dynamic'

const PAGES = Object.values(ROUTES).map(({ path }) => path)

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
