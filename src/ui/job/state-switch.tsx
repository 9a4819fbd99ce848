'use client'
import { type Assessment, STATE_WORD, stateSummary, type Verdict } from '@/core/api/assess'
import { STATES } from '@/core/api/plan'
import { verdictWords } from '@/ui/figures/verdict-words'
import { useUnits } from '@/ui/state/settings-store'
import { usePlan } from '@/ui/state/plan-store'

const VARIANT: Readonly<Record<Verdict, string>> = {
  stop: 'text-stopline',
  findOut: 'text-accent',
  mind: 'text-mindline',
  clear: '',
  unplanned: '',
}

/** Road, trail, parked: each with its verdict; the pressed one is what the drawing shows. */
export function StateSwitch({ assessment }: { assessment: Assessment }) {
  const units = useUnits()
  const state = usePlan((store) => store.state)
  const showState = usePlan((store) => store.showState)
  return (
    <div role="group" aria-label="State" className="flex max-wide:order-5 max-wide:w-full">
      {STATES.map((each) => (
        <button
          key={each}
          type="button"
          aria-pressed={each === state}
          className="aria-pressed:border-base-content min-h-11 flex-1 cursor-pointer border-b-[3px] border-transparent px-2 py-0.5 text-left whitespace-nowrap max-[44rem]:whitespace-normal"
          onClick={() => showState(each)}
        >
          <span className="block text-aside leading-tight font-semibold">{STATE_WORD[each]}</span>{' '}
          <span
            className={`block text-body leading-tight font-semibold ${VARIANT[assessment.review.states[each]]}`}
          >
            {verdictWords(stateSummary(assessment, each), units)}
          </span>
        </button>
      ))}
    </div>
  )
}
