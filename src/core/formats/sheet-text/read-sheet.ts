import { ATTACHMENTS, type AttachmentKind } from '../../kinds/attachment'
import { BODIES, type Body } from '../../kinds/body'
import type { GearKind } from '../../kinds/gear-kind'
import { kindsOf } from '../../kinds/kind'
import type { PartRole } from '../../kinds/part-role'
import type { Claim } from '../../reading/claim'
import { readWhole, type TextAmount } from '../../reading/read'
import type { Subject } from '../../reading/subject'
import { inFirstUnit } from '../../reading/unit-words'
import { type ClaimsBeside, besideIn, pagesOf, wordsRound } from './claim-places'
import type { BareReading, ReadingOf, SheetReading } from './reading'

/** What a text names beside its figures: how the car is built, what holds a rack on it, what goes on it. */
interface Named {
  readonly body?: Body
  readonly attachment?: AttachmentKind
  readonly things: readonly { readonly kind: GearKind; readonly count: number }[]
}

/** What a pasted text was read to say, and where two units of one figure do not agree. */
export interface SheetRead {
  readonly readings: readonly SheetReading[]
  readonly disagrees: readonly string[]
  /** Every amount of the text with a unit, in its order: what no reading stands at was left. */
  readonly amounts: readonly TextAmount[]
  /** A letter or a message: what it says is told, whoever wrote it. */
  readonly isLetter: boolean
  readonly named: Named
}

/** What nothing was read in. */
export const NOTHING_READ: SheetRead = {
  readings: [],
  disagrees: [],
  amounts: [],
  isLetter: false,
  named: { things: [] },
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
const first = ({ value, unit }: Claim): number =>
  unit === null || unit === 'year' || unit === 'count' ? Number(value) : inFirstUnit(Number(value), unit)

const threadIn = (thread: string | undefined) => (thread === undefined ? {} : { thread })

function limitOf(
  claim: Claim,
  of: ReadingOf,
  part: PartRole | undefined,
): Omit<Extract<SheetReading, { what: 'limit' }>, 'words' | 'at' | 'to' | 'doubtful'> {
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

/** The reading of a claim; nothing where a sheet has no place for it. */
function readingOf(claim: Claim, { endOf, threadOf }: ClaimsBeside): BareReading | undefined {
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
      const to = endOf(claim)
      return of && to && { what: 'spread', of: 'gear', fromMm: first(claim), toMm: first(to) }
    }
    case 'torque':
      return { what: 'torque', fromNm: first(claim), toNm: first(claim), ...threadIn(threadOf(claim)) }
    case 'torque.from': {
      const to = endOf(claim)
      return to && { what: 'torque', fromNm: first(claim), toNm: first(to), ...threadIn(threadOf(claim)) }
    }
    case 'speed.max':
      return { what: 'speed', kmH: first(claim) }
    case 'years.from': {
      const until = endOf(claim)
      return { what: 'years', from: Number(value), ...(until && { until: Number(until.value) }) }
    }
    case 'year':
      return { what: 'years', from: Number(value), until: Number(value) }
    case 'doors':
      return thing === 'vehicle' ? { what: 'doors', doors: Number(value) } : undefined
    case 'page':
      return { what: 'page', page: String(value) }
    case 'on':
      return { what: 'day', on: String(value) }
    default:
      return undefined
  }
}

const oneOf = <K extends string>(record: Readonly<Record<K, unknown>>, word: unknown): K | undefined =>
  kindsOf(record).find((kind) => kind === word)

/** What a text says of the car in words. Two bodies that it names are a choice that it leaves open. */
function namedIn(claims: readonly Claim[]): Pick<Named, 'body' | 'attachment'> {
  const said = (what: string) => {
    const all = new Set(claims.filter((claim) => claim.what === what && claim.sure).map(({ value }) => value))
    const [only] = all
    return all.size === 1 ? only : undefined
  }
  const body = oneOf(BODIES, said('vehicle.body'))
  const attachment = oneOf(ATTACHMENTS, said('vehicle.attachment'))
  return { ...(body && { body }), ...(attachment && { attachment }) }
}

/**
 * Reads a maker’s sheet, a label, a manual’s page or a message into what the app’s sheets have places for. `of` is what
 * the open sheet is of: a text that names no thing of its own is taken to be of that. What the text does not say, and
 * what it only supposes, is left for a person to answer.
 */
export function readSheet(text: string, of?: ReadingOf): SheetRead {
  const { claims, amounts, isLetter, things } = readWhole(text, of && ABOUT[of])
  const disagrees = claims.filter((claim) => claim.disagrees).map(({ at }) => text.slice(...at))
  const pageOf = pagesOf(text, claims)
  const beside = besideIn(claims)
  const isOfSeveral = new Set([...claims, ...things].flatMap(({ thing }) => thing ?? [])).size > 1
  const readings = claims
    .filter((claim) => !claim.disagrees)
    .flatMap((claim): SheetReading[] => {
      const reading = readingOf(claim, beside)
      if (!reading) return []
      const [at, to] = claim.at
      const page = pageOf(at)
      const thing = isOfSeveral ? claim.thing : undefined
      return [
        {
          ...reading,
          words: wordsRound(text, claim.at),
          at,
          to,
          doubtful: !claim.sure,
          ...(page !== undefined && { page }),
          ...(thing && { thing }),
        },
      ]
    })
  return {
    readings,
    disagrees: [...new Set(disagrees)],
    amounts,
    isLetter,
    named: {
      ...namedIn(claims),
      things: things.map(({ thing, count }) => ({ kind: thing, count })),
    },
  }
}
