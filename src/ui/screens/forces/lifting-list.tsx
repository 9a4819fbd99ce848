'use client'
import { formatQuantity } from '@/core/api/plan'
import type { Lift, Survey } from '@/core/api/assess'
import { Quantity } from '@/ui/figures/quantity'
import { useUnits } from '@/ui/state/settings-store'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'

function Advice({ lift: { advice, pieces } }: { lift: Lift }) {
  const units = useUnits()
  const many = pieces > 1 ? `in ${pieces} pieces, ` : ''
  switch (advice.by) {
    case 'one':
      return <>{many}one person</>
    case 'two':
      return <>{many}two people</>
    case 'stepTwo':
      return (
        <>
          {many}two people on a step of {formatQuantity('length', advice.stepMm, units)}
        </>
      )
    case 'platform':
      return <>{many}from a platform, or a loader</>
    case 'loader':
      return <strong>a loader, a hoist or more hands</strong>
  }
}

/** Who lifts what, from the ground to where it sits. */
export function LiftingList({ survey }: { survey: Survey }) {
  const lifts = survey.motion.lifts()
  const limit = (kg: number) => (kg > 0 ? <Quantity dimension="mass" value={kg} /> : 'out of reach')
  return (
    <Panel
      title="Lifting it up"
      note="Revised lifting equation, NIOSH 94-110, from memory: now and then, straight, fair grip, hands to 175 cm. It does not cover ladders. Boxes go up empty first."
    >
      {lifts.length === 0 ? (
        <p>Nothing is lifted onto this vehicle.</p>
      ) : (
        <DataTableDisclosure
          open
          title="Lift by lift"
          head={['What', 'Mass', 'Up to', 'One may lift there', 'Each of two', 'Who']}
          rows={lifts.map((lift) => [
            lift.name,
            <Quantity key="kg" dimension="mass" value={lift.kg} />,
            <Quantity key="to" dimension="length" value={lift.toMm} />,
            limit(Math.min(lift.oneKg.ground, lift.oneKg.up)),
            limit(Math.min(lift.twoKg.ground, lift.twoKg.up)),
            <Advice key="who" lift={lift} />,
          ])}
        />
      )}
    </Panel>
  )
}
