import { cameLine, cautionMoment, type Handover, openingOf, placardLines } from '@/core/api/fit'
import { mm as length, phraseText, type Plan, type UnitChoice } from '@/core/api/plan'
import { STATE_WORD, type Survey, VERDICT_WORD } from '@/core/api/assess'
import { concatTransformationMatrix, PDFDocument, popGraphicsState, pushGraphicsState } from 'pdf-lib'
import { extentOf } from '@/drawing/layout'
import { rackPaths } from '@/drawing/rack-paths'
import { middleOf, pathsOf } from '@/drawing/thing-marks'
import { sidePaths } from '@/drawing/vehicle-paths'
import { PdfColumn, EDGE, PDF_INK, PT } from './pdf-column'
import { Face, type PdfFonts } from './pdf-face'
import { MARGIN_MM, PAPER, PLACARD, scaleFor, type Paper } from './true-scale'

interface PdfInput {
  readonly plan: Plan
  readonly survey: Survey
  readonly handover: Handover
  readonly paper: Paper
  readonly units: UnitChoice
  /** The day it is printed, as 2027-03-12. */
  readonly today: string
  readonly fonts: PdfFonts
}

/** The side view at true scale, with a metre beside it. */
function drawSide(column: PdfColumn, { plain }: Faces, { survey, paper }: PdfInput): void {
  const { x0, x1 } = extentOf(survey)
  const scale = scaleFor(x1 - x0, PAPER[paper].widthMm - 2 * MARGIN_MM)
  const factor = PT / scale
  const top = Math.max(survey.drivingTop.topMm, survey.plan.vehicle.heightMm)
  const base = column.take(top * factor + 30) + 26
  const { page } = column
  // The library flips paths, as pictures on a screen run down; ours run up already.
  page.pushOperators(
    pushGraphicsState(),
    concatTransformationMatrix(factor, 0, 0, -factor, MARGIN_MM * PT - x0 * factor, base),
  )
  const hair = scale / PT
  const path = (d: string, width: number, fill = false) => {
    if (d.trim() === '') return
    page.drawSvgPath(d, {
      x: 0,
      y: 0,
      borderWidth: width * hair,
      borderColor: PDF_INK,
      ...(fill ? { color: PDF_INK } : {}),
    })
  }
  const body = sidePaths(survey.body)
  path(body.body, 0.9)
  path(body.glass, 0.4)
  path(body.dark, 0.7)
  path(body.thin, 0.3)
  for (const rack of survey.racks) {
    const paths = rackPaths(rack, 'side')
    path(paths.line, 0.5)
    path(paths.plate, 0.6)
    path(paths.ink, 0.2, true)
  }
  for (const thing of survey.things.toSorted((one, other) => other.box.y0 - one.box.y0)) {
    const [u, v] = middleOf(thing, 'side')
    const mirror = thing.turn === 180 ? -1 : 1
    const paths = pathsOf(thing, 'side')
    page.pushOperators(pushGraphicsState(), concatTransformationMatrix(mirror, 0, 0, 1, u, -v))
    path(paths.outline, 0.7)
    path(paths.detail, 0.35)
    page.pushOperators(popGraphicsState())
  }
  page.pushOperators(popGraphicsState())
  const x = MARGIN_MM * PT
  const metre = 1000 * factor
  page.drawLine({
    start: { x, y: base },
    end: { x: x + (x1 - x0) * factor, y: base },
    thickness: 0.5,
    color: PDF_INK,
  })
  page.drawLine({
    start: { x, y: base - 12 },
    end: { x: x + metre, y: base - 12 },
    thickness: 1.2,
    color: PDF_INK,
  })
  plain.draw(page, `1 m, drawn 1 to ${scale}`, { x: x + metre + 8, y: base - 15, size: 8.5, color: PDF_INK })
}

interface Faces {
  readonly plain: Face
  readonly bold: Face
}

/** The placard on a page of its own, at its true size, with what to cut along. */
function drawPlacard(doc: PDFDocument, fonts: Faces, input: PdfInput): void {
  const { widthMm, heightMm } = PAPER[input.paper]
  const page = doc.addPage([widthMm * PT, heightMm * PT])
  const [w, h] = [PLACARD.widthMm * PT, PLACARD.heightMm * PT]
  const x = MARGIN_MM * PT
  const y = (heightMm - MARGIN_MM) * PT - h
  page.drawRectangle({ x, y, width: w, height: h, borderColor: PDF_INK, borderWidth: 1.5 })
  const { height, rows, notLooked } = placardLines(input.handover, input.units)
  fonts.bold.draw(page, height, { x: x + 10, y: y + h - 38, size: 32, color: PDF_INK })
  const small = (text: string, up: number, most: number) => {
    fonts.plain.draw(page, text, {
      x: x + 10,
      y: y + up,
      size: fonts.plain.fitting(text, most, w - 20),
      color: PDF_INK,
    })
  }
  small(`high, driving (${input.handover.heightOf})`, h - 52, 8)
  const step = Math.min(19, (h - 90) / Math.max(rows.length, 1))
  rows.forEach(([name, text], i) => {
    const at = y + h - 70 - i * step
    const size = fonts.bold.fitting(`${name}: ${text}`, Math.min(12, step - 2), w - 20)
    fonts.bold.draw(page, `${name}: `, { x: x + 10, y: at, size, color: PDF_INK })
    const from = x + 10 + fonts.bold.widthOf(`${name}: `, size)
    fonts.plain.draw(page, text, { x: from, y: at, size, color: PDF_INK })
  })
  if (notLooked !== undefined) small(notLooked, 17, 7)
  small('Never more than the lowest rating. Re-tighten after the first trip.', 8, 7)
  fonts.plain.draw(
    page,
    `Cut along the line: ${PLACARD.widthMm} × ${PLACARD.heightMm} mm, printed at 100 %`,
    { x, y: y - 12, size: 8, color: EDGE },
  )
}

/** The handover sheet as a PDF file: as many pages as it takes, the drawing at a stated true scale, the placard last. */
export async function handoverPdf(input: PdfInput): Promise<Uint8Array> {
  const { plan, handover, units, today, paper } = input
  const doc = await PDFDocument.create()
  doc.setTitle(`Handover: ${plan.job.name}`)
  doc.setCreationDate(new Date(`${today}T00:00:00Z`))
  doc.setModificationDate(new Date(`${today}T00:00:00Z`))
  const fonts: Faces = {
    plain: await Face.of(doc, input.fonts.plain),
    bold: await Face.of(doc, input.fonts.bold),
  }
  const column = new PdfColumn(doc, fonts, paper)
  const say = (phrase: Parameters<typeof phraseText>[0]) => phraseText(phrase, units)
  column.text(`Handover: ${plan.job.name}`, { bold: true, size: 17 })
  column.text(
    [
      plan.vehicle.name,
      plan.job.customer,
      plan.job.number === undefined ? undefined : `job ${plan.job.number}`,
      today,
    ]
      .filter((each) => each !== undefined)
      .join(' · '),
  )
  const came = cameLine(plan.job)
  if (came !== undefined) column.text(came)
  const list = (title: string, lines: readonly string[]) => {
    if (lines.length === 0) return
    column.heading(title)
    for (const line of lines) column.text(`• ${line}`)
  }
  for (const { title, lines } of openingOf(handover)) list(title, lines.map(say))
  column.heading('Load limits')
  const shares = [0.26, 0.18, 0.15, 0.2, 0.21]
  column.row(['Rack', 'State', 'On it now', 'May still be added', 'Weakest link'], shares, true)
  for (const row of handover.limits)
    column.row(
      [
        row.rack,
        `${STATE_WORD[row.state]}: ${VERDICT_WORD[handover.verdicts[row.state]]}`,
        say(row.carries),
        say(row.left),
        row.by,
      ],
      shares,
    )
  column.heading('Height')
  column.text(`${say([length(handover.heightMm)])} driving; ${handover.heightOf} is highest.`, {
    bold: true,
  })
  for (const each of handover.clearances) column.text(`${each.name}: ${say(each.say)}`)
  drawSide(column, fonts, input)
  list('Fitted', handover.fitted)
  if (handover.torques.length > 0) {
    // Its first row may be as many lines as it has places.
    column.heading('Torque', 150)
    for (const { what, wanted, read } of handover.torques)
      column.row([what, say(wanted), say(read)], [0.4, 0.2, 0.4])
  }
  list(
    'Come back',
    handover.due.map(
      ({ on, what, why, km }) => `${on}: ${what}, ${why}${km === undefined ? '' : ` (or after ${km} km)`}`,
    ),
  )
  list(
    'Deviations from the sheet',
    handover.deviations.map(({ step, reason }) => `${step}: ${reason}`),
  )
  list('Assumed', handover.assumed)
  if (handover.marks.length > 0) list('Marks, heights and what is stored', [...handover.marks])
  list('Keys and tools that stay with the vehicle', [...handover.keys, ...handover.tools])
  for (const { before, says } of handover.cautions) list(`Cautions: ${cautionMoment(before)}`, [...says])
  drawPlacard(doc, fonts, input)
  return doc.save()
}
