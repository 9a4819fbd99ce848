/** Two neighbouring bars as they should stand, mm: their spread, and from foot to foot across (bar centre over each foot). */
export interface PlannedPair {
  readonly front: {
    readonly id: string
    readonly name: string
    readonly lengthMm: number
    readonly profileMm: number
  }
  readonly rear: {
    readonly id: string
    readonly name: string
    readonly lengthMm: number
    readonly profileMm: number
  }
  readonly spreadMm: number
  readonly acrossFrontMm: number
  readonly acrossRearMm: number
  /** 0 where nobody gave it: overhangs are then taped from the foot's centre. */
  readonly footWidthMm: number
  readonly capMm: { readonly front: number; readonly rear: number }
  /** Parallel, square and centred within this, mm. */
  readonly toleranceMm: number
  readonly legsToleranceMm: number
  /** Bars that stand on points cannot be shifted along. */
  readonly spreadLocked: boolean
}

/** What is taped: every field in mm from the datum its name gives, each as often as it was read. */
export const TAPED = [
  'spreadLeft',
  'spreadRight',
  'diagonalLeft',
  'diagonalRight',
  'frontOverLeft',
  'frontOverRight',
  'rearOverLeft',
  'rearOverRight',
  'legLF',
  'legRF',
  'legLR',
  'legRR',
] as const
export type Taped = (typeof TAPED)[number]
export type Readings = Readonly<Partial<Record<Taped, readonly number[]>>>

const DATUM: Readonly<Record<Taped, string>> = {
  spreadLeft: 'bar centre to bar centre, at the left feet',
  spreadRight: 'bar centre to bar centre, at the right feet',
  diagonalLeft: 'bar centre over LHF foot to bar centre over RHR foot',
  diagonalRight: 'bar centre over RHF foot to bar centre over LHR foot',
  frontOverLeft: 'front bar: foot’s outer edge to inside of the left end cap',
  frontOverRight: 'front bar: foot’s outer edge to inside of the right end cap',
  rearOverLeft: 'rear bar: foot’s outer edge to inside of the left end cap',
  rearOverRight: 'rear bar: foot’s outer edge to inside of the right end cap',
  legLF: 'rail to underside of the bar, LHF',
  legRF: 'rail to underside of the bar, RHF',
  legLR: 'rail to underside of the bar, LHR',
  legRR: 'rail to underside of the bar, RHR',
}

/** From what to what each is read; a foot whose width nobody gave is taped from its centre. */
export const datumOf = ({ footWidthMm }: PlannedPair, taped: Taped): string =>
  footWidthMm === 0 ? DATUM[taped].replace('outer edge', 'centre') : DATUM[taped]

export const TAPED_NAME: Readonly<Record<Taped, string>> = {
  spreadLeft: 'Spread, left',
  spreadRight: 'Spread, right',
  diagonalLeft: 'Diagonal, LHF to RHR',
  diagonalRight: 'Diagonal, RHF to LHR',
  frontOverLeft: 'Front bar, overhang left',
  frontOverRight: 'Front bar, overhang right',
  rearOverLeft: 'Rear bar, overhang left',
  rearOverRight: 'Rear bar, overhang right',
  legLF: 'Leg height, LHF',
  legRF: 'Leg height, RHF',
  legLR: 'Leg height, LHR',
  legRR: 'Leg height, RHR',
}

/** What each would read if all stood as planned, mm; nothing for legs, which only have to be alike. */
export function plannedReading(pair: PlannedPair, taped: Taped): number | undefined {
  const { spreadMm, acrossFrontMm, acrossRearMm } = pair
  const over = (lengthMm: number, across: number, cap: number) =>
    (lengthMm - across - pair.footWidthMm) / 2 - cap
  switch (taped) {
    case 'spreadLeft':
    case 'spreadRight':
      return spreadMm
    case 'diagonalLeft':
    case 'diagonalRight':
      return Math.hypot(spreadMm, (acrossFrontMm + acrossRearMm) / 2)
    case 'frontOverLeft':
    case 'frontOverRight':
      return over(pair.front.lengthMm, acrossFrontMm, pair.capMm.front)
    case 'rearOverLeft':
    case 'rearOverRight':
      return over(pair.rear.lengthMm, acrossRearMm, pair.capMm.rear)
    default:
      return undefined
  }
}
