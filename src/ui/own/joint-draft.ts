import { CONDITIONS, GRADES, type Fastener } from '@/core/plan/fastening'
import type { Source } from '@/core/plan/rating'
import type { UnitSystem } from '@/core/units/dimension'
import { formatPrecise } from '@/core/units/format'
import type { DraftReader } from './draft-reader'

/** A part's main joint as texts: its thread left empty, the part has none that is known. */
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
  const source: Source =
    torqueFrom !== undefined && torqueFrom.kind !== 'otherRack' ? torqueFrom : { kind: 'sheet' }
  const { page: _page, ...sourceKept } = source
  const main: Fastener = {
    ...kept,
    thread: thread.slice(0, 20),
    count: Number.isInteger(count) && count > 0 ? Math.min(count, 400) : 1,
    ...(range && range.from <= range.to ? { torqueNm: range } : {}),
    ...(range ? { torqueFrom: { ...sourceKept, ...(page === '' ? {} : { page: page.slice(0, 40) }) } } : {}),
    ...(draft.grade === 'unsaid' ? {} : { grade: draft.grade }),
    ...(draft.condition === 'unsaid' ? {} : { condition: draft.condition }),
  }
  return { fasteners: [main, ...others] }
}
