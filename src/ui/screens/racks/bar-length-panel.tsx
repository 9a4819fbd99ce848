'use client'
import { Fold } from '@/ui/kit/fold'
import { barLengthOffers, type BarLengthOffer, STATE_WORD } from '@/core/api/assess'
import { type Plan, STATES } from '@/core/api/plan'
import { useState } from 'react'
import { Button } from '@/ui/kit/button'
import { PhraseLine, Quantity } from '@/ui/figures/quantity'
import { SeverityTag } from '@/ui/figures/severity-tag'
import { Table } from '@/ui/kit/table'
import { planStore } from '@/ui/state/plan-store'
import { useStock } from '@/ui/state/stock'

function Row({ offer }: { offer: BarLengthOffer }) {
  const { stockId, name, rack, lengthMm, usableMm, pastFootMm, widestMm, states, against } = offer
  return (
    <tr>
      <th scope="row">
        {name}
        {offer.otherProfile && (
          <span className="text-ink2 block font-normal">
            another profile: see that feet and mounts take it
          </span>
        )}
      </th>
      <td data-label="Length">
        <Quantity dimension="length" value={lengthMm} />
      </td>
      <td data-label="Usable">
        <Quantity dimension="length" value={usableMm} />
      </td>
      <td data-label="Past the foot">
        {pastFootMm < 0 ? 'ends before it' : <Quantity dimension="length" value={pastFootMm} />}
      </td>
      <td data-label="Widest thing that fits">
        {widestMm !== undefined && <Quantity dimension="length" value={Math.max(0, widestMm)} />}
      </td>
      {STATES.map((state) => (
        <td key={state} data-label={STATE_WORD[state]}>
          <SeverityTag severity={states[state]} />
        </td>
      ))}
      <td className="min-w-56">{against && <PhraseLine phrase={against} />}</td>
      <td>
        {stockId !== undefined && (
          <Button
            aria-label={`Take ${name} for ${rack.name}`}
            onClick={() => planStore.getState().run({ do: 'setRack', rack })}
          >
            Take these
          </Button>
        )}
      </td>
    </tr>
  )
}

function Lengths({ plan, rackId }: { plan: Plan; rackId: string }) {
  const { bars } = useStock()
  const offers = barLengthOffers(plan, rackId, bars)
  return (
    <div className="overflow-x-auto">
      <Table cards aria-label="Lengths of its bars beside each other">
        <thead>
          <tr>
            {['Bars', 'Length', 'Usable', 'Past the foot', 'Widest thing that fits'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
            {STATES.map((state) => (
              <th key={state} scope="col">
                {STATE_WORD[state]}
              </th>
            ))}
            <th scope="col">New problems</th>
            <th scope="col">
              <span className="sr-only">Take them</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {offers.map((offer) => (
            <Row key={offer.stockId ?? ''} offer={offer} />
          ))}
        </tbody>
      </Table>
    </div>
  )
}

/** The bars of a rack in the lengths that stock has, judged beside each other with all that stands on them, when asked for. */
export function BarLengthPanel({ plan, rackId }: { plan: Plan; rackId: string }) {
  const count = useStock().bars.length
  const [open, setOpen] = useState(false)
  if (count === 0) return null
  return (
    <Fold
      around="w-full"
      className="min-h-11 cursor-pointer py-2 font-semibold"
      line={<>Its bars in other lengths: {count} in stock</>}
      open={open}
      onOpen={setOpen}
    >
      {() => <Lengths plan={plan} rackId={rackId} />}
    </Fold>
  )
}
