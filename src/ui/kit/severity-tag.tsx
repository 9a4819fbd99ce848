import { type Outcome, OUTCOME_WORD, type Verdict, VERDICT_WORD } from '@/core'

const LOOK: Readonly<Record<Outcome | Verdict, string>> = {
  stop: 'badge-error',
  findOut: 'badge-dash badge-accent',
  mind: 'mind-hatch',
  clear: 'badge-outline border-edge',
  // No colour and no frame: these are no verdicts.
  notLooked: 'badge-ghost bg-transparent border-0 text-ink2 px-0',
  nothing: 'badge-ghost bg-transparent border-0 text-ink2 px-0',
  unplanned: 'badge-ghost bg-transparent border-0 text-ink2 px-0',
}

const WORD = { ...OUTCOME_WORD, ...VERDICT_WORD }

/** A verdict in its word, its colour and its own shape. */
export function SeverityTag({ severity }: { severity: Outcome | Verdict }) {
  return (
    <span className={`badge h-auto px-1.5 text-aside leading-5 font-semibold ${LOOK[severity]}`}>
      {WORD[severity]}
    </span>
  )
}
