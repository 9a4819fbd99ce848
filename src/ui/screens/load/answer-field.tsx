'use client'
import { Button, ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import { type Answer, answered, type Ask, inputOf } from '@/core/api/assess'
import { Choice } from '@/ui/kit/choice'
import { QuantityField } from '@/ui/figures/quantity-field'
import type { DialogName } from '@/ui/state/dialog-store'
import { refused, usePlan, planStore } from '@/ui/state/plan-store'

/** Takes an answer into the plan; a text given back says why it was refused. */
function take(ask: Ask, answer: Answer): string | undefined {
  const { plan, run } = planStore.getState()
  const command = plan && answered(plan, ask, answer)
  return command ? refused(run(command)) : 'The subject of this question is no longer on the plan.'
}

const DIALOG = { measuring: 'measure', house: 'rules', inside: 'use' } as const

/** The sheet that holds a field, open at it. */
function sheetOf(target: Extract<Ask['target'], { open: 'vehicle' | 'rack' | 'gear' }>, job: string): string {
  const at = target.at === undefined ? {} : { field: target.at }
  switch (target.open) {
    case 'vehicle':
      return to('vehicle', { job, ...at })
    case 'rack':
      return to('rackForm', { job, rack: target.rackId, ...at })
    case 'gear':
      return to('gear', { job, from: target.gearId, ...at })
  }
}

/** Too much for one field: the sheet or the dialog that holds it. */
function AnswerWay({
  target,
  words,
  show,
}: {
  target: Extract<Ask['target'], { open: unknown }>
  words: string
  show: (dialog: DialogName) => void
}) {
  const job = usePlan((store) => store.plan?.id ?? '')
  if (target.open === 'vehicle' || target.open === 'rack' || target.open === 'gear')
    return <ButtonLink href={sheetOf(target, job)}>{words}</ButtonLink>
  const dialog = DIALOG[target.open]
  return <Button onClick={() => show(dialog)}>{words}</Button>
}

/** The one field that takes the answer to a question, in its row; or the way to the form that does. */
export function AnswerField({ ask, show }: { ask: Ask; show: (dialog: DialogName) => void }) {
  const input = inputOf(ask.target)
  if (input.kind === 'number')
    return (
      <QuantityField
        label={ask.label}
        dimension={input.dimension}
        value={undefined}
        onValue={(value, typed) => take(ask, { kind: 'number', value, typed })}
      />
    )
  if (input.kind === 'choice')
    return (
      <Choice
        label={ask.label}
        value=""
        options={[['', 'Not known yet'], ...input.options]}
        onChange={(value) => {
          if (value !== '') take(ask, { kind: 'choice', value })
        }}
      />
    )
  return 'open' in ask.target ? <AnswerWay target={ask.target} words={input.words} show={show} /> : null
}
