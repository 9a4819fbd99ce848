import { type Outcome, OUTCOME_WORD, type Verdict, VERDICT_WORD } from '@/core'

const LOOK: Readonly<Record<Outcome | Verdict, string>> = {
  stop: 'bg-error text-error-content',
  findOut: 'border-2 border-dashed border-accent text-accent',
  mind: 'mind-hatch',
  clear: 'border border-edge text-base-content',
  // No colour and no frame: these are no verdicts.
  notLooked: 'text-ink2 px-0!',
  nothing: 'text-ink2 px-0!',
  unplanned: 'text-ink2 px-0!',
}

const WORD = { ...OUTCOME_WORD, ...VERDICT_WORD }

/** A verdict in its word, its colour and its own shape. */
export function SeverityTag({ severity }: { severity: Outcome | Verdict }) {
  return (
    <span className={`inline-block px-1.5 py-px text-[13px] leading-5 font-semibold ${LOOK[severity]}`}>
      {WORD[severity]}
    </span>
  )
}
