import type { PdfAnswer, PdfQuestion } from '@/workers/pdf-messages'
import { stoppedWords, WorkerClient } from '@/workers/worker-client'
import { htmlText } from './html-text'
import { TEXT_FILES, textFileOf } from './text-files'

/** The text of a file, or why it has none that can be read. */
export type FileText =
  { readonly ok: true; readonly text: string } | { readonly ok: false; readonly why: string }

const LARGEST_MB = 64
const LARGEST_BYTES = LARGEST_MB * 1024 * 1024

/** Letters of a file, by its own mark, else as UTF-8, else as what old programs write. */
function letters(bytes: Uint8Array): string {
  const [a, b] = bytes
  if (a === 0xff && b === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (a === 0xfe && b === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

async function csvText(text: string): Promise<string> {
  const { default: papa } = await import('papaparse')
  return papa
    .parse<string[]>(text.trim())
    .data.map((row) => row.join('\t'))
    .join('\n')
}

/** A letter’s subject and its day stand above its words. */
async function letterText(bytes: Uint8Array): Promise<string> {
  const { default: PostalMime } = await import('postal-mime')
  const { subject, headers, text, html } = await PostalMime.parse(bytes)
  // The day where it was written, whatever day that was elsewhere.
  const day = /\d{1,2} [A-Z][a-z]{2} \d{4}/.exec(headers.find(({ key }) => key === 'date')?.value ?? '')?.[0]
  const at = new Date(`${day ?? ''} 00:00 UTC`)
  const dated = Number.isNaN(at.getTime()) ? '' : `Dated ${at.toISOString().slice(0, 'yyyy-mm-dd'.length)}`
  const head = [subject, dated].filter(Boolean).join('\n')
  return `${head}\n\n${text ?? htmlText(html ?? '')}`.trim()
}

const client = new WorkerClient<PdfQuestion, PdfAnswer>(
  () => new Worker(new URL('../../../workers/pdf.worker.ts', import.meta.url)),
)
let tickets = 0

const pdfText = (bytes: Uint8Array<ArrayBuffer>, onPage: (page: number, of: number) => void) =>
  new Promise<FileText>((resolve) => {
    const ticket = (tickets += 1)
    client.ask({
      // A copy, so that a worker that was started again can be asked again.
      question: () => ({ ticket, bytes: bytes.slice() }),
      listener: (answer) => {
        if (answer.ticket !== ticket) return 'older'
        if (answer.say === 'page') {
          onPage(answer.page, answer.of)
          return 'more'
        }
        // What a document took is given back with its worker.
        client.end()
        resolve(answer.say === 'text' ? { ok: true, text: answer.text } : { ok: false, why: answer.why })
        return 'last'
      },
      failed: () => resolve({ ok: false, why: stoppedWords('The reading of this PDF') }),
    })
  })

/** The text of a file, or why it cannot be read: nobody waits for one that fails. */
export async function textOfFile(file: File, onPage: (page: number, of: number) => void): Promise<FileText> {
  try {
    return await textIn(file, onPage)
  } catch {
    return { ok: false, why: 'It cannot be read: it is damaged, or gone from where it was.' }
  }
}

/** The text of a file as it can be pasted: of a PDF with its columns, page by page; of a letter with its day; of a table with tabs. */
async function textIn(file: File, onPage: (page: number, of: number) => void): Promise<FileText> {
  if (file.size > LARGEST_BYTES) return { ok: false, why: `It is larger than ${LARGEST_MB} MB.` }
  if (file.type.startsWith('image/'))
    return { ok: false, why: 'It is a picture, and pictures are not read. Type what you need.' }
  const kind = textFileOf(file)
  if (!kind) return { ok: false, why: `It is none of ${TEXT_FILES.join(', ')}.` }
  const bytes = new Uint8Array(await file.arrayBuffer())
  switch (kind) {
    case '.pdf':
      return pdfText(bytes, onPage)
    case '.eml':
      return { ok: true, text: await letterText(bytes) }
    case '.html':
    case '.htm':
      return { ok: true, text: htmlText(letters(bytes)) }
    case '.csv':
      return { ok: true, text: await csvText(letters(bytes)) }
    case '.txt':
      return { ok: true, text: letters(bytes) }
  }
}
