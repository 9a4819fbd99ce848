import { type Amount, amountsIn, inFirstUnit } from './amounts'
import type { Claim, Meaning } from './claim'
import { distanceMeanings, speedMeanings, torqueMeanings, volumeMeanings } from './joints'
import { type Around, placed, type Placed } from './layout'
import { lengthMeanings } from './lengths'
import { type Letters, originalSpan, plainLetters } from './letters'
import { massMeaning, type Whole } from './masses'
import { countsIn, HEDGED, OF_OTHERS } from './said'
import { subjectOf } from './subject'
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

function wholeOf(plain: string): Whole {
  const counts = countsOfAll(plain)
  const isLetter =
    /^\s*(?:hi|hello|hey|dear|good (?:morning|day))\b/i.test(plain) ||
    /\b(?:my|our|we|i) (?:car|want|have|looked|weighed|am)\b/i.test(plain)
  return { subject: subjectOf(plain), counts, isLetter }
}

function meaningsOf(amount: Amount, around: Around, whole: Whole): readonly Meaning[] {
  switch (amount.dimension) {
    case 'mass': {
      const meaning = massMeaning(amount, around, whole)
      return meaning ? [meaning] : []
    }
    case 'length':
      return lengthMeanings(amount, around, whole)
    case 'torque':
      return torqueMeanings(amount, around)
    case 'speed':
      return speedMeanings(amount, around)
    case 'distance':
      return distanceMeanings(amount, around)
    case 'volume':
      return volumeMeanings(amount, around)
    case undefined:
      return []
  }
}

/** The clause of a sentence in which an amount stands: a comma or a contrast ends it. */
function clauseOf({ before, after }: Around): string {
  const from = before.split(/,(?! \d)|\bbut\b|\bthis one\b/i).at(-1) ?? before
  const [to = ''] = after.split(/,|\bbut\b|\band\b/i)
  return `${from} ${to}`
}

function claimsOf(one: Placed, next: Placed | undefined, whole: Whole, letters: Letters): Claim[] {
  const { amount, around } = one
  const { unit } = amount
  if (!unit || around.quoted || OF_OTHERS.test(around.before) || OF_OTHERS.test(clauseOf(around))) return []
  const doubts =
    amount.doubtful ||
    amount.beside?.agrees === false ||
    HEDGED.test(clauseOf(around)) ||
    HEDGED.test(around.before)
  const upTo =
    next?.amount.dimension === 'speed' &&
    /^\s*up to\s*$/i.test(letters.plain.slice(amount.end, next.amount.start))
      ? inFirstUnit(next.amount.values[0] ?? 0, next.amount.unit ?? 'km/h')
      : undefined
  return meaningsOf(amount, around, whole).map(({ which = 0, sure = true, ...meaning }) => ({
    ...meaning,
    value: amount.values[which] ?? Number.NaN,
    unit,
    at: originalSpan(letters, amount.start, amount.end),
    sure: sure && !doubts,
    ...(upTo !== undefined && { upToKmH: upTo }),
  }))
}

/** `up to 90 km/h: 90 kg`, `75 kg up to 80 km/h`: the speed is the limit’s condition, and no limit of its own. */
function isCondition(one: Placed, before: Placed | undefined, after: Placed | undefined): boolean {
  return (
    one.amount.dimension === 'speed' &&
    /\bup to\s*$/i.test(one.around.before) &&
    (before?.amount.dimension === 'mass' || after?.amount.dimension === 'mass')
  )
}

/** What a text says, in the order of its places: figures and words, each with where it stands. What it does not say of a figure is left open. */
export function readText(text: string): Claim[] {
  const letters = unwrapped(plainLetters(text))
  const { plain } = letters
  const whole = wholeOf(plain)
  const all = placed(plain, amountsIn(letters))
  const figures = all.flatMap((one, i) => {
    if (isCondition(one, all[i - 1], all[i + 1])) return []
    const before = all[i - 1]
    const isUnder =
      before !== undefined &&
      isCondition(before, undefined, one) &&
      one.around.sentence === before.around.sentence
    const upToKmH = isUnder
      ? inFirstUnit(before.amount.values[0] ?? 0, before.amount.unit ?? 'km/h')
      : undefined
    return claimsOf(one, all[i + 1], whole, letters).map((claim) =>
      upToKmH === undefined ? claim : { ...claim, upToKmH },
    )
  })
  return [...figures, ...wordClaims(letters)].toSorted((a, b) => a.at[0] - b.at[0])
}
