import { PROVENANCES } from '../../kinds/provenance'
import type { Fastener } from '../../plan/schema/fastening'
import type { Gear } from '../../plan/schema/gear'
import { readAnew } from '../../plan/schema/gear-mass'
import { readOver } from '../../plan/schema/provenance'
import type { Part } from '../../plan/schema/rack'
import type { Rating, Source } from '../../plan/schema/rating'
import type { Vehicle } from '../../plan/schema/vehicle'
import { IN_STATE } from '../../review/finding'
import { kg, kmH, mm, torqueRange, type Phrase } from '../../units/phrase'
import type { State } from '../../units/scalars'
import { GEAR_KINDS, type GearKind } from '../../kinds/gear-kind'
import { kindsOf } from '../../kinds/kind'
import { PART_ROLES, type PartRole } from '../../kinds/part-role'
import { MOST_WORDS } from './claim-places'
import type { Question, SheetReading } from './reading'

type Size = Extract<SheetReading, { what: 'length' | 'width' | 'height' }>
type Limit = Extract<SheetReading, { what: 'limit' }>
type Weight = Extract<SheetReading, { what: 'weight' }>

/**
 * What a sheet still asks of a reading before it can be taken: nothing where the list is empty; undefined where the
 * reading has no place on it. The page and the day go with each figure as its source.
 */
export type Asks = readonly Question[] | undefined

const doubtOf = ({ doubtful }: SheetReading): readonly Question[] => (doubtful ? ['doubt'] : [])

const kindOf = ({ gearKind }: Limit): GearKind | undefined =>
  kindsOf(GEAR_KINDS).find((each) => each === gearKind)

/** A limit for a kind of thing that the plan does not know has no place: it is no limit for all. */
const hasKind = (limit: Limit): boolean => limit.gearKind === undefined || kindOf(limit) !== undefined

const limitAsks = (limit: Limit, isOne: boolean): readonly Question[] => [
  ...doubtOf(limit),
  ...(limit.state === undefined ? (['state'] as const) : []),
  ...(limit.per === undefined && !isOne ? (['per'] as const) : []),
]

/** What can be of a vehicle alone. */
const OF_CAR = { wheelbase: true, kerb: true, gross: true, years: true, doors: true } as const
type OfCar = Extract<SheetReading, { what: keyof typeof OF_CAR }>
const isOfCar = (reading: SheetReading): reading is OfCar => Object.hasOwn(OF_CAR, reading.what)

export function vehicleAsks(reading: SheetReading): Asks {
  if (isOfCar(reading)) return doubtOf(reading)
  if (!('of' in reading) || reading.of !== 'vehicle') return undefined
  if (reading.what === 'limit') return hasKind(reading) ? limitAsks(reading, true) : undefined
  return isSize(reading) ? doubtOf(reading) : undefined
}

/** On gear's: what it holds only where it is a carrier with figures of its own. */
export function gearAsks({ kind, carries }: Gear, reading: SheetReading): Asks {
  if (reading.what === 'speed') return doubtOf(reading)
  if (!('of' in reading) || reading.of !== 'gear') return undefined
  const ofOther: readonly Question[] = reading.thing === undefined || reading.thing === kind ? [] : ['thing']
  if (reading.what !== 'limit') return [...ofOther, ...doubtOf(reading)]
  if (carries?.rated.by !== 'own' || !hasKind(reading)) return undefined
  return [...ofOther, ...limitAsks(reading, true)]
}

/** The weight of one of a part: what the text says of all is shared among them; of a pair only where there are two. */
const sharesOf = ({ per }: Weight, count: number): number | undefined => {
  if (per === 'each' || count === 1) return 1
  return per === 'set' || (per === 'pair' && count === 2) ? count : undefined
}

/** Legs are what a text may call feet. */
const isOfRole = (said: PartRole, role: PartRole): boolean =>
  said === role || (said === 'feet' && role === 'legs')

/** Parts that stand on a joint of their own, where nobody has entered it yet. */
const IS_JOINED: Readonly<Partial<Record<PartRole, true>>> = {
  feet: true,
  legs: true,
  trusses: true,
  fitKit: true,
}

/** On a part's: figures where they are its own, a torque where it has a joint or stands on one. */
export function partAsks({ role, rated, fasteners = [], count }: Part, reading: SheetReading): Asks {
  if (reading.what === 'torque') {
    if (fasteners.length > 0) return doubtOf(reading)
    if (!IS_JOINED[role]) return undefined
    return [...doubtOf(reading), ...(reading.bolts === undefined ? (['bolts'] as const) : [])]
  }
  if (!('of' in reading) || reading.of !== 'rack') return undefined
  if ('part' in reading && !isOfRole(reading.part, role)) return undefined
  if (reading.what === 'limit')
    return rated.by === 'own' && hasKind(reading) ? limitAsks(reading, count === 1) : undefined
  if (reading.what !== 'weight') return undefined
  if (sharesOf(reading, count) !== undefined) return doubtOf(reading)
  return reading.per === undefined ? [...doubtOf(reading), 'per'] : undefined
}

const jointsOf = ({ fasteners = [] }: Part): number => Math.min(1, fasteners.length)

/**
 * The part of a rack to which a reading belongs, with what is still asked: the one whose role the text names, the chosen
 * one before others; what names no part is of the chosen one, and a torque of the first that has a joint, or stands on one.
 */
export function partFor(
  parts: readonly Part[],
  chosen: string,
  reading: SheetReading,
): { readonly part: Part; readonly asks: readonly Question[] } | undefined {
  const namesPart = 'part' in reading
  const order = [
    ...parts.filter(({ id }) => id === chosen),
    ...parts.filter(({ id }) => id !== chosen && (namesPart || reading.what === 'torque')),
  ]
  if (reading.what === 'torque') order.sort((a, b) => jointsOf(b) - jointsOf(a))
  for (const part of order) {
    const asks = partAsks(part, reading)
    if (asks) return { part, asks }
  }
  return undefined
}

const FIELD = { length: 'lengthMm', width: 'widthMm', height: 'heightMm' } as const
const MOST_BY = 80

function sourceOf(from: Source['kind'], all: readonly SheetReading[], { words, page }: SheetReading): Source {
  const day = all.find((each) => each.what === 'day')
  return {
    kind: from,
    text: words.slice(0, MOST_WORDS),
    ...(page !== undefined && { page }),
    ...(day?.what === 'day' && { on: day.on }),
  }
}

const freeId = (taken: ReadonlySet<string>, state: State): string => {
  for (let i = 1; ; i += 1) if (!taken.has(`read-${state}-${i}`)) return `read-${state}-${i}`
}

/** The ratings with those read added; a figure that stands there already is not entered twice, another one stays beside it. */
function ratingsWith(
  ratings: readonly Rating[],
  taken: readonly SheetReading[],
  all: readonly SheetReading[],
  from: Source['kind'],
): Rating[] {
  const now = [...ratings]
  for (const each of taken) {
    if (each.what !== 'limit') continue
    const { state, per = 'set', counts, upToKmH } = each
    if (state === undefined) continue
    const gearKind = kindOf(each)
    const same = now.some(
      (rating) =>
        rating.state === state &&
        rating.per === per &&
        rating.kg === each.kg &&
        rating.gearKind === gearKind &&
        rating.upToKmH === upToKmH,
    )
    if (same) continue
    const id = freeId(new Set(now.map((rating) => rating.id)), state)
    now.push({
      id,
      state,
      kg: each.kg,
      per,
      ...(counts && { counts }),
      ...(gearKind && { gearKind }),
      ...(upToKmH !== undefined && { upToKmH }),
      source: sourceOf(from, all, each),
    })
  }
  return now
}

const isSize = (reading: SheetReading): reading is Size => Object.hasOwn(FIELD, reading.what)

/** A thing's sizes with those read, and how they are known. */
const sized = <T extends Vehicle | Gear>(thing: T, taken: readonly SheetReading[], from: Source['kind']): T =>
  taken.filter(isSize).reduce((now, { what, mm: value }) => readOver(now, FIELD[what], value, from), thing)

const MASS_OR_BASE = { wheelbase: 'wheelbaseMm', kerb: 'kerbKg', gross: 'grossKg' } as const

function withOfCar(vehicle: Vehicle, reading: SheetReading, from: Source['kind']): Vehicle {
  if (!isOfCar(reading)) return vehicle
  if (reading.what === 'doors') return { ...vehicle, doors: reading.doors }
  if (reading.what === 'years') {
    const { from: first, until } = reading
    return { ...vehicle, years: { from: first, ...(until !== undefined && { to: until }) } }
  }
  const value = reading.what === 'wheelbase' ? reading.mm : reading.kg
  return readOver(vehicle, MASS_OR_BASE[reading.what], value, from)
}

/** A vehicle with what was taken from a pasted text: its roof's figures and its sizes. */
export function vehicleWith(
  vehicle: Vehicle,
  taken: readonly SheetReading[],
  all: readonly SheetReading[],
  from: Source['kind'],
): Vehicle {
  const ratings = ratingsWith(vehicle.roof.ratings, taken, all, from)
  const after = { ...sized(vehicle, taken, from), roof: { ...vehicle.roof, ratings } }
  return taken.reduce<Vehicle>((now, each) => withOfCar(now, each, from), after)
}

/** Of several speeds the lowest is kept. */
function withSpeed(gear: Gear, taken: readonly SheetReading[]): Gear {
  const speeds = taken.flatMap((each) => (each.what === 'speed' ? [each.kmH] : []))
  if (speeds.length === 0) return gear
  const { maxKmH: _, ...typed } = gear.typed ?? {}
  return { ...gear, maxKmH: Math.min(...speeds), ...(gear.typed && { typed }) }
}

/** Gear with what was taken: its weight, its sizes, the spread it asks for, and what it carries where it is a carrier. */
export function gearWith(
  gear: Gear,
  taken: readonly SheetReading[],
  all: readonly SheetReading[],
  from: Source['kind'],
): Gear {
  const weights = taken.filter((each): each is Weight => each.what === 'weight')
  const spread = taken.find((each) => each.what === 'spread')
  const { carries } = gear
  return {
    ...withSpeed(sized(gear, taken, from), taken),
    // Of several weights that were taken the last counts, and the others stay beside it.
    mass: weights.reduce(
      (now, weight) =>
        readAnew(now, {
          kg: weight.per === 'pair' ? weight.kg / 2 : weight.kg,
          basis: PROVENANCES[from].basis,
          by: weight.words.slice(0, MOST_BY),
        }),
      gear.mass,
    ),
    ...(spread?.what === 'spread' && {
      fit: { ...gear.fit, spreadMm: { fromMm: spread.fromMm, toMm: spread.toMm } },
    }),
    ...(carries &&
      carries.rated.by === 'own' && {
        carries: {
          ...carries,
          rated: { ...carries.rated, ratings: ratingsWith(carries.rated.ratings, taken, all, from) },
        },
      }),
  }
}

type Torque = Extract<SheetReading, { what: 'torque' }>

/** A joint as a text names it: so many bolts on each of the part, of its thread where that is said. */
const jointOf = ({ count }: Part, { thread = 'unsaid', bolts }: Torque): Fastener | undefined =>
  bolts === undefined ? undefined : { thread, count: count * bolts }

const withTorque = (joint: Fastener, { fromNm, toNm }: Torque, torqueFrom: Source): Fastener => ({
  ...joint,
  torqueNm: { from: fromNm, to: toNm },
  torqueFrom,
})

/** A part of a rack with what was taken: its figures, the weight of one of it, the torque of its first joint. */
export function partWith(
  part: Part,
  taken: readonly SheetReading[],
  all: readonly SheetReading[],
  from: Source['kind'],
): Part {
  const torque = taken.find((each) => each.what === 'torque')
  const [first, ...joints] = part.fasteners ?? []
  const joint = first ?? (torque?.what === 'torque' ? jointOf(part, torque) : undefined)
  const weighed = taken
    .filter((each): each is Weight => each.what === 'weight')
    .reduce(
      (now, weight) => readOver(now, 'eachKg', weight.kg / (sharesOf(weight, part.count) ?? 1), from),
      part,
    )
  return {
    ...weighed,
    ...(part.rated.by === 'own' && {
      rated: { ...part.rated, ratings: ratingsWith(part.rated.ratings, taken, all, from) },
    }),
    ...(torque?.what === 'torque' &&
      joint && { fasteners: [withTorque(joint, torque, sourceOf(from, all, torque)), ...joints] }),
  }
}

/** A figure of a part begins with the part’s name. */
const carryWords = ({ part }: Limit): string =>
  part === undefined ? 'May carry ' : `${PART_ROLES[part].choice}: may carry `

function limitWords(limit: Limit): Phrase {
  const { kg: value, state, per, counts, upToKmH } = limit
  const each = per === 'each' ? ' each' : ''
  const counted =
    counts === 'everything' ? ', the rack counted' : counts === 'load' ? ', the rack not counted' : ''
  const kind = kindOf(limit)
  const forKind = kind === undefined ? '' : ` as ${GEAR_KINDS[kind].many.toLowerCase()}`
  const where = state === undefined ? '' : `, ${IN_STATE[state]}`
  const speed: Phrase = upToKmH === undefined ? [] : [', up to ', kmH(upToKmH)]
  return [carryWords(limit), kg(value), `${each}${forKind}${where}`, ...speed, counted]
}

const WEIGHS_PER = { each: ' each', pair: ', the pair', set: ', all together' } as const

/** A reading in words. */
export function readingWords(reading: SheetReading): Phrase {
  switch (reading.what) {
    case 'limit':
      return limitWords(reading)
    case 'weight':
      return [
        reading.part === undefined ? 'Weighs ' : `${PART_ROLES[reading.part].choice}: weighs `,
        kg(reading.kg),
        reading.per === undefined ? '' : WEIGHS_PER[reading.per],
      ]
    case 'kerb':
      return ['Kerb mass ', kg(reading.kg)]
    case 'gross':
      return ['Gross mass ', kg(reading.kg)]
    case 'wheelbase':
      return ['Wheelbase ', mm(reading.mm)]
    case 'spread':
      return ['Bars apart ', mm(reading.fromMm), ' to ', mm(reading.toMm)]
    case 'torque':
      return ['Tightened to ', ...torqueRange(reading.fromNm, reading.toNm)]
    case 'length':
    case 'width':
    case 'height':
      return [`${reading.what.charAt(0).toUpperCase()}${reading.what.slice(1)} `, mm(reading.mm)]
    case 'speed':
      return ['Up to ', kmH(reading.kmH)]
    case 'years':
      return [
        reading.until === reading.from
          ? `Built in ${reading.from}`
          : `Built from ${reading.from}${reading.until === undefined ? '' : ` to ${reading.until}`}`,
      ]
    case 'doors':
      return [`${reading.doors} doors`]
    case 'page':
      return [`Page ${reading.page}`]
    case 'day':
      return [`Of ${reading.on}`]
  }
}
