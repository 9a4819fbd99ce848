import type { HeldBy } from '../../kinds/attachment'
import type { ReadFrom } from '../../log/read-from'
import { isPlace, type Taped } from '../../log/taped'

/** One of two bars that are taped against each other, mm. */
export interface PairBar {
  readonly id: string
  readonly name: string
  /** Its place along, behind the windscreen's upper edge. */
  readonly xMm: number
  readonly lengthMm: number
  readonly profileMm: number
  /** What its cap takes of either end; nothing where nobody said. */
  readonly capMm: number | undefined
  /** The mark on the bar at which its feet are set, where the fit sheet names one. */
  readonly mark?: string | undefined
  /** From foot to foot across, from foot's centre to foot's centre. */
  readonly acrossMm: number
}

/** Two neighbouring bars as they should stand, mm: their spread, and from foot to foot across (bar centre over each foot). */
export interface PlannedPair {
  readonly front: PairBar
  readonly rear: PairBar
  readonly spreadMm: number
  /** 0 where nobody gave it: overhangs are then taped from the foot's centre. */
  readonly footWidthMm: number
  /** Parallel, square and centred within this, mm. */
  readonly toleranceMm: number
  readonly legsToleranceMm: number
  readonly heldBy: HeldBy
  /** Where the roof ends, behind the windscreen's upper edge. */
  readonly rearEdgeMm: number
  /** How far the line printed on the rack's own tape is from that tape's end. */
  readonly tapeZeroMm?: number | undefined
  /** The mark from which the rack's sheet measures the front bar, and how far behind it that bar stands. */
  readonly sheetMark?: { readonly what: string; readonly frontMm: number } | undefined
  /** Whether it stands on legs, so that heights are of them; and the mark on their scale that is wanted. */
  readonly onLegs: boolean
  readonly heightMark?: number | undefined
}

const DATUM: Readonly<Record<Taped, string>> = {
  spreadLeft: 'bar centre to bar centre, at the left feet',
  spreadRight: 'bar centre to bar centre, at the right feet',
  diagonalLeft: 'bar centre over LHF foot to bar centre over RHR foot',
  diagonalRight: 'bar centre over RHF foot to bar centre over LHR foot',
  frontAcross: 'front bar: left foot’s centre to right foot’s centre',
  rearAcross: 'rear bar: left foot’s centre to right foot’s centre',
  frontOverLeft: 'front bar: foot’s outer edge to inside of the left end cap',
  frontOverRight: 'front bar: foot’s outer edge to inside of the right end cap',
  rearOverLeft: 'rear bar: foot’s outer edge to inside of the left end cap',
  rearOverRight: 'rear bar: foot’s outer edge to inside of the right end cap',
  frontAtLeft: 'windscreen’s upper edge to the middle of the front bar, at its left foot',
  frontAtRight: 'windscreen’s upper edge to the middle of the front bar, at its right foot',
  rearAtLeft: 'windscreen’s upper edge to the middle of the rear bar, at its left foot',
  rearAtRight: 'windscreen’s upper edge to the middle of the rear bar, at its right foot',
  legLF: 'rail to underside of the bar, LHF',
  legRF: 'rail to underside of the bar, RHF',
  legLR: 'rail to underside of the bar, LHR',
  legRR: 'rail to underside of the bar, RHR',
  markLF: 'the number that the tower stands on, LHF',
  markRF: 'the number that the tower stands on, RHF',
  markLR: 'the number that the tower stands on, LHR',
  markRR: 'the number that the tower stands on, RHR',
}

/** The mark from which a bar's place is read, in words; nothing where it is the usual one. */
function edgeName({ sheetMark }: PlannedPair, from?: ReadFrom): string | undefined {
  switch (from?.edge?.is) {
    case 'rear':
      return 'roof’s rear edge'
    case 'sheet':
      return sheetMark?.what ?? 'the sheet’s mark'
    case 'mark':
      return 'the mark'
    case undefined:
      return undefined
  }
}

/** From what to what each is read; a foot whose width nobody gave is taped from its centre, and a bar's place from what was chosen. */
export function datumOf(pair: PlannedPair, taped: Taped, from?: ReadFrom): string {
  const usual = pair.footWidthMm === 0 ? DATUM[taped].replace('outer edge', 'centre') : DATUM[taped]
  const above = pair.onLegs ? usual : usual.replace(/^rail/, 'roof')
  return above.replace('windscreen’s upper edge', (screen) => edgeName(pair, from) ?? screen)
}

const overhang = ({ lengthMm, acrossMm, capMm }: PairBar, { footWidthMm }: PlannedPair) =>
  capMm === undefined ? undefined : (lengthMm - acrossMm - footWidthMm) / 2 - capMm

/**
 * Where a mark from which a bar's place is read stands behind the windscreen's upper edge, mm. The sheet's own is where the
 * front bar's planned place puts it, for nobody has measured that mark; nothing where the sheet names none any more.
 */
function edgeMm({ rearEdgeMm, sheetMark, front }: PlannedPair, from?: ReadFrom): number | undefined {
  switch (from?.edge?.is) {
    case 'rear':
      return rearEdgeMm
    case 'sheet':
      return sheetMark && front.xMm - sheetMark.frontMm
    case 'mark':
      return from.edge.xMm
    case undefined:
      return 0
  }
}

/** From what a place is told: the sheet's mark where it was read from that, for only the plan says where that mark is. */
export function toldFrom(
  pair: PlannedPair,
  from?: ReadFrom,
): { readonly xMm: number; readonly words: string } {
  const { sheetMark } = pair
  return from?.edge?.is === 'sheet' && sheetMark
    ? { xMm: edgeMm(pair, from) ?? 0, words: `the mark of its sheet (${sheetMark.what})` }
    : { xMm: 0, words: 'the windscreen’s upper edge' }
}

/** From what each is read as long as nobody has said: a bar's place from the mark that the sheet names. */
export const usualFrom = ({ sheetMark }: PlannedPair, taped: Taped): ReadFrom | undefined =>
  sheetMark && isPlace(taped) ? { edge: { is: 'sheet' } } : undefined

/** A bar's place behind the windscreen's upper edge by what was read from a mark, mm. From a mark behind the bar it is read forward. */
export function barPlaceOf(pair: PlannedPair, bar: PairBar, mm: number, from?: ReadFrom): number | undefined {
  const edge = edgeMm(pair, from)
  if (edge === undefined) return undefined
  return edge > bar.xMm || from?.edge?.is === 'rear' ? edge - mm : edge + mm
}

function distanceTo(pair: PlannedPair, { xMm }: PairBar, from?: ReadFrom): number | undefined {
  const edge = edgeMm(pair, from)
  return edge === undefined ? undefined : Math.abs(edge - xMm)
}

function plannedLength(pair: PlannedPair, taped: Taped, from?: ReadFrom): number | undefined {
  const { spreadMm, front, rear } = pair
  switch (taped) {
    case 'spreadLeft':
    case 'spreadRight':
      return spreadMm
    case 'diagonalLeft':
    case 'diagonalRight':
      return Math.hypot(spreadMm, (front.acrossMm + rear.acrossMm) / 2)
    case 'frontAcross':
      return front.acrossMm
    case 'rearAcross':
      return rear.acrossMm
    case 'frontOverLeft':
    case 'frontOverRight':
      return overhang(front, pair)
    case 'rearOverLeft':
    case 'rearOverRight':
      return overhang(rear, pair)
    case 'frontAtLeft':
    case 'frontAtRight':
      return distanceTo(pair, front, from)
    case 'rearAtLeft':
    case 'rearAtRight':
      return distanceTo(pair, rear, from)
    case 'legLF':
    case 'legRF':
    case 'legLR':
    case 'legRR':
    case 'markLF':
    case 'markRF':
    case 'markLR':
    case 'markRR':
      return undefined
  }
}

/** What each tape would show if all stood as planned, mm; nothing for heights and marks, which only have to be alike. */
export function plannedReading(pair: PlannedPair, taped: Taped, from?: ReadFrom): number | undefined {
  const length = plannedLength(pair, taped, from)
  return length === undefined ? undefined : length + (from?.zeroMm ?? 0)
}
