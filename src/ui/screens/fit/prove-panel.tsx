'use client'
import { Button } from '@/ui/kit/button'
import { askedOf, type BayProgress, type ProofOutcome, type Step } from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import { logFor } from '@/ui/state/log-store'
import { Quantity } from '@/ui/figures/quantity'

const HOW: readonly (readonly [ProofOutcome, string])[] = [
  ['good', 'Good'],
  ['notGood', 'Not good'],
]
const DRIVEN: readonly (readonly [ProofOutcome, string])[] = [...HOW, ['notDriven', 'Not driven']]

/** How a proof went: a press, or one for each case of a drive. */
export function ProvePanel({ plan, step, progress }: { plan: Plan; step: Step; progress: BayProgress }) {
  if (step.task.kind !== 'prove') return null
  const { item } = step.task
  const open = askedOf(item).filter(({ id }) => !progress.proved.has(id))
  const say = (id: string, what: string, outcome: ProofOutcome) =>
    logFor(plan, { kind: 'proved', item: id, what, outcome })
  return (
    <>
      {item.kmH !== undefined && (
        <p className="mb-2">
          At <Quantity dimension="speed" value={item.kmH} />
        </p>
      )}
      {askedOf(item).map(({ id, name }) => {
        const what = item.cases ? `${item.title}: ${name}` : item.title
        return (
          <div key={id} className="mb-3">
            {item.cases && <p className="font-semibold">{name}</p>}
            <div
              className={item.cases ? 'grid grid-cols-3 gap-1.5' : 'grid gap-2'}
              role="group"
              aria-label={item.cases ? `How it went: ${name}` : 'How it went'}
            >
              {(item.cases ? DRIVEN : HOW).map(([outcome, words]) => (
                <Button
                  key={outcome}
                  className={`min-h-14! ${item.cases ? 'text-body!' : 'text-head!'}`}
                  pressed={progress.proved.get(id) === outcome}
                  onClick={() => say(id, what, outcome)}
                >
                  {words}
                </Button>
              ))}
            </div>
          </div>
        )
      })}
      {item.cases && open.length > 0 && open.length < item.cases.length && (
        <Button
          className="min-h-12!"
          onClick={() => {
            for (const { id, name } of open) say(id, `${item.title}: ${name}`, 'notDriven')
          }}
        >
          The rest was not driven
        </Button>
      )}
    </>
  )
}
