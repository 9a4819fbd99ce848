import type { Finding, Severity } from '../../review/finding'
import { newtonMetre, torqueRange, type Phrase } from '../../units/phrase'
import { exceeds } from '../../units/tolerance'
import { aimNm, type Joint } from './joint'

/** How far a wrench may be off, as a share of its reading. Published: ISO 6789, from memory: 4 % for most hand tools. */
const WRENCH_SHARE = 0.04

/** What a reading on a joint says of it. */
type ReadingVerdict =
  /** Not tight yet, at the last pass. */
  | 'under'
  | 'within'
  /** Within a range that is narrower than the wrench is exact. */
  | 'cannotTell'
  /** Above what this pass goes to, though not over the figure: one place runs ahead of the others. */
  | 'uneven'
  /** Above the figure, or above what the part bears: at any pass. */
  | 'over'
  | 'noFigure'

/**
 * Where a joint may end, N·m: a sheet's range as it is, a single figure within the house's tolerance, and never above what
 * the part bears. A wrench's own error widens neither.
 */
export function rangeOf({
  torque,
  fastener,
  singleShare,
}: Joint): { fromNm: number; toNm: number } | undefined {
  const most = fastener.atMostNm ?? Infinity
  const single = (nm: number) => ({
    fromNm: nm * (1 - singleShare),
    toNm: Math.min(nm * (1 + singleShare), most),
  })
  if (torque.kind === 'advice') return single(torque.nm)
  if (torque.kind !== 'sheet') return undefined
  return torque.fromNm === torque.toNm
    ? single(torque.toNm)
    : { fromNm: torque.fromNm, toNm: Math.min(torque.toNm, most) }
}

/** What a reading says at a pass that goes to so many percent of the figure. N·m. */
export function judgeReading(joint: Joint, nm: number, percentOfFigure = 100): ReadingVerdict {
  const range = rangeOf(joint)
  const { atMostNm } = joint.fastener
  if (!range) return atMostNm !== undefined && exceeds(nm, atMostNm) ? 'over' : 'noFigure'
  if (exceeds(nm, range.toNm)) return 'over'
  if (percentOfFigure < 100) {
    const share = ((aimNm(joint.torque) ?? 0) * percentOfFigure) / 100
    return exceeds(nm, share * (1 + joint.singleShare)) ? 'uneven' : 'within'
  }
  if (exceeds(range.fromNm, nm)) return 'under'
  return range.toNm - range.fromNm < 2 * WRENCH_SHARE * range.toNm ? 'cannotTell' : 'within'
}

const SEVERITY: Readonly<Record<ReadingVerdict, { readonly sheet: Severity; readonly advice: Severity }>> = {
  under: { sheet: 'stop', advice: 'mind' },
  within: { sheet: 'clear', advice: 'clear' },
  cannotTell: { sheet: 'mind', advice: 'mind' },
  uneven: { sheet: 'mind', advice: 'mind' },
  over: { sheet: 'stop', advice: 'mind' },
  noFigure: { sheet: 'findOut', advice: 'findOut' },
}

function wantedPhrase({ torque }: Joint): Phrase {
  if (torque.kind === 'advice') return [newtonMetre(torque.nm), ', the table’s advice']
  if (torque.kind !== 'sheet') return ['what the part bears']
  return [...torqueRange(torque.fromNm, torque.toNm), ` (${torque.source})`]
}

/**
 * A place that was tightened over its figure and reads less now: what it may have done is still there, until somebody has
 * said what thread, pad and rail look like.
 */
export function overLookFinding(joint: Joint, at: string, nm: number): Finding | undefined {
  const { rule, severity } = readingFinding(joint, at, nm)
  if (rule !== OVER_TORQUE || severity !== 'stop') return undefined
  return {
    id: `over ${joint.id} ${at}`,
    rule: OVER_TORQUE,
    severity: 'stop',
    state: 'all',
    subject: { placementIds: [] },
    measured: newtonMetre(nm),
    sentence: [
      `${at}, ${joint.name}: it was tightened to `,
      newtonMetre(nm),
      ', over ',
      ...wantedPhrase(joint),
      '. Look at thread, pad and rail, and say what you found.',
    ],
  }
}

/** Over the figure: nothing that is said about something else lets such a joint pass. */
export const OVER_TORQUE = 'torque-over'

/**
 * A reading at one place and pass as a finding: over a figure is Stop at once, under it at the last pass is Stop until it is
 * pulled again; against a table's advice both are Mind, unless it is more than the part bears.
 */
export function readingFinding(joint: Joint, at: string, nm: number, percentOfFigure = 100): Finding {
  const verdict = judgeReading(joint, nm, percentOfFigure)
  const { atMostNm } = joint.fastener
  const broken = atMostNm !== undefined && exceeds(nm, atMostNm)
  const wanted = wantedPhrase(joint)
  const read: Phrase = [`${at}, ${joint.name}: `, newtonMetre(nm)]
  const says: Readonly<Record<ReadingVerdict, Phrase>> = {
    under: [' is under ', ...wanted, '. Pull it again.'],
    within: [' of ', ...wanted, '.'],
    cannotTell: [
      ' of ',
      ...wanted,
      '. The range is narrower than a wrench is exact (4 %): this wrench cannot tell.',
    ],
    uneven: [
      ` is above this pass’s ${percentOfFigure} %: tightened unevenly. Loosen, and begin the passes again.`,
    ],
    over: [
      ' is over ',
      ...wanted,
      '. Loosen it, check thread, pad and rail, renew damaged parts, and tighten it again.',
    ],
    noFigure: [', and there is no figure to compare it with. Find the maker’s.'],
  }
  const severity = broken ? 'stop' : SEVERITY[verdict][joint.torque.kind === 'advice' ? 'advice' : 'sheet']
  return {
    id: `reading ${joint.id} ${at}`,
    rule: verdict === 'over' ? OVER_TORQUE : 'torque-reading',
    severity,
    state: 'all',
    subject: { placementIds: [] },
    measured: newtonMetre(nm),
    sentence: [...read, ...says[verdict]],
  }
}
