import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** A page of a PDF as a PNG, by another reader than the one that wrote it. */
export async function pdfPicture(bytes, number, scale) {
  const pdf = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: true }).promise
  const page = await pdf.getPage(number)
  const viewport = page.getViewport({ scale })
  const { canvas, context } = pdf.canvasFactory.create(Math.ceil(viewport.width), Math.ceil(viewport.height))
  await page.render({ canvasContext: context, viewport }).promise
  return canvas.toBuffer('image/png')
}
