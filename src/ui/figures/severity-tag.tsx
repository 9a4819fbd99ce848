import { type Outcome, OUTCOME_WORD, type Verdict, VERDICT_WORD } from '@/core/api/assess'
import { Badge } from '@/ui/kit/badge'

const VARIANT = {
  stop: 'error',
  findOut: 'dashed',
  mind: 'hatched',
  clear: 'outline',
  // These are no verdicts.
  notLooked: 'plain',
  nothing: 'plain',
  unplanned: 'plain',
} as const satisfies Readonly<Record<Outcome | Verdict, string>>

const WORD = { ...OUTCOME_WORD, ...VERDICT_WORD }

/** A verdict in its word, its colour and its own shape. */
export function SeverityTag({ severity }: { severity: Outcome | Verdict }) {
  return <Badge variant={VARIANT[severity]}>{WORD[severity]}</Badge>
}
