'use client'
import { Button, ButtonLink } from '@/ui/kit/button'
import { to } from '@/ui/routes'
import { choicesOf, type Plan, type Rack, WHENS } from '@/core'
import { Choice } from '@/ui/kit/choice'
import { StatusChoice } from './status-choice'
import { Modal } from '@/ui/kit/modal'
import { useStock } from '@/ui/state/stock'
import { usePlan } from '@/ui/state/plan-store'

/** A rack from stock, made to stand on this vehicle: on the attachment it was made for, else on the first of that kind. */
function attachmentFor(plan: Plan, rack: Rack, made: string | undefined): string | undefined {
  const { attachments } = plan.vehicle
  return (
    attachments.find(({ id }) => id === rack.attachmentId)?.id ??
    attachments.find(({ kind }) => kind === made)?.id
  )
}

/** Parts and bars of a rack get ids of their own, so that the same rack can stand on a plan twice. */
function withOwnIds(rack: Rack, attachmentId: string): Rack {
  const mark = crypto.randomUUID().slice(0, 6)
  const parts = rack.parts.map((part) => ({ ...part, id: `${part.id}-${mark}` }))
  const common = { id: `${rack.id}-${mark}`, attachmentId, parts }
  return rack.kind === 'ladder'
    ? { ...rack, ...common }
    : { ...rack, ...common, bars: rack.bars.map((bar) => ({ ...bar, id: `${bar.id}-${mark}` })) }
}

/** The racks this vehicle wears: take one off, change one, put another on. */
export function RacksDialog({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const { run } = usePlan.getState()
  const { vehicles, racks } = useStock()
  const kindOf = (rack: Rack) =>
    vehicles.flatMap((vehicle) => vehicle.attachments).find(({ id }) => id === rack.attachmentId)?.kind
  const offers = racks.flatMap((rack) => {
    const attachmentId = attachmentFor(plan, rack, kindOf(rack))
    return attachmentId === undefined ? [] : [{ rack, attachmentId }]
  })
  return (
    <Modal title="Racks on this vehicle" onClose={onClose}>
      <ul className="grid gap-2">
        {plan.racks.map((rack) => (
          <li key={rack.id} className="border-hair border-b flex flex-wrap items-end gap-2 pb-2">
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
            <ButtonLink href={to('rack', { job: plan.id, rack: rack.id })}>Change</ButtonLink>
            <Button
              aria-label={`Take off ${rack.name}`}
              onClick={() => run({ do: 'removeRack', rackId: rack.id })}
            >
              Take off
            </Button>
          </li>
        ))}
        {plan.racks.length === 0 && <li>The vehicle wears no rack yet.</li>}
        {plan.placements
          .filter(({ status }) => status === 'comesOff')
          .map(({ id, gearId, status }) => {
            const name = plan.gear.find((gear) => gear.id === gearId)?.name ?? id
            return (
              <li key={id} className="border-hair border-b flex flex-wrap items-end gap-2 pb-2">
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
      <h3 className="mt-4 mb-1">Put one on</h3>
      {offers.length === 0 && <p>No rack in stock stands on what this vehicle offers.</p>}
      <ul className="grid gap-1">
        {offers.map(({ rack, attachmentId }) => (
          <li key={rack.id}>
            <Button
              className="w-full justify-start"
              onClick={() => run({ do: 'addRack', rack: withOwnIds(rack, attachmentId) })}
            >
              {rack.name}
            </Button>
          </li>
        ))}
      </ul>
      <p className="mt-3">
        <ButtonLink href={to('rack', { job: plan.id })}>Enter your own rack</ButtonLink>
      </p>
    </Modal>
  )
}
