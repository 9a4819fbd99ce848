import { isStart } from '../plan/schema/provenance'
import { barsOf, type Bar, type Rack } from '../plan/schema/rack'
import { fitSheetRow } from '../survey/bars/seat-windows'
import { usableBetween } from '../survey/frame/starting-rack'

/** What a fit sheet says of one bar, mm: its place along the vehicle, and from its left foot to its right one. */
interface SaidOfBar {
  readonly xMm: number | undefined
  readonly towerMm: number | undefined
}

/** What the row for a bar's profile says of it. A spread with one end, or of more than two bars, places no bar. */
function saidOf(rack: Rack, i: number, frontXMm: number | undefined): SaidOfBar {
  const bars = barsOf(rack)
  const bar = bars[i]
  const row = bar && fitSheetRow({ rack }, bar.profile.kind).row
  const end = i === 0 ? 'front' : 'rear'
  const { fromMm, toMm } = row?.spreadMm ?? {}
  const isExact = fromMm !== undefined && fromMm === toMm && bars.length === 2
  const behind = isExact && frontXMm !== undefined ? frontXMm + fromMm : undefined
  const placed = i === 0 ? row?.xMm?.front : i === bars.length - 1 ? (row?.xMm?.rear ?? behind) : undefined
  return { xMm: placed, towerMm: row?.towerMm?.[end] }
}

/**
 * A rack whose bars stand as its fit sheet has them: where a bar's figure is a starting value, or still is what the fit sheet
 * gave when it was as in `before`. What was typed for a bar stays. All lengths are in mm.
 */
export function withFitSheet(rack: Rack, before: Rack): Rack {
  if (rack.kind === 'ladder' || rack.fitSheet === undefined) return rack
  const { kind: by } = rack.fitSheet.source
  const beforeBars = barsOf(before)
  let frontXMm: number | undefined
  const bars = rack.bars.map((bar, i): Bar => {
    const then = saidOf(before, i, beforeBars[0]?.xMm)
    const now = saidOf(rack, i, frontXMm)
    const known = { ...bar.known }
    let next = bar
    if (now.xMm !== undefined && now.xMm !== bar.xMm && (isStart(bar, 'xMm') || bar.xMm === then.xMm)) {
      next = { ...next, xMm: now.xMm }
      known['xMm'] = { by }
    }
    const [left = 0, right = 0] = [bar.feetYMm[0], bar.feetYMm.at(-1)]
    const towerMm = right - left
    const follows = isStart(bar, 'feetYMm.apart') || towerMm === then.towerMm
    if (now.towerMm !== undefined && now.towerMm !== towerMm && follows && bar.feetYMm.length === 2) {
      const half = now.towerMm / 2
      next = { ...next, feetYMm: [-half, half] }
      known['feetYMm.apart'] = { by }
      const usableMm = Math.min(next.lengthMm, usableBetween(now.towerMm))
      if (isStart(bar, 'usableMm') && usableMm > 0) next = { ...next, usableMm }
    }
    if (i === 0) frontXMm = next.xMm
    return next === bar ? bar : { ...next, known }
  })
  return bars.every((bar, i) => bar === rack.bars[i]) ? rack : { ...rack, bars }
}
