import fontkit from '@pdf-lib/fontkit'
import type { PDFDocument, PDFFont, PDFPage, RGB } from 'pdf-lib'

/** The files of one weight, each with letters of its own; the first that has a letter draws it. */
type FontFiles = readonly Uint8Array[]

/** Plain and bold, as files. */
export interface PdfFonts {
  readonly plain: FontFiles
  readonly bold: FontFiles
}

/** What stands in for letters that no font of ours has. */
const SPACES = /[\u2000-\u200a\u202f\u00a0]/

interface Run {
  readonly font: PDFFont
  readonly text: string
}

/** One weight of our own type in a PDF, over all the files that make it up. */
export class Face {
  private constructor(
    private readonly fonts: readonly { readonly font: PDFFont; readonly has: ReadonlySet<number> }[],
  ) {}

  /** Puts the letters that are used into the document; the others stay out of it. */
  static async of(doc: PDFDocument, files: FontFiles): Promise<Face> {
    doc.registerFontkit(fontkit)
    const fonts = await Promise.all(files.map((file) => doc.embedFont(file, { subset: true })))
    return new Face(fonts.map((font) => ({ font, has: new Set(font.getCharacterSet()) })))
  }

  private fontOf(letter: string): PDFFont | undefined {
    const code = letter.codePointAt(0) ?? 0
    return this.fonts.find(({ has }) => has.has(code))?.font
  }

  /** A text with what no font has replaced: odd spaces by a plain one, the rest by a question mark. */
  printable(text: string): string {
    return Array.from(text.normalize('NFC'))
      .map((letter) => (this.fontOf(letter) ? letter : SPACES.test(letter) ? ' ' : '?'))
      .join('')
  }

  private runs(text: string): Run[] {
    const runs: { font: PDFFont; text: string }[] = []
    for (const letter of this.printable(text)) {
      const font = this.fontOf(letter)
      if (!font) continue
      const last = runs.at(-1)
      if (last?.font === font) last.text += letter
      else runs.push({ font, text: letter })
    }
    return runs
  }

  /** Widths of texts at 1 point: the same words come again and again. */
  private readonly widths = new Map<string, number>()

  /** How wide a text is at a size, points. */
  widthOf(text: string, size: number): number {
    const cached = this.widths.get(text)
    if (cached !== undefined) return cached * size
    const width = this.runs(text).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, 1), 0)
    this.widths.set(text, width)
    return width * size
  }

  /** The size at which a line is no wider than this, points. */
  fitting(text: string, size: number, widthPt: number): number {
    return Math.min(size, (size * widthPt) / Math.max(1, this.widthOf(text, size) * 1.02))
  }

  draw(
    page: PDFPage,
    text: string,
    {
      x,
      y,
      size,
      color,
    }: { readonly x: number; readonly y: number; readonly size: number; readonly color: RGB },
  ): void {
    let at = x
    for (const { font, text: part } of this.runs(text)) {
      page.drawText(part, { x: at, y, size, font, color })
      at += font.widthOfTextAtSize(part, size)
    }
  }
}
