'use client'
import { Section } from '@/ui/kit/section'
import { EVENT_BY_HAND_FIELD } from '@/core/api/fields'
import { type EventByHand, eventByHandSchema, eventOfHand } from '@/core/api/fit'
import type { Rack } from '@/core/api/plan'
import { useMemo, useState } from 'react'
import { SheetPanel } from '@/ui/forms/sheet-dialog'
import { useLog } from '@/ui/state/log-store'

/** A new entry by hand: found, lost, replaced, taken off, put on again, checked, or a date to keep. */
export function AddEvent({ vehicleId, racks }: { vehicleId: string; racks: readonly Rack[] }) {
  const add = useLog((store) => store.add)
  const [last, setLast] = useState<{ readonly kind: EventByHand['kind']; readonly count: number }>({
    kind: 'checked',
    count: 0,
  })
  const start = useMemo(() => EVENT_BY_HAND_FIELD.start?.(last.kind), [last.kind])
  return (
    <Section level={3} id="log-new" title="New entry">
      <SheetPanel<EventByHand>
        key={last.count}
        draft={`event ${vehicleId}`}
        field={EVENT_BY_HAND_FIELD}
        schema={eventByHandSchema}
        start={start}
        around={{ racks: racks.map(({ id, name }) => [id, name] as const) }}
        word="Add to the log"
        save={(hand) => {
          const event = eventOfHand(hand, racks)
          if (!event) return 'This rack is not in the plan any more. Choose another.'
          void add({ vehicleId }, [event])
          setLast(({ count }) => ({ kind: hand.kind, count: count + 1 }))
          return undefined
        }}
        onSaved={() => undefined}
      />
    </Section>
  )
}
