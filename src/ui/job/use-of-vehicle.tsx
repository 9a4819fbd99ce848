'use client'
import { Button } from '@/ui/kit/button'
import type { Occupant, Plan, Use } from '@/core/api/plan'
import { Choice, TextField } from '@/ui/kit/choice'
import { QuantityField } from '@/ui/figures/quantity-field'
import { basisChoices, typedMass } from '@/ui/forms/load-field'
import { Modal } from '@/ui/kit/modal'
import { refused, planStore } from '@/ui/state/plan-store'

/** How the vehicle will be used: speeds, snow, and who sits inside. */
export function UseOfVehicle({ plan, onClose }: { plan: Plan; onClose: () => void }) {
  const { use } = plan
  const set = (patch: Partial<Use>) =>
    refused(planStore.getState().run({ do: 'setUse', use: { ...use, ...patch } }))
  const withOccupant = (next: Occupant) =>
    set({ occupants: use.occupants.map((each) => (each.id === next.id ? next : each)) })
  return (
    <Modal title="How it is used" onClose={onClose}>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="Speed on the road"
          dimension="speed"
          value={use.roadKmH}
          onValue={(roadKmH) => set({ roadKmH })}
        />
        <QuantityField
          label="Speed on the trail"
          dimension="speed"
          value={use.trailKmH}
          onValue={(trailKmH) => set({ trailKmH })}
        />
        <QuantityField
          label="Slope on the trail, up or down"
          dimension="angle"
          value={use.trailPitchDeg}
          onValue={(trailPitchDeg) => set({ trailPitchDeg })}
        />
        <QuantityField
          label="Side slope on the trail"
          dimension="angle"
          value={use.trailRollDeg}
          onValue={(trailRollDeg) => set({ trailRollDeg })}
        />
        <QuantityField
          label="Snow when parked"
          dimension="areaDensity"
          value={use.snowKgPerM2}
          onValue={(snowKgPerM2) => set({ snowKgPerM2 })}
        />
      </div>
      <h3 className="mt-4 mb-1">Inside, counted against the payload</h3>
      <ul className="grid gap-2">
        {use.occupants.map((occupant) => (
          <li key={occupant.id} className="flex flex-wrap items-end gap-2">
            <TextField
              className="w-28"
              label={`Name of ${occupant.name}`}
              value={occupant.name}
              onValue={(name) => {
                if (name.trim() !== '') withOccupant({ ...occupant, name: name.trim() })
              }}
            />
            <QuantityField
              className="w-28"
              label={occupant.name}
              dimension="mass"
              value={occupant.mass.kg}
              typed={occupant.mass.typed?.['kg']}
              onValue={(kg, typed) =>
                withOccupant({ ...occupant, mass: typedMass(occupant.mass, kg, typed) })
              }
            />
            <Choice
              className="w-36"
              label={`${occupant.name}: known by`}
              value={occupant.mass.basis}
              options={basisChoices(occupant.mass.basis)}
              onChange={(basis) => withOccupant({ ...occupant, mass: { ...occupant.mass, basis } })}
            />
            <Button
              aria-label={`Remove ${occupant.name}`}
              onClick={() => set({ occupants: use.occupants.filter((each) => each !== occupant) })}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex gap-2">
        {(['Passenger', 'Luggage inside'] as const).map((name) => (
          <Button
            key={name}

            onClick={() => {
              set({
                occupants: [
                  ...use.occupants,
                  {
                    id: `inside-${crypto.randomUUID().slice(0, 8)}`,
                    name,
                    mass: { kg: name === 'Passenger' ? 75 : 30, basis: 'guess' },
                  },
                ],
              })
            }}
          >
            Add {name}
          </Button>
        ))}
      </div>
    </Modal>
  )
}
