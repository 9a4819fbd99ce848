import type { RackAt } from '../survey/frame/arrangement'
import type { GateAt, GateOwner } from '../survey/mounting/gates'
import { linksUnder } from '../survey/load-path/load-path'
import { cellParts, type Cell } from '../survey/load-path/limit'
import { isPeople } from '../survey/loads/mass-point'
import type { Survey } from '../survey/survey'
import { leastBy } from '../units/pick'
import { atMost, type Compared } from './comparison'
import { gateComparison } from './gates'
import { judgeComparison } from './judge-comparison'

/** What whoever helps at a ladder may weigh: by its sheet, and by the links under it parked with nobody else on it. kg */
export interface HelperWeight {
  readonly rackId: string
  /** The link that takes least, and how much with nobody on it. */
  readonly link: string
  readonly takesKg: number
  /** Whether it takes just so much, at least or at most: by a driving figure, or with something not known. */
  readonly sure: 'exact' | 'atLeast' | 'atMost'
  readonly fromKg: number
  readonly mostKg: number
  /** The least that the sheet asks against the most: past it nobody is both. */
  readonly anybody: Compared
}

/** The rack that a gate's owner is or stands on. */
function rackOf({ plan, racks }: Survey, { owner, id }: GateOwner): RackAt | undefined {
  if (owner === 'rack') return racks.find(({ rack }) => rack.id === id)
  const { host } = plan.placements.find((each) => each.gearId === id) ?? {}
  return host && 'rackId' in host ? racks.find(({ rack }) => rack.id === host.rackId) : undefined
}

/** What a link takes with nobody on it: what is left of it, and what people count on it now. kg */
const withoutPeople = (cell: Cell): number =>
  (cell.leftKg ?? 0) +
  cellParts(cell).reduce((sum, { mass, countedKg }) => sum + (isPeople(mass) ? countedKg : 0), 0)

/** What a helper may weigh by a gate of a ladder that asks for a weight; nothing for other gates, or where no link has a figure. */
export function helperWeightOf(survey: Survey, { of, gate: { ask } }: GateAt): HelperWeight | undefined {
  const rack = rackOf(survey, of)?.rack
  if (ask.kind !== 'mass' || rack?.kind !== 'ladder') return undefined
  const links = linksUnder(survey.loadPath, rack.id, 'parked')
  const binding = leastBy(
    links.filter(({ leftKg }) => leftKg !== undefined),
    withoutPeople,
  )
  if (!binding) return undefined
  const allRated = links.every(({ limit, layer }) => limit.kind !== 'missing' && !layer.unweighed)
  const takesKg = Math.max(0, withoutPeople(binding))
  const { fromKg = 0, toKg = Infinity } = ask
  const mostKg = Math.min(toKg, takesKg)
  return {
    rackId: rack.id,
    link: binding.layer.name,
    takesKg,
    sure: allRated ? (binding.limit.kind === 'driving' ? 'atLeast' : 'exact') : 'atMost',
    fromKg,
    mostKg,
    anybody: atMost(fromKg, mostKg, 'mass'),
  }
}

/** A helper who was weighed against the most that a helper may weigh, and whether that depends on how; nothing before. kg */
export function helperHeld(
  { plan }: Survey,
  at: GateAt,
  { mostKg }: HelperWeight,
): { readonly compared: Compared; readonly hangs: boolean } | undefined {
  const { stand } = at
  if (stand.kind === 'unmeasured' || stand.value.kind !== 'mass') return undefined
  const reading = gateComparison(at, plan, mostKg, 'atMost')
  return {
    compared: atMost(stand.value.kg, mostKg, 'mass'),
    hangs: reading !== undefined && judgeComparison(reading).is === 'hangs',
  }
}
