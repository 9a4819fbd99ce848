import { readAs } from '../../kinds/provenance'
import {
  GRADES,
  isLatch,
  isStainless,
  securedBy,
  type Condition,
  type Fastener,
  type Grade,
  type Sign,
} from '../../plan/schema/fastening'
import { USUAL_SINGLE_FIGURE, type BayRules } from '../../plan/schema/house'
import { NUT_FACTOR, tableTorqueNm } from './table-torque'

/** Who a joint belongs to: a part of a rack, or a piece of gear where it sits. */
export type JointOwner =
  | { readonly of: 'part'; readonly rackId: string; readonly partId: string; readonly name: string }
  | { readonly of: 'gear'; readonly placementId: string; readonly name: string }

/** The torque a joint wants, N·m, and how far that can be trusted. */
export type Torque =
  | { readonly kind: 'sheet'; readonly fromNm: number; readonly toNm: number; readonly source: string }
  | {
      readonly kind: 'advice'
      readonly nm: number
      readonly grade: Grade
      readonly gradeStated: boolean
      readonly condition: Condition
      readonly k: number
      /** The table's figure is reduced to the limit of the part at most. */
      readonly cut: boolean
    }
  | { readonly kind: 'refused'; readonly rack: string }
  | { readonly kind: 'feel'; readonly atMostNm: number | undefined }
  /** A latch: it is shut when it has clicked, and nothing is tightened. */
  | { readonly kind: 'latch' }
  | { readonly kind: 'unknown' }

/** One kind of joint, so many times, with everything that its sheet and the house say about closing it. */
export interface Joint {
  readonly id: string
  /** Which of its owner's joints it is, from 0. */
  readonly index: number
  readonly owner: JointOwner
  readonly name: string
  readonly fastener: Fastener
  readonly torque: Torque
  /** How far a reading may lie from a single figure, as a share of it, and above a pass’s share. */
  readonly singleShare: number
  readonly signs: readonly Sign[]
  readonly startTurns: number
  /** Whether threadlocker holds it. */
  readonly locked: boolean
  /** What keeps it from working loose, in words; the sheet's own goes before the house's. Empty where nobody named a thread. */
  readonly security: string
  readonly washers: string
  readonly tool: string
  readonly handOnly: boolean
}

/** Turns by hand before a tool is taken to it. Common practice, no source. */
const USUAL_START_TURNS = 2

/** The weakest grade the table has for this thread: what an unmarked bolt is taken for. */
function weakest(thread: string, condition: Condition): { grade: Grade; nm: number } | undefined {
  return GRADES.flatMap((grade) => {
    const nm = tableTorqueNm(thread, grade, condition)
    return nm === undefined ? [] : [{ grade, nm }]
  }).reduce<{ grade: Grade; nm: number } | undefined>(
    (so, each) => (so && so.nm <= each.nm ? so : each),
    undefined,
  )
}

function wordsOf(source: Exclude<Fastener['torqueFrom'], undefined>): string {
  if (source.kind === 'otherRack') return `carried over from ${source.rack}`
  return `${readAs(source.kind)}${source.page === undefined ? '' : `, page ${source.page}`}`
}

/** What torque a fastener wants under the house's school. A figure from another rack is refused; a table's is advice. */
export function torqueOf(fastener: Fastener, rules: BayRules): Torque {
  const { torqueNm, torqueFrom, thread, atMostNm, condition = 'dry' } = fastener
  if (torqueFrom?.kind === 'otherRack') return { kind: 'refused', rack: torqueFrom.rack }
  if (torqueNm)
    return {
      kind: 'sheet',
      fromNm: torqueNm.from,
      toNm: torqueNm.to,
      source: torqueFrom ? wordsOf(torqueFrom) : 'as given with the part',
    }
  if (isLatch(fastener)) return { kind: 'latch' }
  if (rules.tightening === 'feel') return { kind: 'feel', atMostNm }
  const own = fastener.grade && tableTorqueNm(thread, fastener.grade, condition)
  const found =
    own !== undefined && fastener.grade ? { grade: fastener.grade, nm: own } : weakest(thread, condition)
  if (!found) return { kind: 'unknown' }
  return {
    kind: 'advice',
    nm: Math.min(found.nm, atMostNm ?? Infinity),
    grade: found.grade,
    gradeStated: own !== undefined,
    condition,
    k: NUT_FACTOR[condition],
    cut: atMostNm !== undefined && atMostNm < found.nm,
  }
}

/** What a joint is tightened to at last, N·m: the middle of the sheet's range, or the advice; nothing without a figure. */
export function aimNm(torque: Torque): number | undefined {
  if (torque.kind === 'sheet') return (torque.fromNm + torque.toNm) / 2
  return torque.kind === 'advice' ? torque.nm : undefined
}

/** Whether nobody has named a thread, washers or what holds it: the house's rules are for bolts. */
const isUnnamed = (fastener: Fastener): boolean =>
  fastener.thread === 'unsaid' && fastener.washers === undefined && securedBy(fastener) === undefined

const STRENGTH = {
  weak: 'weak threadlocker',
  medium: 'medium threadlocker',
  permanent: 'permanent threadlocker',
} as const

function securityOf(fastener: Fastener, rules: BayRules): string {
  const { grade, washers, threadlocker } = fastener
  const security = securedBy(fastener)
  if (isUnnamed(fastener)) return ''
  const asked = {
    threadlocker: `${threadlocker ? STRENGTH[threadlocker] : 'threadlocker'}, as the sheet asks`,
    lockWasher: 'lock washer, as the sheet asks',
    none: 'none, as the sheet says',
  }
  if (security) return asked[security]
  if (washers?.includes('lock')) return 'nothing more, the lock washer is in the stack'
  if (rules.security !== 'lockAndFlat') return 'medium threadlocker (house rule)'
  return isStainless(grade)
    ? 'no threadlocker (house rule); anti-seize, it is stainless'
    : 'no threadlocker (house rule)'
}

/** Whether threadlocker goes on: by its sheet, else by the house, and never over a lock washer of its own. */
function lockedBy(fastener: Fastener, rules: BayRules): boolean {
  const { washers } = fastener
  const security = securedBy(fastener)
  if (isUnnamed(fastener)) return false
  if (security) return security === 'threadlocker'
  return !washers?.includes('lock') && rules.security !== 'lockAndFlat'
}

function washersOf(fastener: Fastener, rules: BayRules): string {
  const { washers } = fastener
  const security = securedBy(fastener)
  if (isUnnamed(fastener)) return ''
  const byHouse = washers === undefined && security === undefined && rules.security !== 'threadlocker'
  const stack = washers ?? (byHouse ? ['lock', 'flat'] : [])
  if (stack.length === 0) return 'no washers'
  return `${stack.join(' washer, ')} washer, from the head down${byHouse ? ' (house rule)' : ''}`
}

/** A fastener of a part or a piece of gear as the joint it makes. */
export function jointOf(owner: JointOwner, index: number, fastener: Fastener, rules: BayRules): Joint {
  return {
    id: `${owner.of === 'part' ? `${owner.rackId}/${owner.partId}` : owner.placementId}:${index}`,
    index,
    owner,
    name: fastener.name ?? `${fastener.thread === 'unsaid' ? 'joint' : fastener.thread} of ${owner.name}`,
    fastener,
    torque: torqueOf(fastener, rules),
    singleShare: (rules.singleFigurePercent ?? USUAL_SINGLE_FIGURE) / 100,
    signs: fastener.signs ?? [],
    startTurns: fastener.startTurns ?? USUAL_START_TURNS,
    locked: lockedBy(fastener, rules),
    security: securityOf(fastener, rules),
    washers: washersOf(fastener, rules),
    tool: fastener.tool ?? (isLatch(fastener) ? 'by hand' : 'the key from the box, short end'),
    handOnly: fastener.handOnly ?? isStainless(fastener.grade),
  }
}

/** The signs of a joint that somebody sees, beside what a wrench reads. */
export const seenSigns = ({ signs }: Pick<Joint, 'signs'>): readonly Sign[] =>
  signs.filter(({ kind }) => kind !== 'reading')

/** A sign of done, in a fitter's words. */
export function signWords(sign: Sign): string {
  switch (sign.kind) {
    case 'reading':
      return 'the wrench reads the figure'
    case 'clicks':
      return sign.count === 1 ? 'one click' : `${sign.count} clicks`
    case 'handle':
      return 'the handle has straightened'
    case 'notch':
      return 'the notch is in line'
    case 'washerClosed':
      return sign.moreTurns === 0
        ? 'the washer is closed'
        : `the washer is closed and ${turnWords(sign.moreTurns)} more`
    case 'threads':
      return `${sign.showing} threads show`
    case 'words':
      return sign.words
  }
}

function turnWords(turns: number): string {
  const named: readonly (readonly [number, string])[] = [
    [0.25, 'a quarter turn'],
    [0.5, 'half a turn'],
    [0.75, 'three quarters of a turn'],
    [1, 'one turn'],
  ]
  return named.find(([value]) => Math.abs(value - turns) < 1e-9)?.[1] ?? `${turns} turns`
}
