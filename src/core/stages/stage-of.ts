import { CHECKS } from '../review/checks'
import type { Ask, AskTarget } from '../review/ask'
import type { Finding } from '../review/finding'

/** A job's stages, in the order of the work. */
export const STAGES = ['vehicle', 'racks', 'load', 'forces', 'fit', 'handover', 'log'] as const
export type Stage = (typeof STAGES)[number]

export const STAGE_WORD: Readonly<Record<Stage, string>> = {
  vehicle: 'Vehicle',
  racks: 'Racks',
  load: 'Load',
  forces: 'Forces',
  fit: 'Fit',
  handover: 'Handover',
  log: 'Log',
}

/** Questions about what driving, wind and weight do, by their check: their pictures are with the forces. */
const OF_FORCES: ReadonlySet<string> = new Set(
  CHECKS.filter(({ stage }) => stage === 'forces').map(({ id }) => id),
)

const OF_OWNER: Readonly<Record<Extract<AskTarget, { field: 'rating' }>['owner']['of'], Stage>> = {
  roof: 'vehicle',
  attachment: 'vehicle',
  part: 'racks',
  gear: 'load',
}

const OF_SHEET: Readonly<Record<Extract<AskTarget, { open: unknown }>['open'], Stage>> = {
  vehicle: 'vehicle',
  measuring: 'vehicle',
  rack: 'racks',
  gear: 'load',
  house: 'load',
  inside: 'load',
}

/** Where the field of an answer is. */
function answeredAt({ target }: Ask): Stage {
  if ('open' in target) return OF_SHEET[target.open]
  switch (target.field) {
    case 'rating':
    case 'counts':
    case 'holds':
    case 'seen':
      return OF_OWNER[target.owner.of]
    case 'figureHolds':
      return OF_SHEET[target.sheet.of]
    case 'sheetSpread':
    case 'footWidth':
    case 'partMass':
      return 'racks'
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

/** The stage that deals with a finding: for a question the stage of its field, for the rest the stage that shows its subject. */
export function stageOf({ rule, severity, ask }: Finding): Stage {
  if (severity === 'findOut' && ask) return answeredAt(ask)
  return OF_FORCES.has(rule) ? 'forces' : 'load'
}
