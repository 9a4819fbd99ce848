'use client'
import { percentText } from '@/core/api/plan'
import { STATE_WORD, type Survey } from '@/core/api/assess'
import { Quantity } from '@/ui/figures/quantity'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'

/** Where each rack's load stands over its feet. */
export function EvennessList({ survey }: { survey: Survey }) {
  const rows = survey.statics.evenness()
  const slept = survey.motion.sleepers()
  return (
    <Panel
      title="Evenness"
      note="Centre of gravity of the load on each rack, against the middle of its feet."
    >
      <DataTableDisclosure
        open
        title="Front and rear, left and right"
        head={['Rack', 'State', 'Carries', 'Front / rear', 'Left / right', 'Off the middle']}
        rows={rows.map(({ rack, state, kg, frontShare, leftShare, centre, middle }) => [
          rack.rack.name,
          STATE_WORD[state],
          <Quantity key="kg" dimension="mass" value={kg} />,
          `${percentText(frontShare)} / ${percentText(1 - frontShare)}`,
          `${percentText(leftShare)} / ${percentText(1 - leftShare)}`,
          <Quantity
            key="off"
            dimension="length"
            value={Math.hypot(centre.xMm - middle.xMm, centre.yMm - middle.yMm)}
          />,
        ])}
      />
      {slept.length > 0 && (
        <DataTableDisclosure
          open
          title="Feet parked, wherever people lie"
          head={['Foot', 'As placed', 'Least', 'Most']}
          rows={slept.map(({ footIndex, asPlacedKg, leastKg, mostKg }) => [
            `${survey.feet[footIndex]?.corner ?? ''}, ${survey.racks[survey.feet[footIndex]?.rackIndex ?? 0]?.rack.name ?? ''}`,
            <Quantity key="now" dimension="mass" value={asPlacedKg} />,
            <Quantity key="least" dimension="mass" value={leastKg} />,
            <Quantity key="most" dimension="mass" value={mostKg} />,
          ])}
        />
      )}
    </Panel>
  )
}
