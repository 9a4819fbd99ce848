import type { Bar } from '../../plan/schema/rack'
import type { BarAt, RackAt } from '../frame/arrangement'
import { fitSheetRow } from './seat-windows'

/** Feet set evenly on a bar at a tower spacing, all in mm: where each is marked from its own end, and the overhang from the foot's edge. */
interface EvenFeet {
  readonly towerMm: number
  /** From the bar's end, cap included, to the foot's centre: (length − tower spacing) / 2, both ends alike. */
  readonly fromEndMm: number
  /** From the foot's outer edge to just inside the end cap; nothing when the foot's width is not known. */
  readonly overhangMm: number | undefined
}

/** A bar's feet set evenly. Common practice, no source. */
export function evenFeet(bar: Bar, towerMm: number, footWidthMm: number | undefined): EvenFeet {
  const fromEndMm = (bar.lengthMm - towerMm) / 2
  return {
    towerMm,
    fromEndMm,
    overhangMm: footWidthMm === undefined ? undefined : fromEndMm - footWidthMm / 2 - (bar.capMm ?? 0),
  }
}

/** What a fit sheet says of a bar's tower spacing. A row for another profile is refused. */
type TowerSpacing =
  | { readonly kind: 'noSheet' }
  | { readonly kind: 'refused'; readonly rows: readonly string[] }
  /** The mark printed on the bar at which its feet are set: no length follows from it. */
  | { readonly kind: 'marks'; readonly mark: string }
  | { readonly kind: 'given'; readonly feet: EvenFeet; readonly nowMm: number; readonly offCentreMm: number }

/** The tower spacing that a bar should have by its rack's fit sheet, and how its feet stand now. mm. */
export function towerSpacing(rack: RackAt, at: BarAt): TowerSpacing {
  const { bar } = at
  if (!rack.rack.fitSheet) return { kind: 'noSheet' }
  const { row, others } = fitSheetRow(rack, bar.profile.kind)
  if (!row) return { kind: 'refused', rows: others }
  const end = rack.bars[0]?.bar.id === bar.id ? 'front' : 'rear'
  const towerMm = row.towerMm?.[end]
  const mark = row.towerMarks?.[end]
  if (towerMm === undefined) return mark === undefined ? { kind: 'noSheet' } : { kind: 'marks', mark }
  const [left, right] = [bar.feetYMm[0] ?? 0, bar.feetYMm.at(-1) ?? 0]
  return {
    kind: 'given',
    feet: evenFeet(bar, towerMm, rack.rack.footWidthMm),
    nowMm: right - left,
    offCentreMm: (left + right) / 2,
  }
}
