'use client'
import {
  formatQuantity,
  identityOf,
  type Review,
  type State,
  STATE_WORD,
  STATES,
  type Survey,
  type UnitChoice,
  type Verdict,
  VERDICT_WORD,
} from '@/core'
import { useUnits } from '@/ui/state/settings-store'
import { usePlan } from '@/ui/state/plan-store'

/** How many different things of the verdict's kind there are, so that they can be counted on the page. */
export function openCount(review: Review, state: State): number {
  const verdict = review.states[state]
  return new Set(
    review.findings
      .filter(
        (finding) => finding.severity === verdict && (finding.state === state || finding.state === 'all'),
      )
      .map(identityOf),
  ).size
}

/** A state's verdict in a few words: how much over, how many to find out, or how much is left. */
export function verdictWords(survey: Survey, review: Review, state: State, units: UnitChoice): string {
  const verdict = review.states[state]
  const governing = survey.loadPath.governing[state]
  const single = units.show === 'both' ? { ...units, show: 'metric' as const } : units
  const left = governing?.leftKg
  if (verdict === 'stop' && left !== undefined && left < 0)
    return `${VERDICT_WORD[verdict]}, ${formatQuantity('mass', -left, single)} over`
  if (verdict === 'stop' || verdict === 'findOut')
    return `${VERDICT_WORD[verdict]}, ${openCount(review, state)} ${verdict === 'stop' ? 'to mend' : 'open'}`
  return left === undefined || verdict === 'unplanned'
    ? VERDICT_WORD[verdict]
    : `${VERDICT_WORD[verdict]}, ${formatQuantity('mass', left, single)} left`
}

const LOOK: Readonly<Record<Verdict, string>> = {
  stop: 'text-stopline',
  findOut: 'text-accent',
  mind: 'text-mindline',
  clear: '',
  unplanned: '',
}

/** Road, trail, parked: each with its verdict; the pressed one is what the drawing shows. */
export function StateSwitch({ survey, review }: { survey: Survey; review: Review }) {
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
          className="aria-pressed:border-base-content min-h-11 flex-1 cursor-pointer border-b-[3px] border-transparent px-2 py-0.5 text-left whitespace-nowrap"
          onClick={() => showState(each)}
        >
          <span className="block text-[13px] leading-tight font-semibold">{STATE_WORD[each]}</span>{' '}
          <span className={`block text-[15px] leading-tight font-semibold ${LOOK[review.states[each]]}`}>
            {verdictWords(survey, review, each, units)}
          </span>
        </button>
      ))}
    </div>
  )
}
