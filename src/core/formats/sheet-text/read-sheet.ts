import type { PartRole } from '../../kinds/part-role'
import type { Claim } from '../../reading/claim'
import { readText } from '../../reading/read'
import type { Subject } from '../../reading/subject'
import { inFirstUnit } from '../../reading/unit-words'
import type { ReadingOf, SheetReading } from './reading'

/** What a pasted text was read to say, and where two units of one figure do not agree. */
export interface SheetRead {
  readonly readings: readonly SheetReading[]
  readonly disagrees: readonly string[]
}

/** What a text is of that names no thing of its own: the open sheet’s. */
const ABOUT: Readonly<Record<ReadingOf, Subject>> = { vehicle: 'vehicle', rack: 'rack', gear: 'gear' }
const OF: Readonly<Record<string, ReadingOf>> = {
  roof: 'vehicle',
  vehicle: 'vehicle',
  rack: 'rack',
  bars: 'rack',
  bar: 'rack',
  feet: 'rack',
  foot: 'rack',
  kit: 'rack',
  platform: 'rack',
  panel: 'rack',
  adapter: 'rack',
  gear: 'gear',
}
/** The role of a part by the word the reader has for it. */
const PART: Readonly<Record<string, PartRole>> = {
  bars: 'bars',
  bar: 'bars',
  feet: 'feet',
  kit: 'fitKit',
  platform: 'deck',
  panel: 'panels',
}
const MOST_WORDS = 200

/** The line in which a claim stands, cut where it is long. */
function wordsRound(text: string, [start, end]: Claim['at']): string {
  const from = text.lastIndexOf('\n', start - 1) + 1
  const to = text.indexOf('\n', end)
  const line = text.slice(from, to < 0 ? text.length : to).trim()
  return line.length > MOST_WORDS
    ? `${text.slice(Math.max(from, start - MOST_WORDS / 2), end).trim()}…`.slice(-MOST_WORDS)
    : line
}

const first = ({ value, unit }: Claim): number =>
  unit === null || unit === 'year' || unit === 'count' ? Number(value) : inFirstUnit(Number(value), unit)

/** The other end of a range stands at the same place. */
const endOf = (claim: Claim, claims: readonly Claim[]): Claim | undefined =>
  claims.find(({ what, at }) => at[0] === claim.at[0] && what === claim.what.replace(/from$/, 'to'))

function limitOf(
  claim: Claim,
  of: ReadingOf,
  part: PartRole | undefined,
): Omit<Extract<SheetReading, { what: 'limit' }>, 'words' | 'at' | 'doubtful'> {
  const { state, per, counts, for: gearKind, upToKmH } = claim
  return {
    what: 'limit',
    of,
    ...(part && { part }),
    kg: first(claim),
    ...(state && { state }),
    ...(per && { per: per === 'each' ? 'each' : 'set' }),
    ...(counts && { counts }),
    ...(gearKind !== undefined && { gearKind }),
    ...(upToKmH !== undefined && { upToKmH }),
  }
}

type Bare<T> = T extends unknown ? Omit<T, 'words' | 'at' | 'doubtful'> : never

/** The reading of a claim; nothing where a sheet has no place for it. */
function readingOf(claim: Claim, claims: readonly Claim[]): Bare<SheetReading> | undefined {
  const { what, value, per } = claim
  const [thing = '', ...rest] = what.split('.')
  const of = OF[thing]
  const part = PART[thing]
  const measure = rest.join('.')
  switch (measure) {
    case 'rating':
    case 'capacity':
      return of && limitOf(claim, of, part)
    case 'mass':
      return of && { what: 'weight', of, ...(part && { part }), kg: first(claim), ...(per && { per }) }
    case 'mass.kerb':
      return { what: 'kerb', kg: first(claim) }
    case 'mass.gross':
      return { what: 'gross', kg: first(claim) }
    case 'wheelbase':
      return { what: 'wheelbase', mm: first(claim) }
    case 'length':
      return thing === 'joint' || of === undefined ? undefined : { what: 'length', of, mm: first(claim) }
    case 'width':
    case 'height':
      return of && { what: measure, of, mm: first(claim) }
    case 'spread.from': {
      const to = endOf(claim, claims)
      return of && to && { what: 'spread', of: 'gear', fromMm: first(claim), toMm: first(to) }
    }
    case 'torque':
      return { what: 'torque', fromNm: first(claim), toNm: first(claim) }
    case 'torque.from': {
      const to = endOf(claim, claims)
      return to && { what: 'torque', fromNm: first(claim), toNm: first(to) }
    }
    case 'speed.max':
      return { what: 'speed', kmH: first(claim) }
    case 'page':
      return { what: 'page', page: String(value) }
    case 'on':
      return { what: 'day', on: String(value) }
    default:
      return undefined
  }
}

/**
 * Reads a maker’s sheet, a label, a manual’s page or a message into what the app’s sheets have places for. `of` is what
 * the open sheet is of: a text that names no thing of its own is taken to be of that. What the text does not say, and
 * what it only supposes, is left for a person to answer.
 */
export function readSheet(text: string, of: ReadingOf): SheetRead {
  const claims = readText(text, ABOUT[of])
  const disagrees = claims.filter((claim) => claim.disagrees).map(({ at }) => text.slice(...at))
  const readings = claims
    .filter((claim) => !claim.disagrees)
    .flatMap((claim): SheetReading[] => {
      const reading = readingOf(claim, claims)
      const read = { words: wordsRound(text, claim.at), at: claim.at[0], doubtful: !claim.sure }
      return reading ? [{ ...reading, ...read }] : []
    })
  return { readings, disagrees: [...new Set(disagrees)] }
}
