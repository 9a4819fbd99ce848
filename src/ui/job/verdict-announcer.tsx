'use client'
import { type Plan, type State, STATES } from '@/core/api/plan'
import { STATE_WORD, stateSummary } from '@/core/api/assess'
import { useEffect, useEffectEvent, useRef, useState } from 'react'
import { verdictWords } from '@/ui/figures/verdict-words'
import { assessmentOf } from '@/ui/state/assessment'
import { useUnits } from '@/ui/state/settings-store'

/** Says each verdict that changes, to those who do not see it. */
export function VerdictAnnouncer({ plan }: { plan: Plan }) {
  const units = useUnits()
  const assessment = assessmentOf(plan)
  const [message, setMessage] = useState('')
  const before = useRef<{ readonly id: string; readonly verdicts: readonly string[] }>(undefined)
  const verdicts = STATES.map((state) => assessment.review.states[state])
  const key = verdicts.join()
  // Only a verdict that is another one is said, not every kilogram.
  const say = useEffectEvent((changed: readonly State[]) =>
    setMessage(
      changed
        .map((state) => `${STATE_WORD[state]}: ${verdictWords(stateSummary(assessment, state), units)}.`)
        .join(' '),
    ),
  )
  useEffect(() => {
    const was = before.current
    const now = key.split(',')
    before.current = { id: plan.id, verdicts: now }
    if (was?.id !== plan.id) return
    const changed = STATES.filter((_, i) => now[i] !== was.verdicts[i])
    if (changed.length > 0) say(changed)
  }, [key, plan.id])
  return (
    <p className="sr-only" aria-live="polite">
      {message}
    </p>
  )
}
