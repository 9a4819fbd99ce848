import { CONDITIONS, type Fastener, formatPrecise, GRADES, type Source, type UnitSystem } from '@/core'
import type { DraftReader } from './draft-reader'

/** A part's main joint as texts. One of which only a part is known is kept as far as it goes. */
export interface JointDraft {
  thread: string
  count: string
  from: string
  to: string
  page: string
  grade: 'unsaid' | (Fastener['grade'] & string)
  condition: 'unsaid' | (Fastener['condition'] & string)
}

export const NO_JOINT: JointDraft = {
  thread: '',
  count: '4',
  from: '',
  to: '',
  page: '',
  grade: 'unsaid',
  condition: 'unsaid',
}

/** How a thread that nobody gave stands in a plan. */
const UNSAID = 'unsaid'

const nothingTyped = (draft: JointDraft): boolean =>
  (Object.keys(NO_JOINT) as (keyof JointDraft)[]).every((field) => draft[field].trim() === NO_JOINT[field])

export const GRADE_CHOICES = [
  ['unsaid', 'Not marked'],
  ...GRADES.map((each) => [each, each] as const),
] as const
export const CONDITION_CHOICES = [
  ['unsaid', 'Nobody says'],
  ...CONDITIONS.map((each) => [each, { dry: 'Dry', oiled: 'Oiled', antiSeize: 'Anti-seize' }[each]] as const),
] as const

export function jointToDraft(fasteners: readonly Fastener[] | undefined, system: UnitSystem): JointDraft {
  const first = fasteners?.[0]
  if (!first) return NO_JOINT
  const nm = (value: number | undefined) =>
    value === undefined ? '' : formatPrecise('torque', value, system)
  const read = first.torqueFrom
  return {
    thread: first.thread === UNSAID ? '' : first.thread,
    count: String(first.count),
    from: nm(first.torqueNm?.from),
    to: nm(first.torqueNm?.to),
    page: read !== undefined && read.kind !== 'otherRack' ? (read.page ?? '') : '',
    grade: first.grade ?? 'unsaid',
    condition: first.condition ?? 'unsaid',
  }
}

/** The fasteners of a part: the main one as typed, with what the form does not ask for, and the others as they were. */
export function readJoint(
  reader: DraftReader,
  at: string,
  draft: JointDraft,
  was: readonly Fastener[] | undefined,
): { fasteners?: Fastener[] } {
  const [before, ...others] = was ?? []
  if (nothingTyped(draft)) return others.length > 0 ? { fasteners: others } : {}
  const thread = draft.thread.trim() || UNSAID
  if (thread.length > 20) reader.fail(`${at}.thread`, 'A thread as on the bolt: M8.')
  const count = Number(draft.count)
  if (!Number.isInteger(count) || count < 1 || count > 400)
    reader.fail(`${at}.count`, 'A whole number from 1 to 400.')
  const from = reader.optional(`${at}.from`, 'torque', draft.from)
  const to = reader.optional(`${at}.to`, 'torque', draft.to)
  const torque = from ?? to
  const range = torque === undefined ? undefined : { from: from ?? torque, to: to ?? torque }
  if (range && range.from > range.to) reader.fail(`${at}.to`, 'The range ends before it begins.')
  const { torqueNm: _nm, torqueFrom, grade: _grade, condition: _condition, ...kept } = before ?? {}
  const page = draft.page.trim()
  const source: Source =
    torqueFrom !== undefined && torqueFrom.kind !== 'otherRack' ? torqueFrom : { kind: 'sheet' }
  const { page: _page, ...sourceKept } = source
  const main: Fastener = {
    ...kept,
    thread: thread.slice(0, 20),
    count: Number.isInteger(count) && count > 0 ? Math.min(count, 400) : 1,
    ...(range && range.from <= range.to ? { torqueNm: range } : {}),
    ...(range || page !== ''
      ? { torqueFrom: { ...sourceKept, ...(page === '' ? {} : { page: page.slice(0, 40) }) } }
      : {}),
    ...(draft.grade === 'unsaid' ? {} : { grade: draft.grade }),
    ...(draft.condition === 'unsaid' ? {} : { condition: draft.condition }),
  }
  return { fasteners: [main, ...others] }
}
