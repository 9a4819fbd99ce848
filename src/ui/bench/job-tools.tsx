'use client'
import Link from 'next/link'
import type { Plan } from '@/core/plan/plan'
import type { DialogName } from './bench-actions'

const TOOLS: readonly (readonly [DialogName, string])[] = [
  ['racks', 'Racks'],
  ['clearances', 'Doors and garages'],
  ['use', 'How it is used'],
  ['rules', 'House rules'],
  ['job', 'Job details'],
  ['settings', 'Units and theme'],
  ['keys', 'Keys'],
  ['delete', 'Delete this job'],
]

/** What belongs to the job rather than to one thing in the drawing. */
export function JobTools({ plan, show }: { plan: Plan; show: (dialog: DialogName) => void }) {
  return (
    <section aria-label="This job" className="border-base-content border-t-[1.5px] px-3 py-3">
      <h2 className="mb-2 text-[15px]">This job</h2>
      <div className="flex flex-wrap gap-1.5">
        <Link className="plain" href={`/vehicle?job=${plan.id}`}>
          Vehicle
        </Link>
        {TOOLS.map(([dialog, words]) => (
          <button
            key={dialog}
            type="button"
            className="plain"
            onClick={() => {
              show(dialog)
            }}
          >
            {words}
          </button>
        ))}
      </div>
    </section>
  )
}
