import { atMost, fails, overBy, spareOf } from '../facts/comparison'
import { gateComparison } from '../facts/gates'
import { judge } from '../facts/judge'
import type { RackAt } from '../survey/frame/arrangement'
import type { GateAt, GateOwner } from '../survey/mounting/gates'
import { linksUnder } from '../survey/load-path/load-path'
import { cellParts, type Cell } from '../survey/load-path/limit'
import type { Survey } from '../survey/survey'
import { leastBy } from '../units/pick'
import { kg, missing, rangePhrase, toSpare, type Phrase } from '../units/phrase'
import type { Said } from './check'
import { isPeople } from './checks/people-driving'
import { marginWords } from './margin-words'
import { verdictOf } from './verdict'

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

/** What whoever helps at a ladder may weigh, by its sheet and by the links under it with nobody else on it. kg */
interface Window {
  readonly rackId: string
  readonly fromKg: number
  readonly mostKg: number
  readonly says: Phrase
}

function windowOf(survey: Survey, { of, gate }: GateAt): Window | undefined {
  const rack = rackOf(survey, of)
  if (gate.ask.kind !== 'mass' || rack?.rack.kind !== 'ladder') return undefined
  const links = linksUnder(survey.loadPath, rack.rack.id, 'parked')
  const binding = leastBy(
    links.filter(({ leftKg }) => leftKg !== undefined),
    withoutPeople,
  )
  if (!binding) return undefined
  const known = links.every(({ limit, layer }) => limit.kind !== 'missing' && !layer.unweighed)
  const upToKg = Math.max(0, withoutPeople(binding))
  const { fromKg = 0, toKg = Infinity } = gate.ask
  return {
    rackId: rack.rack.id,
    fromKg,
    mostKg: Math.min(toKg, upToKg),
    says: [
      `with nobody else on it ${binding.layer.name} takes `,
      ...(known ? (binding.limit.kind === 'driving' ? ['at least '] : []) : ['at most ']),
      toSpare(kg(upToKg)),
      ' parked',
    ],
  }
}

const soWeighs = ({ says, fromKg, mostKg }: Window): Phrase => [
  ...says,
  ', so whoever helps weighs ',
  ...(fromKg > 0 ? rangePhrase(kg(fromKg), toSpare(kg(mostKg))) : ['at most ', toSpare(kg(mostKg))]),
]

/** What a helper who was not weighed yet may weigh, as the end of a sentence. */
export function helperMayWeigh(survey: Survey, at: GateAt): Phrase {
  const window = at.stand.kind === 'unmeasured' ? windowOf(survey, at) : undefined
  return window && window.fromKg <= window.mostKg ? [' As planned, ', ...soWeighs(window), '.'] : []
}

/**
 * Who stands on a ladder to help may be no heavier than what the links under it take as it stands with nobody else on it:
 * the upper end of what its sheet asks, where that is lower than the sheet's own.
 */
export function* helperWindow(survey: Survey, at: GateAt): Iterable<Said> {
  const { gate, of, stand } = at
  const found = windowOf(survey, at)
  if (!found) return
  const { rackId, fromKg, mostKg, says } = found
  const lead = `${of.name}, ${gate.question}: `
  const common = {
    about: `${of.id} ${gate.id} on its links`,
    state: 'parked',
    subject: { placementIds: [], rackId },
  } as const
  const window = atMost(fromKg, mostKg, 'mass')
  if (fails(window)) {
    yield {
      ...common,
      severity: 'stop',
      sentence: [
        lead,
        ...says,
        ', and its sheet asks for ',
        kg(fromKg),
        ' at least: nobody is both, ',
        missing(kg(overBy(window))),
        ' short.',
      ],
    }
    return
  }
  if (stand.kind === 'unmeasured' || stand.value.kind !== 'mass') return
  const held = atMost(stand.value.kg, mostKg, 'mass')
  const reading = gateComparison(at, survey.plan, mostKg, 'atMost')
  const judged = reading && judge(reading)
  const hangs = judged?.is === 'hangs'
  yield {
    ...common,
    severity: hangs ? 'findOut' : verdictOf(held, 'stop'),
    ...(hangs
      ? {
          ask: {
            where: 'scale',
            label: `${of.name}, ${gate.question}`,
            target: { open: 'measuring' },
          } as const,
        }
      : {}),
    measured: kg(held.measure),
    limit: kg(held.limit),
    margin: kg(spareOf(held)),
    sentence: [
      lead,
      ...soWeighs(found),
      '; this helper weighs ',
      kg(held.measure),
      ...marginWords(held, kg),
      ...(hangs ? [' That hangs on how nearly the helper was weighed: weigh the helper.'] : []),
    ],
  }
}
