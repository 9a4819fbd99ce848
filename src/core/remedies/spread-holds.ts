import { rangeEnds } from '../kinds/mount'
import type { Command } from '../plan/commands/command'
import type { Plan } from '../plan/schema/plan'
import { barsOf } from '../plan/schema/rack'

/**
 * The edit that settles a fit sheet's spread against the vehicle's points: either the sheet's no longer counts, with its
 * reason, or the rearmost points are where the sheet puts them, known by it. Nothing where the rack has no such sheet.
 */
export function spreadHolds(plan: Plan, rackId: string, holds: 'points' | 'sheet'): Command | undefined {
  const rack = plan.racks.find(({ id }) => id === rackId)
  if (!rack?.fitSheet) return undefined
  const bars = barsOf(rack).toSorted((a, b) => a.xMm - b.xMm)
  const [front, rear] = [bars[0], bars.at(-1)]
  const at = rack.fitSheet.rows.findIndex(
    (each) => each.profile === front?.profile.kind && each.spreadMm && each.spreadUnused === undefined,
  )
  const row = rack.fitSheet.rows[at]
  if (!front || !rear || !row?.spreadMm) return undefined
  if (holds === 'points') {
    const rows = rack.fitSheet.rows.with(at, {
      ...row,
      spreadUnused: 'looked at again: the points hold',
    })
    return { do: 'setRack', rack: { ...rack, fitSheet: { ...rack.fitSheet, rows } } }
  }
  const spreadMm = rear.xMm - front.xMm
  const [from, to] = rangeEnds(row.spreadMm)
  const wanted = Math.min(Math.max(spreadMm, from), to)
  const by = wanted - spreadMm
  const attachmentId = rear.attachmentId ?? rack.attachmentId
  const attachments = plan.vehicle.attachments.map((each) => {
    if (each.id !== attachmentId || !('points' in each)) return each
    const last = Math.max(...each.points.map(({ xMm }) => xMm))
    const points = each.points.map((point) =>
      point.xMm === last ? { ...point, xMm: point.xMm + by } : point,
    )
    return { ...each, points, known: { ...each.known, 'points.at': { by: 'sheet' as const } } }
  })
  return {
    do: 'together',
    commands: [
      { do: 'setVehicle', vehicle: { ...plan.vehicle, attachments } },
      { do: 'moveBar', barId: rear.id, xMm: rear.xMm + by },
    ],
  }
}
