import { amountsIn, type ReadAmount } from './amounts'
import type { Claim, Meaning } from './claim'
import { distanceMeanings, speedMeanings, torqueMeanings, volumeMeanings } from './joints'
import { type Surroundings, withSurroundings, type Placed } from './layout'
import { lengthMeanings } from './lengths'
import { type Letters, originalSpan, plainLetters, type Span } from './letters'
import { kindIn, massMeaning, type Whole } from './masses'
import { countsIn, HEDGED, OF_OTHERS } from './said'
import { type Subject, subjectOf } from './subject'
import { type NamedThing, thingAround, thingsNamed } from './things'
import { inFirstUnit, type ReadUnit, type UnitDimension } from './unit-words'
import { unwrapped } from './unwrap'
import { wordClaims } from './words'

/** A sentence without a figure that speaks of all limits: what they count. */
function countsOfAll(plain: string): Whole['counts'] {
  for (const line of plain.split('\n')) {
    if (/\d\s?(?:kg|lb)/i.test(line)) continue
    if (!/\b(?:ratings?|figures|limits|values|loads?|both|all)\b/i.test(line)) continue
    const counts = countsIn(line)
    if (counts) return counts
  }
  return undefined
}

function wholeOf(plain: string, about: Subject | undefined): Whole {
  const counts = countsOfAll(plain)
  const isLetter =
    /^\s*(?:hi|hello|hey|dear|good (?:morning|day))\b/i.test(plain) ||
    /\b(?:my|our|we|i) (?:car|want|have|looked|weighed|am)\b/i.test(plain)
  const kinds = new Set(plain.split('\n').flatMap((line) => kindIn(line.split(':')[0] ?? '') ?? []))
  const hasKinds = kinds.size > 1
  return { subject: subjectOf(plain, hasKinds, isLetter) ?? about, counts, isLetter, hasKinds }
}

function meaningsOf(
  amount: ReadAmount,
  around: Surroundings,
  whole: Whole,
  previous: Meaning | undefined,
): readonly Meaning[] {
  switch (amount.dimension) {
    case 'mass': {
      const meaning = massMeaning(amount, around, whole, previous)
      return meaning ? [meaning] : []
    }
    case 'length':
      return lengthMeanings(amount, around, whole, previous)
    case 'torque':
      return torqueMeanings(amount, around)
    case 'speed':
      return speedMeanings(amount, around)
    case 'distance':
      return distanceMeanings(amount, around)
    case 'volume':
      return volumeMeanings(amount, around)
    default:
      return []
  }
}

/** The clause of a sentence in which an amount stands: a comma or a contrast ends it. */
function clauseOf({ before, after }: Surroundings): string {
  const from = before.split(/,(?! \d)|\bbut\b|\bthis one\b/i).at(-1) ?? before
  const [to = ''] = after.split(/,|\bbut\b|\band\b/i)
  return `${from} ${to}`
}

/** `74 + 2 x 80 = 234 kg`: what somebody worked out is no figure of a thing. */
const isSum = ({ before, sentence }: Surroundings): boolean => /=\s*$/.test(before) && sentence.includes('+')

interface Read {
  readonly one: Placed
  readonly meanings: readonly Meaning[]
}

const OF_GEAR = /^(?:gear|use\.speed)\./

function claimsOf({ one, meanings }: Read, upToKmH: number | undefined, letters: Letters): Claim[] {
  const { amount, around } = one
  const { unit } = amount
  if (!unit) return []
  const clause = clauseOf(around)
  const doubts =
    amount.doubtful ||
    /^\s*\?/.test(around.rest) ||
    amount.beside?.agrees === false ||
    HEDGED.test(clause) ||
    HEDGED.test(around.before)
  const thing = meanings.some(({ what }) => OF_GEAR.test(what)) ? thingAround(around) : undefined
  return meanings.map(({ which = 0, sure = true, ...meaning }) => ({
    ...meaning,
    ...(thing && { thing }),
    value: amount.values[which] ?? Number.NaN,
    unit,
    at: originalSpan(letters, amount.start, amount.end),
    sure: sure && !doubts,
    ...(amount.beside?.agrees === false && { disagrees: true as const }),
    ...(upToKmH !== undefined && { upToKmH }),
  }))
}

/** `up to 90 km/h: 90 kg`, `75 kg up to 80 km/h`: the speed belongs to the limit beside it, and is no limit of its own. */
function speedsOf(all: readonly Placed[], plain: string): ReadonlyMap<Placed, Placed> {
  const speeds = new Map<Placed, Placed>()
  all.forEach((speed, i) => {
    if (speed.amount.dimension !== 'speed' || !/\bup to\s*$/i.test(speed.around.before)) return
    const [before, after] = [all[i - 1], all[i + 1]]
    const isAfter =
      before?.amount.dimension === 'mass' &&
      /^[ \t]*up to\s*$/i.test(plain.slice(before.amount.end, speed.amount.start))
    const isBefore =
      after?.amount.dimension === 'mass' && /^[\s:]*$/.test(plain.slice(speed.amount.end, after.amount.start))
    const limit = isAfter ? before : isBefore ? after : undefined
    if (limit) speeds.set(limit, speed)
  })
  return speeds
}

/** Two limits of one thing, for the same and in the same state, that differ: no reader can say which one counts. */
function withConflictsAsked(claims: readonly Claim[]): Claim[] {
  const keyOf = ({ what, state, per, for: kind, upToKmH }: Claim) =>
    JSON.stringify([what, state, per, kind, upToKmH])
  const values = new Map<string, Set<number>>()
  for (const claim of claims)
    if (MUST_AGREE.test(claim.what) && claim.unit && claim.condition === undefined) {
      const key = keyOf(claim)
      const si = Math.round(inFirstUnit(Number(claim.value), claim.unit as 'kg') * 10)
      values.set(key, (values.get(key) ?? new Set()).add(si))
    }
  return claims.map((claim) =>
    (values.get(keyOf(claim))?.size ?? 0) > 1 ? { ...claim, sure: false } : claim,
  )
}
const MUST_AGREE = /\.(?:rating|capacity)$|^vehicle\.(?:length|width|height|wheelbase|mass)/

/** An amount of a text with its place, whatever it may mean. */
export interface TextAmount {
  readonly at: Span
  readonly values: readonly number[]
  readonly unit: ReadUnit
  readonly dimension: UnitDimension
}

/** A text as it was read. */
export interface ReadText {
  readonly claims: readonly Claim[]
  /** All its amounts that have a unit, those that mean nothing here among them. */
  readonly amounts: readonly TextAmount[]
  /** A letter or a message: what it says is told. */
  readonly isLetter: boolean
  /** What it names that goes on a rack. */
  readonly things: readonly NamedThing[]
}

/** What a text says, in the order of its places: figures and words, each with where it stands. What it does not say of a figure is left open. `about` is what a text is of that names no thing of its own. */
export const readText = (text: string, about?: Subject): readonly Claim[] => readWhole(text, about).claims

/** A text with its claims, its amounts and what it names. */
export function readWhole(text: string, about?: Subject): ReadText {
  const letters = unwrapped(plainLetters(text))
  const { plain } = letters
  const whole = wholeOf(plain, about)
  const all = withSurroundings(plain, amountsIn(letters))
  const speeds = speedsOf(all, plain)
  const conditions = new Set(speeds.values())
  const claims: Claim[] = []
  let previous: Read | undefined
  for (const one of all) {
    const { amount, around } = one
    if (
      conditions.has(one) ||
      around.quoted ||
      isSum(around) ||
      OF_OTHERS.test(around.before) ||
      OF_OTHERS.test(clauseOf(around))
    )
      continue
    const isOn =
      previous?.one.around.sentence === around.sentence && previous.one.amount.dimension === amount.dimension
    const meanings = meaningsOf(amount, around, whole, isOn ? previous?.meanings.at(-1) : undefined)
    // “Each 50 kg, the three 150 kg, never more than 150 kg”: said again is not said of something else.
    const isAgain =
      isOn &&
      meanings.some(
        ({ what, per }) =>
          per === undefined &&
          claims
            .slice(-4)
            .some(
              (claim) => claim.what === what && claim.value === amount.values[0] && claim.per !== undefined,
            ),
      )
    if (isAgain) continue
    const read = { one, meanings }
    const speed = speeds.get(one)?.amount
    const upTo = speed ? inFirstUnit(speed.values[0] ?? 0, speed.unit ?? 'km/h') : undefined
    claims.push(...claimsOf(read, upTo, letters))
    if (meanings.length > 0) previous = read
  }
  return {
    claims: [...withConflictsAsked(claims), ...wordClaims(letters)].toSorted((a, b) => a.at[0] - b.at[0]),
    amounts: all.flatMap(({ amount: { start, end, values, unit, dimension } }) =>
      unit && dimension ? [{ at: originalSpan(letters, start, end), values, unit, dimension }] : [],
    ),
    isLetter: whole.isLetter,
    things: thingsNamed(plain),
  }
}
