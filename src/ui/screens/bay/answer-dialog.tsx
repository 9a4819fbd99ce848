'use client'
import { useState } from 'react'
import { hangsNow } from '@/core/bay/evidence'
import { ANSWER_WORD, ANSWERS, type Answer } from '@/core/log/event'
import type { BayProgress } from '@/core/log/replay'
import type { Step } from '@/core/bay/steps/step'
import type { Plan } from '@/core/plan/plan'
import type { Survey } from '@/core/survey/survey'
import { logFor } from '@/ui/state/log-store'
import { ReasonDialog } from '@/ui/kit/reason-dialog'
import { NameField, useShiftName } from './name-field'

/** What of a step is answered place by place: a joint's own places. */
const placesOf = ({ doing }: Step): readonly string[] => (doing.kind === 'torque' ? doing.group.spots : [])

/** Says of a step, or of some of its places, why it is not done: on already, not seen, put off, cannot be done here. */
export function AnswerDialog({
  plan,
  survey,
  step,
  progress,
  onClose,
}: {
  plan: Plan
  survey: Survey
  step: Step
  progress: BayProgress
  onClose: () => void
}) {
  const [answer, setAnswer] = useState<Answer>()
  const [places, setPlaces] = useState<readonly string[]>([])
  const { name, asks } = useShiftName()
  const all = placesOf(step)
  const some = places.length > 0 && places.length < all.length
  return (
    <ReasonDialog
      title="Not done"
      label="Why"
      without="Write why: the sheet begins with it."
      lacks={
        answer === undefined
          ? 'Choose what it is.'
          : name.trim() === ''
            ? 'Say who says so: it is let stand on a name.'
            : undefined
      }
      action="Put it in the log"
      onReason={(reason) => {
        if (answer === undefined) return
        const hung = hangsNow(step, survey, progress)
        logFor(plan, {
          kind: 'answered',
          stepId: step.id,
          title: step.title,
          answer,
          reason,
          ...(some && { places: [...places] }),
          ...(some && step.doing.kind === 'torque' && { jointId: step.doing.group.joint.id }),
          ...(answer === 'alreadyOn' && Object.keys(hung).length > 0 && { hung }),
        })
      }}
      onClose={onClose}
    >
      {step.title}
      <fieldset className="mt-2 grid gap-1">
        <legend className="field-label">What it is</legend>
        {ANSWERS.map((each) => (
          <label key={each} className="flex min-h-11 items-center gap-2">
            <input
              type="radio"
              name="answer"
              className="size-5 flex-none"
              checked={answer === each}
              onChange={() => {
                setAnswer(each)
              }}
            />
            {ANSWER_WORD[each]}
          </label>
        ))}
      </fieldset>
      {all.length > 1 && (
        <fieldset className="mt-2">
          <legend className="field-label">Of these places alone; none chosen is the whole step</legend>
          <div className="flex flex-wrap gap-3">
            {all.map((place) => (
              <label key={place} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 flex-none"
                  checked={places.includes(place)}
                  onChange={(event) => {
                    setPlaces(
                      event.target.checked ? [...places, place] : places.filter((each) => each !== place),
                    )
                  }}
                />
                {place}
              </label>
            ))}
          </div>
        </fieldset>
      )}
      {asks && <NameField />}
    </ReasonDialog>
  )
}
