import {
  ANSWER_WORD,
  answerOf,
  type BayProgress,
  isDone,
  placeAnswers,
  PHASE_WORD,
  type Step,
} from '@/core/api/fit'
import { useEffect, useRef } from 'react'

/** The job's steps under their stages; the one in hand stands out, those done are ticked. */
export function StepList({
  steps,
  at,
  progress,
  again,
  onPick,
}: {
  steps: readonly Step[]
  at: number
  progress: BayProgress
  again: ReadonlyMap<string, string>
  onPick: (index: number) => void
}) {
  const current = useRef<HTMLButtonElement>(null)
  const states = (step: Step): string | undefined => {
    const answer = answerOf(step, progress)
    const places = [...placeAnswers(step, progress)].map(
      ([place, each]) => `${place} ${ANSWER_WORD[each].toLowerCase()}`,
    )
    if (answer) return ANSWER_WORD[answer.answer]
    if (places.length > 0) return places.join(', ')
    return again.has(step.id) && !progress.done.has(step.id) ? 'Again' : undefined
  }
  useEffect(() => {
    current.current?.scrollIntoView({ block: 'nearest' })
  }, [at])
  return (
    <ol aria-label="Steps">
      {steps.map((step, i) => (
        <li key={step.id}>
          {steps[i - 1]?.stage !== step.stage && (
            <p className="pt-[0.8rem] px-[0.9rem] pb-[0.2rem] text-ink2 text-aside font-[620]">
              {PHASE_WORD[step.stage]}
            </p>
          )}
          <button
            ref={i === at ? current : undefined}
            type="button"
            className={`flex w-full min-h-11 items-center gap-[0.3rem] py-[0.3rem] px-[0.9rem] text-left leading-[1.2] cursor-pointer focus-visible:outline-offset-[-3px] ${i === at ? 'bg-base-content text-base-100 font-[650]' : 'hover:bg-gear'}`}
            aria-current={i === at ? 'step' : undefined}
            onClick={() => onPick(i)}
          >
            <span className="w-5 shrink-0">{isDone(step, progress) ? '✓' : ''}</span>
            <span>
              {step.title}
              {states(step) !== undefined && <span className="block text-aside">{states(step)}</span>}
            </span>
          </button>
        </li>
      ))}
    </ol>
  )
}
