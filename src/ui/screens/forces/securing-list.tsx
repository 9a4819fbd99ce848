'use client'
import { Note } from '@/ui/kit/field-note'
import { type Survey, type TieDown, UNLABELLED_WEBBING_KG } from '@/core/api/assess'
import { Quantity } from '@/ui/figures/quantity'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'

function Planned({ tie }: { tie: TieDown }) {
  if (tie.planned === 0) return <>none yet</>
  return (
    <>
      {tie.planned}
      {tie.plannedEachKg === undefined ? (
        ', no figure read'
      ) : (
        <>
          {' '}
          of <Quantity dimension="mass" value={tie.plannedEachKg} />
        </>
      )}
    </>
  )
}

/** The list of straps and lines to hand over. */
export function SecuringList({ survey }: { survey: Survey }) {
  const ties = survey.motion.tieDowns()
  const noses = survey.motion.noseUps()
  return (
    <Panel
      title="Tie-downs to hand over"
      note="By 49 CFR 393.106 and 393.110 and EN 12195-1, from memory; the larger number counts. Over the load and back to the other side. Check your local rules and the straps' own labels."
    >
      {ties.length === 0 ? (
        <p>Nothing on this plan is held by straps alone.</p>
      ) : (
        <DataTableDisclosure
          open
          title="Straps"
          head={['Thing', 'Mass', 'Straps wanted', 'Each at least', 'By length / by friction', 'On the plan']}
          rows={ties.map((tie) => [
            tie.thing.gear.name,
            <Quantity key="kg" dimension="mass" value={tie.kg} />,
            tie.wanted,
            <Quantity key="each" dimension="mass" value={tie.eachKg} />,
            `${tie.byLength} / ${tie.byFriction}`,
            <Planned key="planned" tie={tie} />,
          ])}
        />
      )}
      {ties.length > 0 && (
        <Note>
          Webbing without a label counts, by 49 CFR 393.108 from memory:{' '}
          {UNLABELLED_WEBBING_KG.map(([inches, kg], i) => (
            <span key={inches}>
              {i > 0 ? ', ' : ''}
              <Quantity dimension="length" value={inches * 25.4} /> wide{' '}
              <Quantity dimension="mass" value={kg} />
            </span>
          ))}
          . A strap that ends on its own side counts half.
        </Note>
      )}
      {noses.length > 0 && (
        <DataTableDisclosure
          open
          title="Bow and stern lines"
          head={[
            'Long load',
            'Ahead of its front bar',
            'Lifts its nose, rough',
            'Held by its weight',
            'Bow line',
            'Stern line',
          ]}
          rows={noses.map(({ thing, aheadMm, upNm, holdsNm }) => [
            thing.gear.name,
            <Quantity key="ahead" dimension="length" value={aheadMm} />,
            <Quantity key="up" dimension="torque" value={upNm} />,
            <Quantity key="holds" dimension="torque" value={holdsNm} />,
            thing.placement.lines?.bow ? 'planned' : upNm > holdsNm ? 'wanted' : 'good practice',
            thing.placement.lines?.stern ? 'planned' : 'good practice',
          ])}
        />
      )}
    </Panel>
  )
}
