import type { ReadingsFrom } from '../../log/record'
import { TAPED, type Readings, type Taped } from '../../log/taped'
import { readingsSummary } from '../../plan/schema/measurement'
import type { Finding, Severity } from '../../review/finding'
import { mm, type Phrase } from '../../units/phrase'
import { type PlannedPair } from './taped'

/** One judgement about how the bars stand, and what to do about it. */
export interface JudgedReading {
  readonly what: string
  readonly severity: Severity
  readonly measuredMm?: number
  readonly limitMm?: number
  /** The one reading it is about, where it is about one alone. */
  readonly of?: Taped
  readonly say: Phrase
}

/** A judgement as a finding about the rear bar of a pair. */
export const barReadingFinding = (
  pair: PlannedPair,
  { what, severity, measuredMm, limitMm, say }: JudgedReading,
): Finding => ({
  id: `square ${pair.front.id} ${pair.rear.id} ${what}`,
  rule: 'squareness',
  severity,
  state: 'all',
  subject: { barId: pair.rear.id, placementIds: [] },
  ...(measuredMm === undefined ? {} : { measured: mm(measuredMm) }),
  ...(limitMm === undefined ? {} : { limit: mm(limitMm), margin: mm(limitMm - Math.abs(measuredMm ?? 0)) }),
  sentence: say,
})

/** How far one reading of a tape may be off, mm, however often it was read. Common practice, no source. */
const TAPE_MM = 1

/** Nobody moves a bar by less. mm */
export const LEAST_MOVE_MM = 0.5

/** Which end of a bar goes which way, by so much: rearward from 0 up, mm. Nothing where neither has to. */
export function endsToMove(leftMm: number, rightMm: number): Phrase {
  const ends = [
    ['left', leftMm],
    ['right', rightMm],
  ] as const
  return ends
    .filter(([, by]) => Math.abs(by) >= LEAST_MOVE_MM)
    .flatMap(([side, by], i) => [
      `${i === 0 ? '' : ', its '}${side} end `,
      mm(Math.abs(by)),
      by > 0 ? ' rearward' : ' forward',
    ])
}

/** What was read of each, mm: its middle, and how far that may be off by its own scatter. */
export interface Middle {
  readonly mm: number
  readonly offMm: number
}
export type Middles = Partial<Record<Taped, Middle>>

/** The mean of every reading without what the tape showed for nought, and what it may be off by. */
export function middlesOf(readings: Readings, from: ReadingsFrom): Middles {
  const middles: Middles = {}
  for (const key of TAPED) {
    const list = readings[key]
    if (!list || list.length === 0) continue
    const { middleMm, scatterMm } = readingsSummary(list)
    middles[key] = { mm: middleMm - (from[key]?.zeroMm ?? 0), offMm: Math.max(TAPE_MM, scatterMm) }
  }
  return middles
}
