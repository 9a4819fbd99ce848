import { assess, review } from '@/core/api/assess'
import { handoverOf, NOTHING_DONE } from '@/core/api/fit'
import { type Plan, USUAL_BAY } from '@/core/api/plan'
import { readFileSync } from 'node:fs'
import { PDFDocument } from 'pdf-lib'
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { describe, expect, it } from 'vitest'
import { boatAndBox, frameJob, twinSpan } from '@/demo/plans'
import { extentOf } from '@/drawing/layout'
import { handoverPdf } from './handover-pdf'
import { Face } from './pdf-face'
import { MARGIN_MM, PAPER, PLACARD, scaleFor, type Paper } from './true-scale'

const MM = 25.4 / 72
const file = (name: string) =>
  new Uint8Array(readFileSync(`node_modules/@fontsource/archivo/files/archivo-${name}-normal.woff`))
const ourFonts = {
  plain: [file('latin-400'), file('latin-ext-400')],
  bold: [file('latin-700'), file('latin-ext-700')],
}

type Opened = Awaited<ReturnType<typeof made>>
const cached = new Map<string, Promise<Opened>>()

/** A job's sheet as a file, read back: made once for all that is asked of it. */
function opened(plan = boatAndBox, paper: Paper = 'a4', show: 'metric' | 'us' = 'metric'): Promise<Opened> {
  const key = [plan.id, plan.job.customer, paper, show].join()
  const file = cached.get(key) ?? made(plan, paper, show)
  cached.set(key, file)
  return file
}

async function made(plan: Plan, paper: Paper, show: 'metric' | 'us') {
  const surveyed = assess(plan).survey
  const handover = handoverOf(surveyed, review(surveyed), NOTHING_DONE, [], USUAL_BAY)
  const bytes = await handoverPdf({
    plan,
    survey: surveyed,
    handover,
    paper,
    units: { show, denominator: 16 },
    today: '2027-03-12',
    fonts: ourFonts,
  })
  const pdf = await getDocument({ data: bytes, useSystemFonts: true }).promise
  const pages = await Promise.all(Array.from({ length: pdf.numPages }, (_, i) => pdf.getPage(i + 1)))
  const texts = await Promise.all(
    pages.map(async (page) =>
      (await page.getTextContent()).items.flatMap((item) =>
        'str' in item && item.str.trim() !== '' ? [item] : [],
      ),
    ),
  )
  return {
    pages,
    texts,
    surveyed,
    all: texts
      .flat()
      .map(({ str }) => str)
      .join(' '),
  }
}

/** The corners of every path a page draws by itself, in mm of paper: what the reader says its bounds are. */
async function bounds(page: Awaited<ReturnType<typeof opened>>['pages'][number]) {
  const { fnArray, argsArray } = await page.getOperatorList()
  return fnArray.flatMap((fn, i) => {
    const box =
      fn === OPS.constructPath
        ? ((argsArray as unknown[][])[i]?.[2] as ArrayLike<number> | undefined)
        : undefined
    if (!box) return []
    const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = [...Array.from(box)]
    return [{ width: (x1 - x0) * MM, height: (y1 - y0) * MM }]
  })
}

describe('the handover PDF, opened by another reader', () => {
  it.each(['a4', 'letter'] as const)('has %s pages, and no text past their margins', async (paper) => {
    for (const plan of [boatAndBox, frameJob, twinSpan]) {
      const { pages, texts } = await opened(plan, paper)
      const { widthMm, heightMm } = PAPER[paper]
      pages.forEach((page, i) => {
        const [, , width = 0, height = 0] = page.view
        expect(width * MM).toBeCloseTo(widthMm, 1)
        expect(height * MM).toBeCloseTo(heightMm, 1)
        for (const item of texts[i] ?? []) {
          const [x, y] = [Number(item.transform[4]), Number(item.transform[5])]
          expect(x * MM).toBeGreaterThanOrEqual(MARGIN_MM - 0.1)
          expect((x + item.width) * MM).toBeLessThanOrEqual(widthMm - MARGIN_MM + 0.5)
          expect(y * MM).toBeGreaterThanOrEqual(MARGIN_MM - 1)
        }
      })
    }
  })

  it('says what the vehicle may carry, how high it is and what to mind', async () => {
    const { all, surveyed } = await opened()
    for (const words of [
      'Handover: A boat and the long box',
      'Load limits',
      'Parked',
      'Cautions',
      'Quay garage',
      'Assumed',
      'rail clamps',
    ])
      expect(all).toContain(words)
    expect(all.replace(/\s/g, '')).toContain(`${Math.ceil(surveyed.drivingTop.topMm)}mm`)
    expect(all).not.toContain('?')
  })

  it('in pounds and inches is in pounds and inches', async () => {
    const { all } = await opened(boatAndBox, 'letter', 'us')
    expect(all).toContain(' lb')
    expect(all).not.toContain(' kg ')
  })

  it('draws the placard at its true size, and a metre of the drawing at its stated scale', async () => {
    const { pages, all, surveyed } = await opened()
    const placard = await bounds(pages.at(-1)!)
    expect(
      placard.some(
        ({ width, height }) =>
          Math.abs(width - PLACARD.widthMm) < 0.6 && Math.abs(height - PLACARD.heightMm) < 0.6,
      ),
    ).toBe(true)
    const { x0, x1 } = extentOf(surveyed)
    const scale = scaleFor(x1 - x0, PAPER.a4.widthMm - 2 * MARGIN_MM)
    expect(all).toContain(`drawn 1 to ${scale}`)
    const first = (await Promise.all(pages.map(bounds))).flat()
    expect(first.some(({ width, height }) => Math.abs(width - 1000 / scale) < 0.05 && height < 0.5)).toBe(
      true,
    )
  })
})

describe('true scale', () => {
  it('is the largest usual one that fits', () => {
    expect(scaleFor(4700, 184)).toBe(30)
    expect(scaleFor(1000, 184)).toBe(10)
    expect(scaleFor(30_000, 184)).toBe(164)
  })
})

describe('our own type in the PDF (U5)', () => {
  it('has the letters of the languages around, signs of figures and odd spaces; what it lacks is said to be lacking', async () => {
    const face = await Face.of(await PDFDocument.create(), ourFonts.plain)
    expect(face.printable('Żółć ğ ő ß Ø 3⁄8″ ½ × − ’ … € ·')).not.toContain('?')
    expect(face.printable('1\u2009430 mm').replace('\u2009', ' ')).toBe('1 430 mm')
    expect(face.printable('車 ✓')).toBe('? ?')
    // Letters of both files in one word are as wide as their parts.
    expect(face.widthOf('Łódź', 10)).toBeGreaterThan(face.widthOf('Lod', 10))
  })

  it('is what the pages are set in, and brings a customer’s name whole', async () => {
    const { all, pages } = await opened({
      ...boatAndBox,
      job: { ...boatAndBox.job, customer: 'Grażyna Šťastná' },
    })
    expect(all.replace(/\s/g, '')).toContain('GrażynaŠťastná')
    const { fnArray, argsArray } = await pages[0]!.getOperatorList()
    const names = fnArray.flatMap((fn, i) =>
      fn === OPS.setFont ? [String((argsArray as unknown[][])[i]?.[0])] : [],
    )
    const fonts = new Set(
      [...new Set(names)].map((name) => (pages[0]!.commonObjs.get(name) as { name: string }).name),
    )
    for (const name of fonts) expect(name).toContain('Archivo')
  })
})
