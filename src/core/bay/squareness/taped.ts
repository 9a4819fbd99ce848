import type { HeldBy } from '../../kinds/attachment'
import type { Taped } from '../../log/taped'
/** One of two bars that are taped against each other, mm. */
export interface PairBar {
  readonly id: string
  readonly name: string
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
  legLF: 'rail to underside of the bar, LHF',
  legRF: 'rail to underside of the bar, RHF',
  legLR: 'rail to underside of the bar, LHR',
  legRR: 'rail to underside of the bar, RHR',
  markLF: 'the number that the tower stands on, LHF',
  markRF: 'the number that the tower stands on, RHF',
  markLR: 'the number that the tower stands on, LHR',
  markRR: 'the number that the tower stands on, RHR',
}

/** From what to what each is read; a foot whose width nobody gave is taped from its centre. */
export const datumOf = ({ footWidthMm }: PlannedPair, taped: Taped): string =>
  footWidthMm === 0 ? DATUM[taped].replace('outer edge', 'centre') : DATUM[taped]

const overhang = ({ lengthMm, acrossMm, capMm }: PairBar, { footWidthMm }: PlannedPair) =>
  capMm === undefined ? undefined : (lengthMm - acrossMm - footWidthMm) / 2 - capMm

/** What each would read if all stood as planned, mm; nothing for legs and marks, which only have to be alike. */
export function plannedReading(pair: PlannedPair, taped: Taped): number | undefined {
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
