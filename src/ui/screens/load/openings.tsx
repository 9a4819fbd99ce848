'use client'
import { Button } from '@/ui/kit/button'
import type { Survey } from '@/core/api/assess'
import { useOpening, openingStore } from '@/ui/state/opening-store'

/** Everything on this plan that opens, by id and name. */
function opensOn({ plan, things }: Survey): readonly { readonly id: string; readonly name: string }[] {
  const parts = plan.vehicle.obstacles.filter(
    ({ kind }) => kind === 'hatch' || kind === 'tailgate' || kind === 'sunroof',
  )
  return [
    ...parts.map(({ id, name }) => ({ id, name })),
    ...things
      .filter(({ gear }) => gear.opens)
      .map(({ placement, gear }) => ({ id: placement.id, name: gear.name })),
  ]
}

/** Buttons that draw a hatch, a tailgate, a sunroof or a tent opening. */
export function Openings({ survey }: { survey: Survey }) {
  const opening = useOpening((store) => store.opening)
  const { toggle } = openingStore.getState()
  const parts = opensOn(survey)
  if (parts.length === 0) return null
  return (
    <div className="flex flex-wrap" role="group" aria-label="Draw it opening">
      {parts.map(({ id, name }) => (
        <Button
          variant="quiet"
          key={id}

          pressed={opening === id}
          onClick={() => toggle(id)}
        >
          Open {name}
        </Button>
      ))}
    </div>
  )
}
