import { ANSWERS } from '../log/answer'
import * as z from '../units/schema'
import type { Session, SessionStep } from '../bay/session'
import { PHASES } from '../plan/schema/work'
import { phraseText } from '../units/phrase'
import type { UnitChoice } from '../units/format'

const stepSchema = z.strictObject({
  id: z.string(),
  title: z.string(),
  stage: z.enum(PHASES),
  state: z.enum(['done', 'again', 'open', ...ANSWERS]),
  /** What changed since it was done. */
  changed: z.nullable(z.string()),
  waitsFor: z.array(z.string()),
  holds: z.array(z.strictObject({ id: z.string(), say: z.string(), coverable: z.boolean() })),
  asks: z.array(z.strictObject({ place: z.string(), given: z.nullable(z.string()) })),
})

export const bayReportSchema = z.strictObject({
  format: z.literal('ypsos-bay'),
  version: z.literal(1),
  done: z.int(),
  of: z.int(),
  /** The step in hand; nothing where all are done. */
  next: z.nullable(z.string()),
  minutesLeft: z.strictObject({ one: z.number(), two: z.number() }),
  steps: z.array(stepSchema),
})
type BayReport = z.infer<typeof bayReportSchema>

const stepReport = ({ step, state, changed, waits, holds, asks }: SessionStep, choice?: UnitChoice) => ({
  id: step.id,
  title: step.title,
  stage: step.stage,
  state,
  changed: changed ?? null,
  waitsFor: [...waits],
  holds: holds.map(({ id, message, words, coverable }) => ({
    id,
    say: words ? `${message} ${phraseText(words, choice)}` : message,
    coverable,
  })),
  asks: asks.map(({ place, given }) => ({ place, given: given ?? null })),
})

/** Where a job stands in the bay, for other software. Minutes. */
export const bayReport = ({ steps, next, done, left }: Session, choice?: UnitChoice): BayReport => ({
  format: 'ypsos-bay',
  version: 1,
  done,
  of: steps.length,
  next: next?.step.id ?? null,
  minutesLeft: { ...left },
  steps: steps.map((each) => stepReport(each, choice)),
})
