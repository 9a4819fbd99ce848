import type { Answered, BayProgress } from '../log/record'
import { ANSWER_WORD, type StepAnswer } from '../log/answer'
import type { Step } from './steps/step'

/** What was said of a whole step instead of doing it. */
export const answerOf = ({ id }: Step, { answers }: BayProgress): Answered | undefined =>
  answers.get(id)?.find(({ places }) => places === undefined)

/** What was said of a step's places one by one. */
export function placeAnswers({ id }: Step, { answers }: BayProgress): ReadonlyMap<string, StepAnswer> {
  return new Map(
    (answers.get(id) ?? []).flatMap(({ places, answer }) =>
      (places ?? []).map((place): [string, StepAnswer] => [place, answer]),
    ),
  )
}

/** Whether a step was done, or was on already: what the others wait for, and what is counted as done. */
export const isDone = (step: Step, progress: BayProgress): boolean =>
  progress.done.has(step.id) || answerOf(step, progress)?.answer === 'alreadyOn'

/** Whether work may go on past a step: it is done, or somebody has said why it is not. */
export const isSettled = (step: Step, progress: BayProgress): boolean =>
  progress.done.has(step.id) || answerOf(step, progress) !== undefined

/** An answer as the sheet and the log say it. */
export const answerLine = ({ title, answer, places, by, at, reason }: Answered): string =>
  `${title}${places ? `, ${places.join(' ')}` : ''}: ${ANSWER_WORD[answer].toLowerCase()}. ${by ?? 'Nobody named'} on ${at.slice(0, 10)}: ${reason}`

/** Every answer to these steps, in their order. */
export const allAnswers = (steps: readonly Step[], { answers }: BayProgress): Answered[] =>
  steps.flatMap(({ id }) => answers.get(id) ?? [])

/** What was said of the places of one joint. */
export const answersAt = (jointId: string, { answers }: BayProgress): ReadonlyMap<string, StepAnswer> =>
  new Map(
    [...answers.values()]
      .flat()
      .flatMap((each) =>
        each.jointId === jointId
          ? (each.places ?? []).map((place): [string, StepAnswer] => [place, each.answer])
          : [],
      ),
  )
