import { PDFDocument, StandardFonts } from 'pdf-lib'
import type { Locator, Page } from '@playwright/test'
import { deeper, expect, goTo, openJob, test } from './fixtures'

type Row = readonly (readonly [x: number, words: string])[]

/** A page of a maker’s sheet with its rows and columns where a printer puts them: points from the left and from the top. */
async function sheetPdf(rows: readonly Row[]): Promise<Buffer> {
  const pdf = await PDFDocument.create()
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  const page = pdf.addPage([595, 842])
  rows.forEach((row, i) => {
    for (const [x, text] of row) page.drawText(text, { x, y: 780 - i * 18, size: 11, font })
  })
  return Buffer.from(await pdf.save())
}

const fileOf = (name: string, content: string | Buffer) => ({
  name,
  mimeType: name.endsWith('.pdf') ? 'application/pdf' : name.endsWith('.png') ? 'image/png' : 'text/plain',
  buffer: Buffer.from(content),
})
const choose = (on: Page | Locator, name: string, content: string | Buffer) =>
  on
    .getByLabel('A file with the text: text, web page, table, letter or PDF')
    .setInputFiles(fileOf(name, content))

const ROOF: readonly Row[] = [
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
]

const MAIL = [
  'From: a customer',
  'Subject: bikes and a box',
  'Date: Mon, 16 Nov 2026 09:12:00 +0100',
  'Content-Type: text/plain; charset=utf-8',
  '',
  'Hello,',
  'our car is an estate with raised rails. The manual says the roof takes 75 kg while driving, rack included.',
  'The kerb weight is 1,495 kg; the car is 4.72 m long.',
  'We want to take two bikes, 14 kg each, and a roof box.',
  'The box weighs 19 kg and may carry 50 kg. It is 1800 x 780 x 400 mm.',
  'Our trailer takes 400 kg. Can you have a look on Friday at 10:30?',
  'Thank you',
].join('\r\n')

test('a mail becomes a job with its first verdict, and nothing is typed', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Start from what you were sent' }).click()
  await choose(page, 'mail.eml', MAIL)
  const marked = page.getByRole('region', { name: 'The text with its figures marked' })
  await expect(marked.getByRole('button', { name: '75 kg: taken' })).toBeVisible()
  await expect(marked.getByRole('button', { name: '50 kg: asked' })).toBeVisible()
  await expect(page.getByText('A letter or a message: what it says is told.')).toBeVisible()
  // A trailer’s limit is nothing of this rack, and is seen to be left.
  await marked.getByRole('button', { name: '400 kg: left' }).click()
  await expect(page.getByText('400 kg is left')).toBeVisible()
  // A mark leads to its figure; a question is answered by its own key alone.
  await marked.getByRole('button', { name: '50 kg: asked' }).click()
  const box = page.getByRole('list', { name: 'What was read for: Box' })
  await expect(box.locator('li:focus')).toContainText('May carry 50 kg')
  await page.keyboard.press('Enter')
  await expect(marked.getByRole('button', { name: '50 kg: asked' })).toBeVisible()
  await box.getByRole('button', { name: /^Driving/ }).click()
  await expect(marked.getByRole('button', { name: '50 kg: taken' })).toBeVisible()
  // Half way through, the text is there after a reload.
  await expect(page.getByLabel('Name of the job')).toHaveAttribute('placeholder', 'Estate, from a text')
  await page.waitForTimeout(400)
  await page.reload()
  await box.getByRole('button', { name: /^Driving/ }).click()
  await page.getByRole('button', { name: 'Start the job' }).click()
  await expect(page).toHaveURL(/\/load\?job=/)
  const path = page.getByRole('region', { name: 'Load path' })
  await expect(path.getByRole('button', { name: /^Roof, Road/ })).toContainText('/75')
  await expect(path.getByRole('button', { name: /^Box, Road/ })).toContainText('/50')
  await expect(page.locator('[data-finding]').first()).toBeVisible()
  // The rest of the text waits on the job’s own sheets.
  await goTo(page, 'Vehicle')
  await page.getByRole('button', { name: 'Paste a sheet' }).click()
  await expect(page.getByRole('dialog').getByRole('button', { name: '4.72 m: taken' })).toBeVisible()
})

test('a rack’s PDF fills its parts by their names, with a joint and its torque, and is known as its sheet once it is compared', async ({
  page,
}) => {
  await openJob(page, 'Yard van, full summer load')
  await goTo(page, 'Racks')
  await page
    .getByRole('link', { name: /^Change/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Paste a sheet' }).click()
  const dialog = page.getByRole('dialog', { name: 'Paste a sheet' })
  await choose(
    dialog,
    'rack.pdf',
    await sheetPdf([
      [
        [60, 'Crossbar set, technical data'],
        [400, 'page 4'],
      ],
      [],
      [
        [60, 'Weight of the foot'],
        [260, '0.95 kg each'],
      ],
      [
        [260, 'Driving'],
        [360, 'Off road'],
        [460, 'Parked'],
      ],
      [
        [60, 'Bars, per set, rack incl.'],
        [260, '75 kg'],
        [360, '50 kg'],
        [460, '210 kg'],
      ],
      [
        [60, 'Tightening torque'],
        [260, '6 Nm (53 in-lb)'],
      ],
    ]),
  )
  await expect(dialog.getByRole('button', { name: '75 kg: taken' })).toBeVisible()
  await expect(dialog.getByRole('button', { name: '0.95 kg: taken' })).toBeVisible()
  await expect(dialog.getByText('May carry 50 kg, on the trail, the rack counted')).toBeVisible()
  await dialog.getByRole('checkbox', { name: /^I compared each figure/ }).check()
  await dialog.getByRole('button', { name: /^Take these/ }).click()
  await expect(page.getByText(/^\d+ figures were taken into this sheet/)).toBeVisible()
})

test(
  'a manual’s page with two vehicles is asked, an empty text says so, and what cannot be read is refused by name',
  deeper,
  async ({ page }) => {
    await page.goto('/vehicle')
    await page.getByRole('button', { name: 'Paste a sheet' }).click()
    const dialog = page.getByRole('dialog', { name: 'Paste a sheet' })
    await choose(dialog, 'notes.txt', 'good morning, can you have a look at it on friday at 10?')
    await expect(dialog).toContainText('No figure found that belongs on this sheet')
    await expect(dialog.getByRole('button', { name: 'Take these 0' })).toBeDisabled()
    await dialog.getByRole('button', { name: 'Empty it' }).click()
    for (const [name, content, why] of [
      ['photo.png', 'no picture', 'It is a picture, and pictures are not read.'],
      ['plan.dwg', 'no text', 'It is none of .txt, .html, .htm, .csv, .eml, .pdf.'],
      ['broken.pdf', 'no PDF at all', 'It is damaged, or it is no PDF.'],
      ['scan.pdf', await sheetPdf([]), 'Its pages are pictures'],
    ] as const) {
      await choose(dialog, name, content)
      await expect(dialog.getByRole('alert')).toContainText(`${name} was not read. ${why}`)
    }
    await choose(
      dialog,
      'manual.html',
      `<html><head><style>p { width: 75kg }</style></head><body><h1>Roof load</h1><script>document.title = '99 kg'</script>
      <table><tr><th></th><th>Saloon</th><th>Estate</th></tr>
      <tr><td>Max. roof load while driving</td><td>75&nbsp;kg</td><td>100&nbsp;kg</td></tr></table></body></html>`,
    )
    // Which column holds nobody has said: neither is taken before somebody does.
    const read = dialog.getByRole('list', { name: 'What was read' }).getByRole('listitem')
    await expect(read).toHaveCount(2)
    await expect(dialog.getByRole('button', { name: 'Take these 0' })).toBeDisabled()
    await read
      .last()
      .getByRole('button', { name: /^It is so/ })
      .click()
    await dialog.getByRole('button', { name: 'Take it' }).click()
    await expect(dialog).toBeHidden()
    await expect(page.getByText('1 figure was taken into this sheet. Save it to keep it.')).toBeVisible()
  },
)

test('a text that is dropped anywhere begins a job, and one dropped on a sheet is read there', async ({
  page,
}) => {
  const drop = (on: string, name: string, content: string) =>
    page.evaluate(
      ([at, called, words]) => {
        const dataTransfer = new DataTransfer()
        dataTransfer.items.add(new File([words ?? ''], called ?? ''))
        document
          .querySelector(at ?? '')
          ?.dispatchEvent(new DragEvent('drop', { dataTransfer, bubbles: true, cancelable: true }))
      },
      [on, name, content],
    )
  await page.goto('/')
  await expect(page.getByRole('list', { name: 'Jobs' })).toBeVisible()
  await drop(
    'main',
    'table.csv',
    'Saloon,\nOverall length,4 720 mm\n"Kerb weight, driver included","1,495 kg"',
  )
  await expect(page).toHaveURL(/\/text$/)
  await expect(page.getByRole('button', { name: '4 720 mm: taken' })).toBeVisible()
  await expect(page.getByLabel('Body')).toHaveValue('saloon')
  await drop('main', 'other.txt', 'Estate. Overall length 4 850 mm')
  await expect(page.getByRole('button', { name: '4 850 mm: taken' })).toBeVisible()
  await drop('main', 'photo.pdf', 'none')
  await expect(page.getByRole('dialog', { name: 'This file was not read' })).toContainText(
    'photo.pdf: It is damaged',
  )
  await page.keyboard.press('Escape')
  await page.goto('/gear')
  await page.getByRole('button', { name: 'Paste a sheet' }).click()
  await page.getByRole('button', { name: 'Empty it' }).click()
  await drop('dialog textarea', 'box.txt', 'Roof box. Weight 19 kg.')
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByRole('textbox', { name: /weigh/i }).first()).toHaveValue(/^19 kg/)
})

test.describe('without the network', () => {
  test.use({ serviceWorkers: 'allow' })

  test('a page of a PDF is read in a worker, under the policy of the page', async ({ browser, baseURL }) => {
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
    await choose(dialog, 'roof.pdf', await sheetPdf(ROOF))
    const read = dialog.getByRole('list', { name: 'What was read' }).getByRole('listitem')
    await expect(read).toHaveCount(2)
    await expect(read.first()).toContainText('May carry 90 kg, on the road, the rack counted')
    await expect(read.last()).toContainText('May carry 230 kg, parked, the rack counted')
    expect(faults).toEqual([])
    await context.close()
  })
})
