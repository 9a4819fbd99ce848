import { useEffect, useRef } from 'react'
import type { BayProgress } from '@/core/bay/log/replay'
import { STAGE_WORD, type Step } from '@/core/bay/steps/step'

/** The job's steps under their stages; the one in hand stands out, those done are ticked. */
export function StepList({
  steps,
  at,
  progress,
  onPick,
}: {
  steps: readonly Step[]
  at: number
  progress: BayProgress
  onPick: (index: number) => void
}) {
  const current = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    current.current?.scrollIntoView({ block: 'nearest' })
  }, [at])
  return (
    <ol aria-label="Steps">
      {steps.map((step, i) => (
        <li key={step.id}>
          {steps[i - 1]?.stage !== step.stage && <p className="bay-stage">{STAGE_WORD[step.stage]}</p>}
          <button
            ref={i === at ? current : undefined}
            type="button"
            className={`bay-step ${i === at ? 'bay-step-now' : ''}`}
            aria-current={i === at ? 'step' : undefined}
            onClick={() => {
              onPick(i)
            }}
          >
            <span className="w-5 shrink-0">{progress.done.has(step.id) ? '✓' : ''}</span>
            <span>{step.title}</span>
          </button>
        </li>
      ))}
    </ol>
  )
}
