'use client'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { TickBox } from '@/ui/kit/field'
import {
  ANSWER_WORD,
  ANSWERS,
  type BayProgress,
  evidenceNow,
  type Step,
  type StepAnswer,
} from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import { useState } from 'react'
import { logFor } from '@/ui/state/log-store'
import { ReasonDialog } from '@/ui/kit/reason-dialog'
import { NameField, useShiftName } from './name-field'

/** What of a step is answered place by place: a joint's own places. */
const placesOf = ({ task }: Step): readonly string[] => (task.kind === 'torque' ? task.group.spots : [])

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
  const [answer, setAnswer] = useState<StepAnswer>()
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
          ? 'Choose an answer.'
          : name.trim() === ''
            ? 'Enter who says so. An exception needs a name.'
            : undefined
      }
      action="Put it in the log"
      onReason={(reason) => {
        if (answer === undefined) return
        const hung = evidenceNow(step, survey, progress)
        logFor(plan, {
          kind: 'answered',
          stepId: step.id,
          title: step.title,
          answer,
          reason,
          ...(some && { places: [...places] }),
          ...(some && step.task.kind === 'torque' && { jointId: step.task.group.joint.id }),
          ...(answer === 'alreadyOn' && Object.keys(hung).length > 0 && { hung }),
        })
      }}
      onClose={onClose}
    >
      {step.title}
      <fieldset className="mt-2 grid gap-1">
        <legend className={CONTROL_CLASS.label}>What it is</legend>
        {ANSWERS.map((each) => (
          <TickBox
            key={each}
            type="radio"
            name="answer"
            checked={answer === each}
            onTick={() => setAnswer(each)}
          >
            {ANSWER_WORD[each]}
          </TickBox>
        ))}
      </fieldset>
      {all.length > 1 && (
        <fieldset className="mt-2">
          <legend className={CONTROL_CLASS.label}>Only these places (none chosen: the whole step)</legend>
          <div className="flex flex-wrap gap-3">
            {all.map((place) => (
              <TickBox
                key={place}
                checked={places.includes(place)}
                onTick={(on) => setPlaces(on ? [...places, place] : places.filter((each) => each !== place))}
              >
                {place}
              </TickBox>
            ))}
          </div>
        </fieldset>
      )}
      {asks && <NameField />}
    </ReasonDialog>
  )
}
