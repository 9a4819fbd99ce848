'use client'
import { Button } from '@/ui/kit/button'
import type { Clearance, Plan } from '@/core/api/plan'
import { useState } from 'react'
import { TextField } from '@/ui/kit/choice'
import { QuantityField } from '@/ui/figures/quantity-field'
import { Modal } from '@/ui/kit/modal'
import { refused, planStore } from '@/ui/state/plan-store'

function Row({ clearance }: { clearance: Clearance }) {
  const { run } = planStore.getState()
  return (
    <li className="flex flex-wrap items-end gap-2">
      <div className="min-w-40 flex-1">
        <TextField
          label="Name"
          value={clearance.name}
          onValue={(name) => run({ do: 'setClearance', clearance: { ...clearance, name } })}
        />
      </div>
      <QuantityField
        className="w-36"
        label="Height"
        dimension="length"
        value={clearance.heightMm}
        typed={clearance.typed?.['heightMm']}
        onValue={(heightMm, typed) =>
          refused(
            run({ do: 'setClearance', clearance: { ...clearance, heightMm, typed: { heightMm: typed } } }),
          )
        }
      />
      <Button
        aria-label={`Remove ${clearance.name}`}
        onClick={() => run({ do: 'removeClearance', clearanceId: clearance.id })}
      >
        Remove
      </Button>
    </li>
  )
}

/** The doors, garages and car parks this vehicle must pass. */
export function Clearances({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const [name, setName] = useState('')
  return (
    <Modal title="Doors and garages to pass" onClose={onClose}>
      <ul className="grid gap-2">
        {plan.clearances.map((clearance) => (
          <Row key={clearance.id} clearance={clearance} />
        ))}
        {plan.clearances.length === 0 && <li>None yet. Add the lowest one the vehicle passes every day.</li>}
      </ul>
      <h3 className="mt-4">Another one</h3>
      <div className="flex flex-wrap items-end gap-2">
        <div className="min-w-40 flex-1">
          <TextField label="Its name" value={name} onValue={setName} />
        </div>
        <QuantityField
          className="w-36"
          label="Its height"
          dimension="length"
          value={undefined}
          hint="Enter adds it."
          onValue={(heightMm, typed) => {
            const added = planStore.getState().run({
              do: 'setClearance',
              clearance: {
                id: `clearance-${crypto.randomUUID().slice(0, 8)}`,
                name: name.trim() === '' ? 'Garage' : name,
                heightMm,
                typed: { heightMm: typed },
              },
            })
            if (added) setName('')
            return refused(added)
          }}
        />
      </div>
    </Modal>
  )
}
