import { rgb, type PDFDocument, type PDFPage } from 'pdf-lib'
import type { Face } from './pdf-face'
import { MARGIN_MM, PAPER, type Paper } from './true-scale'

/** Points in a millimetre: true scale depends on it. */
export const PT = 72 / 25.4
export const PDF_INK = rgb(0.086, 0.133, 0.18)
export const EDGE = rgb(0.4, 0.45, 0.5)
const BODY = 9.5

/** A column of text down as many pages as it takes. */
export class PdfColumn {
  page: PDFPage
  private y = 0

  constructor(
    private readonly doc: PDFDocument,
    private readonly fonts: { readonly plain: Face; readonly bold: Face },
    private readonly paper: Paper,
  ) {
    this.page = this.newPage()
  }

  get widthPt(): number {
    return (PAPER[this.paper].widthMm - 2 * MARGIN_MM) * PT
  }

  newPage(): PDFPage {
    const { widthMm, heightMm } = PAPER[this.paper]
    this.page = this.doc.addPage([widthMm * PT, heightMm * PT])
    this.y = (heightMm - MARGIN_MM) * PT
    return this.page
  }

  /** Makes room; what does not fit any more begins on a new page. */
  take(heightPt: number): number {
    if (this.y - heightPt < MARGIN_MM * PT) this.newPage()
    this.y -= heightPt
    return this.y
  }

  private wrap(text: string, font: Face, size: number, width: number): string[] {
    const lines: string[] = []
    const space = font.widthOf(' ', size)
    let line = ''
    let used = 0
    for (const word of font.printable(text).split(' ')) {
      const wide = font.widthOf(word, size)
      if (line === '') {
        line = word
        used = wide
      } else if (used + space + wide <= width) {
        line = `${line} ${word}`
        used += space + wide
      } else {
        lines.push(line)
        line = word
        used = wide
      }
    }
    return [...lines, line]
  }

  text(text: string, { bold = false, size = BODY, indent = 0 } = {}): void {
    const font = bold ? this.fonts.bold : this.fonts.plain
    for (const line of this.wrap(text, font, size, this.widthPt - indent)) {
      const y = this.take(size * 1.32)
      font.draw(this.page, line, { x: MARGIN_MM * PT + indent, y: y + size * 0.28, size, color: PDF_INK })
    }
  }

  /** A heading, which stands with so much of what follows it, points. */
  heading(text: string, withPt = 60): void {
    if (this.y - withPt < MARGIN_MM * PT) this.newPage()
    this.take(7)
    const y = this.take(17)
    this.page.drawLine({
      start: { x: MARGIN_MM * PT, y: y + 16 },
      end: { x: MARGIN_MM * PT + this.widthPt, y: y + 16 },
      thickness: 1,
      color: PDF_INK,
    })
    this.fonts.bold.draw(this.page, text, { x: MARGIN_MM * PT, y: y + 3, size: 11.5, color: PDF_INK })
  }

  /** Cells side by side, each wrapped in its own share of the width. */
  row(cells: readonly string[], shares: readonly number[], bold = false): void {
    const font = bold ? this.fonts.bold : this.fonts.plain
    const widths = shares.map((share) => share * this.widthPt)
    const wrapped = cells.map((cell, i) => this.wrap(cell, font, BODY, (widths[i] ?? 0) - 6))
    const lines = Math.max(...wrapped.map((each) => each.length))
    const y = this.take(lines * BODY * 1.3 + 2)
    let x = MARGIN_MM * PT
    wrapped.forEach((each, i) => {
      each.forEach((line, at) => {
        font.draw(this.page, line, {
          x,
          y: y + (lines - at - 1) * BODY * 1.3 + 3,
          size: BODY,
          color: PDF_INK,
        })
      })
      x += widths[i] ?? 0
    })
    this.page.drawLine({
      start: { x: MARGIN_MM * PT, y },
      end: { x: MARGIN_MM * PT + this.widthPt, y },
      thickness: 0.4,
      color: EDGE,
    })
  }
}
