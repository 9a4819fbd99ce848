'use client'
import type { BayProgress, Step } from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import { Choice } from '@/ui/kit/choice'
import { logFor } from '@/ui/state/log-store'

/** Which marked piece is at which place: one that is wrong is chosen here, before the large key confirms the rest by name. */
export function MarksPanel({ plan, step, progress }: { plan: Plan; step: Step; progress: BayProgress }) {
  if (step.task.kind !== 'marks') return null
  const { asks } = step.task
  return (
    <ul>
      {asks.map(({ id, at, what, mark, marks, arrow }) => {
        const seen = progress.marks.get(id)
        return (
          <li key={id} className="border-hair flex flex-wrap items-end gap-3 border-b-1 py-2">
            <span className="flex-1">
              <strong>{at}</strong>: {what}
              {mark === arrow ? '' : ` marked ${mark}`}
              {arrow === undefined ? '' : `, ${arrow}`}
              <span className="text-ink2 block text-aside">
                {seen === undefined ? 'not seen yet' : seen === mark ? `seen: ${seen}` : `wrong: ${seen}`}
              </span>
            </span>
            <Choice
              className="min-w-40"
              label={`Mark seen at ${at}, ${what}`}
              value={seen ?? ''}
              options={[['', 'not seen'], ...marks.map((each) => [each, each] as const)]}
              onChange={(next) => {
                if (next !== '')
                  logFor(plan, {
                    kind: 'marksSeen',
                    stepId: step.id,
                    title: step.title,
                    places: [{ id, at, what, mark: next }],
                  })
              }}
            />
          </li>
        )
      })}
    </ul>
  )
}
