import { CHECKS } from '../review/checks'
import type { Ask, AskTarget } from '../review/ask'
import type { Finding } from '../review/finding'

/** A job's stops, in the order of the work. */
export const STOPS = ['vehicle', 'rack', 'load', 'forces', 'fit', 'handOver', 'log'] as const
export type Stop = (typeof STOPS)[number]

export const STOP_WORD: Readonly<Record<Stop, string>> = {
  vehicle: 'Vehicle',
  rack: 'Rack',
  load: 'Load',
  forces: 'Forces',
  fit: 'Fit',
  handOver: 'Hand over',
  log: 'Log',
}

/** Questions about what driving, wind and weight do, by their check: their pictures are with the forces. */
const OF_FORCES: ReadonlySet<string> = new Set(
  CHECKS.filter(({ stage }) => stage === 'forces').map(({ id }) => id),
)

const OF_OWNER: Readonly<Record<Extract<AskTarget, { field: 'rating' }>['owner']['of'], Stop>> = {
  roof: 'vehicle',
  attachment: 'vehicle',
  part: 'rack',
  gear: 'load',
}

const OF_SHEET: Readonly<Record<Extract<AskTarget, { open: unknown }>['open'], Stop>> = {
  vehicle: 'vehicle',
  measuring: 'vehicle',
  rack: 'rack',
  gear: 'load',
  house: 'load',
  inside: 'load',
}

/** Where the field of an answer is. */
function answeredAt({ target }: Ask): Stop {
  if ('open' in target) return OF_SHEET[target.open]
  switch (target.field) {
    case 'rating':
    case 'counts':
    case 'holds':
    case 'seen':
      return OF_OWNER[target.owner.of]
    case 'figureHolds':
      return target.sheet.of === 'gear' ? 'load' : target.sheet.of
    case 'sheetSpread':
    case 'footWidth':
    case 'partMass':
      return 'rack'
    case 'vehicle':
    case 'seat':
    case 'roofBears':
    case 'moves':
      return 'vehicle'
    case 'massHolds':
    case 'gearMass':
    case 'loadMass':
    case 'contacts':
    case 'base':
    case 'straps':
      return 'load'
  }
}

/** The stop at which a finding is dealt with: a question where its answer goes, all else where what it speaks of is seen. */
export function stopOf({ rule, severity, ask }: Finding): Stop {
  if (severity === 'findOut' && ask) return answeredAt(ask)
  return OF_FORCES.has(rule) ? 'forces' : 'load'
}
