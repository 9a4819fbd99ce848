'use client'
import { formatNumber } from '@/core/api/plan'
import type { Survey } from '@/core/api/assess'
import { Quantity } from '@/ui/figures/quantity'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'

/** Drag and uplift of everything in the open, and what the drag costs. */
export function WindForces({ survey }: { survey: Survey }) {
  const wind = survey.motion.wind()
  const { fuelPer100Km: fuel } = wind
  return (
    <Panel
      title="Wind of driving"
      note="Drag by shape after Hoerner, from memory. Uplift is a rough bracket. The shelter that one thing gives another is not subtracted."
    >
      <p className="text-head">
        <strong>
          <Quantity dimension="force" value={wind.dragN} />
        </strong>{' '}
        more drag at <Quantity dimension="speed" value={wind.kmH} />:{' '}
        <Quantity dimension="energy" value={wind.kWhPer100Km} /> on the road for 100 km
        {fuel ? (
          <>
            , about{' '}
            <strong>
              <Quantity dimension={fuel.unit === 'L' ? 'volume' : 'energy'} value={fuel.amount} />
            </strong>{' '}
            {fuel.unit === 'L' ? 'of fuel' : 'from the battery'}
          </>
        ) : survey.plan.vehicle.drive === undefined ? (
          '. Say what drives the vehicle to see it in fuel'
        ) : (
          '. Say how much of its energy reaches the road to see it in fuel'
        )}
        .
      </p>
      <DataTableDisclosure
        title="Item by item"
        head={['Item', 'Taken as', 'C_d', 'Front area', 'Drag', 'Uplift, rough']}
        rows={wind.items.map(({ name, shape, cd, areaM2, dragN, liftN }) => [
          name,
          shape,
          cd === undefined ? '' : cd.toFixed(2),
          `${formatNumber(areaM2, 3)} m²`,
          <Quantity key="drag" dimension="force" value={dragN} />,
          <span key="lift">
            {liftN.to > 0 ? (
              <>
                up to <Quantity dimension="force" value={liftN.to} />
              </>
            ) : (
              'none taken'
            )}
          </span>,
        ])}
      />
    </Panel>
  )
}
