'use client'
import type { JobChoices } from '@/core/api/files'
import { choicesOf, GEAR_KINDS } from '@/core/api/plan'
import { Button } from '@/ui/kit/button'
import { Choice } from '@/ui/kit/choice'

type Things = JobChoices['things']
const MOST = 9
const COUNTS = Array.from({ length: MOST }, (_, i) => [String(i + 1), String(i + 1)] as const)
const KINDS = choicesOf(GEAR_KINDS, ({ many }) => many)

/** What goes on the rack: the kinds, and how many of each. */
export function ThingsChoice({ things, onThings }: { things: Things; onThings: (things: Things) => void }) {
  const free = KINDS.filter(([kind]) => things.every((thing) => thing.kind !== kind))
  return (
    <div className="flex flex-wrap items-end gap-3">
      {things.map(({ kind, count }) => (
        <div key={kind} className="flex items-end gap-1">
          <Choice
            className="w-24"
            label={GEAR_KINDS[kind].many}
            value={String(count)}
            options={COUNTS}
            onChange={(next) =>
              onThings(things.map((thing) => (thing.kind === kind ? { kind, count: Number(next) } : thing)))
            }
          />
          <Button
            variant="word"
            aria-label={`Remove ${GEAR_KINDS[kind].many}`}
            onClick={() => onThings(things.filter((thing) => thing.kind !== kind))}
          >
            Remove
          </Button>
        </div>
      ))}
      <Choice
        className="w-44"
        label="Add gear"
        value=""
        unstated="Choose"
        options={free}
        onChange={(kind) => onThings([...things, { kind, count: 1 }])}
      />
    </div>
  )
}
