import type { PdfFonts } from './pdf-face'

/** Our own type as it ships with the app: Latin letters, and those of the languages around them. */
const FILES = {
  plain: [
    new URL('@fontsource/archivo/files/archivo-latin-400-normal.woff', import.meta.url),
    new URL('@fontsource/archivo/files/archivo-latin-ext-400-normal.woff', import.meta.url),
  ],
  bold: [
    new URL('@fontsource/archivo/files/archivo-latin-700-normal.woff', import.meta.url),
    new URL('@fontsource/archivo/files/archivo-latin-ext-700-normal.woff', import.meta.url),
  ],
} as const

async function bytesOf(url: URL): Promise<Uint8Array> {
  const answer = await fetch(url)
  if (!answer.ok) throw new Error('our own type could not be fetched')
  return new Uint8Array(await answer.arrayBuffer())
}

/** Fetches our type from the app itself. */
export async function pdfFonts(): Promise<PdfFonts> {
  const [plain, bold] = await Promise.all(
    [FILES.plain, FILES.bold].map((files) => Promise.all(files.map(bytesOf))),
  )
  return { plain: plain ?? [], bold: bold ?? [] }
}
