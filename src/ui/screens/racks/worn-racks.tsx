'use client'
import { choicesOf, type Plan, WHENS } from '@/core/api/plan'
import { Button, ButtonLink } from '@/ui/kit/button'
import { Choice } from '@/ui/kit/choice'
import { StatusChoice } from '@/ui/forms/status-choice'
import { to } from '@/ui/routes'
import { planStore } from '@/ui/state/plan-store'
import { BarLengthPanel } from './bar-length-panel'
import { RackInStock } from './rack-in-stock'

/** The racks this vehicle wears: change one, take one off, say whether it is on already. */
export function WornRacks({ plan }: { plan: Plan }) {
  const { run } = planStore.getState()
  return (
    <ul className="grid gap-2">
      {plan.racks.map((rack) => (
        <li
          key={rack.id}
          className="border-hair border-b-1 flex flex-wrap items-end gap-2 pb-2 last:border-b-0"
        >
          <span className="w-full font-semibold">{rack.name}</span>
          <StatusChoice
            status={rack.status}
            name={rack.name}
            onChange={(status) => run({ do: 'setStatus', of: 'rack', id: rack.id, status })}
          />
          {rack.kind === 'ladder' && (
            <Choice
              className="w-36"
              label={`${rack.name}: on board`}
              value={rack.when}
              options={choicesOf(WHENS, ({ word }) => word)}
              onChange={(when) => run({ do: 'setRack', rack: { ...rack, when } })}
            />
          )}
          <ButtonLink href={to('rackForm', { job: plan.id, rack: rack.id })}>Change</ButtonLink>
          <Button
            aria-label={`Take off ${rack.name}`}
            onClick={() => run({ do: 'removeRack', rackId: rack.id })}
          >
            Take off
          </Button>
          {rack.kind !== 'ladder' && <BarLengthPanel plan={plan} rackId={rack.id} />}
          <RackInStock rack={rack} />
        </li>
      ))}
      {plan.racks.length === 0 && <li>No rack on this vehicle yet.</li>}
      {plan.placements
        .filter(({ status }) => status === 'comesOff')
        .map(({ id, gearId, status }) => {
          const name = plan.gear.find((gear) => gear.id === gearId)?.name ?? id
          return (
            <li
              key={id}
              className="border-hair border-b-1 flex flex-wrap items-end gap-2 pb-2 last:border-b-0"
            >
              <span className="w-full">{name}</span>
              <StatusChoice
                status={status}
                name={name}
                onChange={(next) => run({ do: 'setStatus', of: 'placement', id, status: next })}
              />
            </li>
          )
        })}
    </ul>
  )
}
