import { PDFDocument, StandardFonts } from 'pdf-lib'
import { expect, test } from './fixtures'

/** A page of a maker’s sheet with its rows and columns where a printer puts them: points from the left and from the top. */
async function sheetPdf(
  rows: readonly (readonly (readonly [x: number, words: string])[])[],
): Promise<Buffer> {
  const pdf = await PDFDocument.create()
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  const page = pdf.addPage([595, 842])
  rows.forEach((row, i) => {
    for (const [x, text] of row) page.drawText(text, { x, y: 780 - i * 18, size: 11, font })
  })
  return Buffer.from(await pdf.save())
}

test.use({ serviceWorkers: 'allow' })

test('a page of a PDF is read in a worker, without the network, under the policy of the page', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({ baseURL: baseURL ?? '', serviceWorkers: 'allow' })
  const page = await context.newPage()
  const faults: string[] = []
  page.on('console', (message) => {
    if (/content security policy/i.test(message.text())) faults.push(message.text())
  })
  page.on('pageerror', (error) => faults.push(error.message))
  await page.goto('/vehicle')
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.reload()
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Paste a sheet' }).click()
  const dialog = page.getByRole('dialog', { name: 'Paste a sheet' })
  await dialog.locator('input[type=file]').setInputFiles({
    name: 'roof.pdf',
    mimeType: 'application/pdf',
    buffer: await sheetPdf([
      [[60, 'Roof load of the panel van']],
      [],
      [
        [260, 'Driving'],
        [400, 'Parked'],
      ],
      [
        [60, 'Roof load, rack included'],
        [260, '90 kg'],
        [400, '230 kg'],
      ],
    ]),
  })
  const read = dialog.getByRole('list', { name: 'What was read' }).getByRole('listitem')
  await expect(read).toHaveCount(2)
  await expect(read.first()).toContainText('May carry 90 kg, on the road, the rack counted')
  await expect(read.last()).toContainText('May carry 230 kg, parked, the rack counted')
  expect(faults).toEqual([])
  await context.close()
})
