import type { ReadAmount } from './amounts'
import type { Meaning } from './claim'
import type { Surroundings } from './layout'

const A_TOOL = /\b(?:wrench|range|covers?|should cover|drive|checked to|wheel|breaks? at|fails? at|engine)\b/i
const PASSES = /\b(?:first|then|passes|stages)\b/i
const MOST =
  /\bmax(?:imum)?\.?\s*$|\bnever (?:use )?(?:more than|above|over)\s*$|\bnot (?:more than|above)\s*$/i

/** What a torque means: of the joint, at most, or from one to another. */
export function torqueMeanings(amount: ReadAmount, around: Surroundings): readonly Meaning[] {
  const { before, after, sentence, row, column, rest } = around
  const own = `${before} ${after}`
  if (A_TOOL.test(own) && !/\btighten|\btorque (?:of|to|the)/i.test(own)) return []
  if (/\btwo passes\b|\bin passes\b/i.test(sentence) && PASSES.test(before)) return []
  // “2 Nm, then 4 Nm”: the first is a pass; whether the last is the whole is asked.
  if (/^\s*,?\s*(?:and )?then \d[^,.;]*\b(?:n\.?m|lbf?)\b/i.test(rest)) return []
  const sure =
    !/\bthen\s*$/i.test(before) && !/\blots?\b|\bfrom (?:serial|lot)\b/i.test(`${sentence} ${row} ${column}`)
  if (amount.form === 'range')
    return [
      { what: 'joint.torque.from', which: 0, sure },
      { what: 'joint.torque.to', which: 1, sure },
    ]
  if (MOST.test(before) || /^\s*(?:max(?:imum)?\b|at most)/i.test(after))
    return [{ what: 'joint.torque.max', sure }]
  return [{ what: 'joint.torque', sure }]
}

const NOT_A_LIMIT = /\b(?:wind|gusts?|tested|crash)\b/i
/** What a speed means: the one not to exceed. A limit that holds up to it takes it for itself. */
export function speedMeanings(
  amount: ReadAmount,
  { before, after, sentence, row }: Surroundings,
): readonly Meaning[] {
  if (amount.form !== 'one' || NOT_A_LIMIT.test(sentence)) return []
  return /\b(?:max(?:imum)?|exceed|limit|faster|speed|above|over|drive|never|not|up to)\b/i.test(
    `${before} ${after} ${row}`,
  )
    ? [{ what: 'use.speed.max' }]
    : []
}

/** What a distance means: the first one after which a joint is tightened again, or every so many. */
export function distanceMeanings(
  _: ReadAmount,
  { before, sentence, note }: Surroundings,
): readonly Meaning[] {
  if (!/\b(?:check|tighten|again|tightness|retighten)\b/i.test(`${sentence} ${note}`)) return []
  if (/\bevery\s*$/i.test(before)) return [{ what: 'care.every' }]
  return /\bafter (?:the first )?\s*$|\bafter\s*$/i.test(before) ? [{ what: 'care.first' }] : []
}

export const volumeMeanings = (
  amount: ReadAmount,
  { after, before, row }: Surroundings,
): readonly Meaning[] =>
  amount.form === 'one' && /\b(?:volume|cans?|each|water)\b/i.test(`${before} ${after} ${row}`)
    ? [{ what: 'gear.volume', ...(/\beach\b/i.test(after) && { per: 'each' as const }) }]
    : []
