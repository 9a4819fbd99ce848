import { type Finding, OUTCOME_RANK } from '../review/finding'
import { WHERE_WORD } from '../review/ask'
import type { Assessment } from '../review/review'
import type { Phrase } from '../units/phrase'
import { type Stage, stageOf } from './stage-of'
import { type Logged, nextDue, openRows } from './stages'

/** The most useful next thing of a job: what it is in one line, the stage that does it, and the words of its key. */
export interface NextThing {
  readonly stage: Stage
  readonly say: Phrase
  readonly key: string
  /** What it is about, where it is a finding: its first fix, or its field, is one press away. */
  readonly finding?: Finding
  /** A step of the fitting. */
  readonly stepId?: string
}

const at = (stage: Stage, key: string, ...say: Phrase): NextThing => ({ stage, say, key })

function aboutFinding(finding: Finding): NextThing {
  const stage = stageOf(finding)
  const { ask, severity, sentence } = finding
  if (severity === 'findOut' && ask)
    return { stage, finding, key: ask.label, say: [`Find out, ${WHERE_WORD[ask.where].toLowerCase()}:`] }
  return { stage, finding, key: 'See it', say: sentence }
}

/**
 * The next thing of a job. First what must be there at all: something that holds a rack, a rack. Then a Stop, for
 * nothing is fitted under one. Then the next step of the fitting, once it has begun; before that the open questions, and the
 * gear. What is only to be minded holds nobody up. At last what is due on the vehicle.
 */
export function nextThing(assessment: Assessment, logged: Logged): NextThing {
  const { plan, review, survey } = assessment
  if (plan.vehicle.attachments.length === 0)
    return at('vehicle', 'Enter an attachment', `Nothing on ${plan.vehicle.name} holds a rack yet.`)
  if (!review.planned) return at('racks', 'Choose a rack', `${plan.vehicle.name} has no rack yet.`)
  const session = logged.at === 'read' ? logged.session : undefined
  const rows = openRows(assessment).sort((a, b) => OUTCOME_RANK[a.severity] - OUTCOME_RANK[b.severity])
  const begun = session !== undefined && session.steps.some(({ state }) => state !== 'open')
  const [gravest] = rows.filter(({ severity }) => severity === 'stop' || (severity === 'findOut' && !begun))
  if (gravest) return aboutFinding(gravest)
  if (survey.things.length === 0 && !begun) return at('load', 'Choose from the shelf', 'The rack is empty.')
  const ready = review.findings.some(({ aside, severity }) => aside && severity === 'findOut')
    ? 'No Stop is open; open questions were set aside by name.'
    : 'No Stop is open, and no question either.'
  if (logged.at === 'unread' || session === undefined) return at('fit', 'Go to Fit', ready)
  const { next, steps } = session
  if (next === undefined) {
    const due = nextDue(logged.due)
    return due
      ? at('log', 'See the due date', `Handed over. ${due.what}, due on ${due.on}.`)
      : at('log', 'See its log', 'Handed over, and nothing is due.')
  }
  const handing = next.step.task.kind === 'tell'
  return {
    stage: handing ? 'handover' : 'fit',
    stepId: next.step.id,
    say: begun
      ? [
          next.state === 'again' && next.changed !== undefined
            ? `${next.step.title}, again: ${next.changed} changed.`
            : `${next.step.title}.`,
        ]
      : [ready],
    key: begun ? `Step ${steps.indexOf(next) + 1} of ${steps.length}` : next.step.title,
  }
}
