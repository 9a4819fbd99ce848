import { getDocument, type PDFDocumentProxy } from 'pdfjs-dist/legacy/build/pdf.mjs'
// Its other half, which it looks for in the same scope before it would start a worker of its own.
import 'pdfjs-dist/legacy/build/pdf.worker.mjs'
import { pageLines, type PageWord } from '@/core/api/files'
import type { PdfAnswer, PdfQuestion } from './pdf-messages'

const say = (answer: PdfAnswer) => postMessage(answer)

async function wordsOf(pdf: PDFDocumentProxy, page: number): Promise<PageWord[]> {
  const { items } = await (await pdf.getPage(page)).getTextContent()
  return items.flatMap((item) => {
    if (!('str' in item)) return []
    const [, , , , x, y] = item.transform as number[]
    return x === undefined || y === undefined
      ? []
      : [{ text: item.str, x, y, width: item.width, height: item.height }]
  })
}

async function read({ ticket, bytes }: PdfQuestion): Promise<void> {
  const pdf = await getDocument({ data: bytes, isEvalSupported: false, disableFontFace: true }).promise
  const pages: string[] = []
  for (let page = 1; page <= pdf.numPages; page += 1) {
    pages.push(pageLines(await wordsOf(pdf, page)))
    say({ say: 'page', ticket, page, of: pdf.numPages })
  }
  const text = pages.join('\f')
  if (text.trim() === '')
    say({
      say: 'refused',
      ticket,
      why: 'Its pages are pictures: there are no letters in it. Type what you need.',
    })
  else say({ say: 'text', ticket, text })
}

const whyNot = (error: unknown): string =>
  error instanceof Error && error.name === 'PasswordException'
    ? 'It asks for a password. Open it where you have the password, and print it to a new PDF.'
    : 'It is damaged, or it is no PDF.'

addEventListener('message', ({ data }: MessageEvent<PdfQuestion | { readonly targetName: string }>) => {
  // What the reader’s other half hears is not for us.
  if ('targetName' in data) return
  read(data).catch((error: unknown) => say({ say: 'refused', ticket: data.ticket, why: whyNot(error) }))
})
