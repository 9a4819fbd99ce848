import {
  ANSWER_WORD,
  jobSession,
  type LogEvent,
  type Session,
  type SessionStep,
  type StepState,
} from '../src/core/api/fit'
import type { AssessmentWithFixes } from '../src/core/api/assess'
import { bayReport } from '../src/core/api/files'
import { phraseText, type UnitChoice } from '../src/core/api/plan'

const STATE_WORD: Readonly<Record<StepState, string>> = {
  done: 'Done',
  again: 'Again',
  open: 'Open',
  ...ANSWER_WORD,
}

/** Minutes as people say them. */
const hours = (minutes: number): string => {
  const whole = Math.round(minutes)
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${whole % 60} min`
}

function nextLines({ step, waits, holds, asks, changed }: SessionStep, choice: UnitChoice): string[] {
  const lacking = asks.filter(({ given }) => given === undefined).map(({ place }) => place)
  return [
    `  Next: ${step.title}${changed === undefined ? '' : ` (again: ${changed} changed)`}`,
    ...(waits.length > 0 ? [`      Before it: ${waits.join('; ')}`] : []),
    ...holds.map(({ message, words }) => `      ${message}${words ? ` ${phraseText(words, choice)}` : ''}`),
    ...(lacking.length > 0 ? [`      Not given yet: ${lacking.join(', ')}`] : []),
  ]
}

function inFull(name: string, { steps, next, done, left }: Session, choice: UnitChoice): string[] {
  return [
    `${name}. ${done} of ${steps.length} steps are done; about ${hours(left.one)} left, ${hours(left.two)} for two`,
    ...(next ? nextLines(next, choice) : ['  Everything is done.']),
    ...steps
      .filter(({ state }) => state !== 'open' && state !== 'done')
      .map(
        ({ step, state, changed }) =>
          `  ${STATE_WORD[state]}: ${step.title}${changed === undefined ? '' : ` (${changed} changed)`}`,
      ),
  ]
}

/**
 * What the shell says of a job in the bay, and its exit code: 0 when all is done, 1 when something that was read or counted
 * stops it, 2 when something is still to do.
 */
export function bayOf(
  assessment: AssessmentWithFixes,
  events: readonly LogEvent[],
  json: boolean,
  choice: UnitChoice,
): { readonly code: number; readonly lines: readonly string[] } {
  const { plan } = assessment.survey
  const found = jobSession(assessment, events)
  if (!found.ok) return { code: 3, lines: [`${plan.job.name}. The steps have no order: ${found.reason}`] }
  const { session } = found
  const stopped = session.steps.some(({ holds }) => holds.some(({ stops }) => stops))
  return {
    code: session.next === undefined ? 0 : stopped ? 1 : 2,
    lines: json
      ? [JSON.stringify(bayReport(session, choice), null, 2)]
      : inFull(plan.job.name, session, choice),
  }
}
