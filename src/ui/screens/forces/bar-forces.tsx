'use client'
import {
  type BarLoads,
  barLoads,
  LIFTED_KG,
  type LoadedBar,
  STATE_WORD,
  type Survey,
} from '@/core/api/assess'
import { formatQuantity, STANDARD_GRAVITY, type State, STATES } from '@/core/api/plan'
import { useState } from 'react'
import { Choice } from '@/ui/kit/choice'
import { Quantity } from '@/ui/figures/quantity'
import { useUnits } from '@/ui/state/settings-store'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'
import { WhatLands } from './what-lands'

const WIDTH = 560
const EDGE = 34
const STEPS = 120

/** One bar from behind: its feet and what they push back, its bending moment below, and how it bends. */
function BarPicture({ loaded, loads }: { loaded: LoadedBar; loads: BarLoads }) {
  const units = useUnits()
  const { beam, at, deflectionMm, lowest, moment } = loaded
  const span = beam.toMm - beam.fromMm
  const px = (y: number) => EDGE + ((y - beam.fromMm) / span) * (WIDTH - 2 * EDGE)
  const places = Array.from({ length: STEPS + 1 }, (_, i) => beam.fromMm + (span * i) / STEPS)
  const largest = Math.max(1e-9, Math.abs(beam.largestMoment.value))
  const down = Math.max(1e-9, ...places.map((y) => Math.abs(deflectionMm?.(y) ?? 0)))
  const curve = (of: (y: number) => number) =>
    places.map((y, i) => `${i === 0 ? 'M' : 'L'} ${px(y).toFixed(1)} ${of(y).toFixed(1)}`).join(' ')
  const momentY = (y: number) => 92 + (beam.momentAt(y) / largest) * 26
  const bendY = (y: number) => 158 + ((deflectionMm?.(y) ?? 0) / down) * 22
  const kg = (value: number) => formatQuantity('mass', value, units)
  const spoken = [
    `${at.bar.name} carries ${kg(loaded.carriesKg)}`,
    ...beam.reactions.map((each, i) => `foot ${i + 1} ${each < 0 ? 'lifts' : 'bears'} ${kg(Math.abs(each))}`),
    `largest bending moment ${formatQuantity('torque', Math.abs(moment.nm), units)}`,
    lowest
      ? `it bends down ${formatQuantity('length', lowest.downMm, units)} at most`
      : 'its section is not known',
  ].join('; ')
  return (
    <figure className="mt-2">
      <figcaption className="font-semibold">
        {at.bar.name}, {at.rack.name}
        <span className="text-ink2 font-normal">
          {' '}
          · <Quantity dimension="mass" value={loads.loadKg} /> of the load,{' '}
          <Quantity dimension="mass" value={loads.withRackKg} /> with the rack’s own
        </span>
      </figcaption>
      <svg viewBox={`0 0 ${WIDTH} 196`} className="w-full max-w-[640px]" role="img" aria-label={spoken}>
        <path d={`M ${px(beam.fromMm)} 34 H ${px(beam.toMm)}`} className="beam-bar" />
        {beam.supports.map((y, i) => {
          const force = beam.reactions[i] ?? 0
          const lifts = force < -LIFTED_KG
          return (
            <g key={y}>
              <path
                d={
                  lifts
                    ? `M ${px(y)} 40 V 58 M ${px(y) - 4} 53 L ${px(y)} 58 L ${px(y) + 4} 53`
                    : `M ${px(y)} 58 V 40 M ${px(y) - 4} 45 L ${px(y)} 40 L ${px(y) + 4} 45`
                }
                className={lifts ? 'force force-up' : 'force'}
              />
              <text
                x={px(y)}
                y={16}
                textAnchor="middle"
                className={`chart-text ${lifts ? 'sheet-stop' : ''}`}
              >
                {lifts ? `lifts ${kg(-force)}` : kg(force)}
              </text>
            </g>
          )
        })}
        <path d={`M ${EDGE} 92 H ${WIDTH - EDGE}`} className="beam-axis" />
        <path
          d={`${curve(momentY)} L ${px(beam.toMm)} 92 L ${px(beam.fromMm)} 92 Z`}
          className="beam-moment"
        />
        <text x={EDGE} y={79} className="chart-text">
          bending
        </text>
        <text
          x={px(moment.atMm)}
          y={momentY(moment.atMm) + (moment.nm >= 0 ? 15 : -6)}
          textAnchor="middle"
          className="chart-text"
        >
          {formatQuantity('torque', Math.abs(moment.nm), units)}
        </text>
        <path d={`M ${EDGE} 158 H ${WIDTH - EDGE}`} className="beam-axis" />
        {deflectionMm ? (
          <>
            <path d={curve(bendY)} className="beam-bent" />
            <text x={EDGE} y={148} className="chart-text">
              how it bends
            </text>
            {lowest && (
              <text x={px(lowest.yMm)} y={194} textAnchor="middle" className="chart-text">
                {formatQuantity('length', lowest.downMm, units)} down
              </text>
            )}
          </>
        ) : (
          <text x={EDGE} y={150} className="chart-text">
            how it bends is not known: enter wall and material of its profile
          </text>
        )}
      </svg>
    </figure>
  )
}

/** Every bar in a state, its bending and deflection to scale along it. */
export function BarForces({ survey }: { survey: Survey }) {
  const [state, setState] = useState<State>('road')
  const bars = survey.bars.flatMap(({ index }) => survey.statics.bar(index, state) ?? [])
  const loadsOf = (index: number) => barLoads(survey.masses, index, state)
  return (
    <Panel
      title="How each bar bends"
      note="Left is the vehicle's left, seen from behind. The weight of the bar and of its deck is included. A stiffer bar never raises a limit."
    >
      <Choice
        className="max-w-60"
        label="State"
        value={state}
        options={STATES.map((each) => [each, STATE_WORD[each]] as const)}
        onChange={setState}
      />
      {bars.map((loaded) => (
        <BarPicture key={loaded.at.bar.id} loaded={loaded} loads={loadsOf(loaded.at.index)} />
      ))}
      {bars.length === 0 && <p>There is no bar to bend.</p>}
      {bars.length > 0 && (
        <DataTableDisclosure
          title="Bars in figures"
          head={[
            'Bar',
            'The load alone',
            'With the rack’s own',
            'Feet, left to right',
            'Bending moment',
            'Stress',
            'Yield',
            'Deflection',
          ]}
          rows={bars.map(({ at, beam, moment, stressMPa, lowest }) => [
            at.bar.name,
            <Quantity key="load" dimension="mass" value={loadsOf(at.index).loadKg} />,
            <Quantity key="kg" dimension="mass" value={loadsOf(at.index).withRackKg} />,
            <span key="feet">
              {beam.reactions.map((each, i) => (
                <span key={i}>
                  {i > 0 ? ', ' : ''}
                  <Quantity dimension="mass" value={each} />
                  {' ('}
                  <Quantity dimension="force" value={each * STANDARD_GRAVITY} />)
                </span>
              ))}
            </span>,
            <Quantity key="nm" dimension="torque" value={moment.nm} />,
            stressMPa === undefined ? (
              'not known'
            ) : (
              <Quantity key="mpa" dimension="stress" value={stressMPa} />
            ),
            at.bar.profile.material?.yieldMPa === undefined ? (
              'not known'
            ) : (
              <Quantity key="yield" dimension="stress" value={at.bar.profile.material.yieldMPa} />
            ),
            lowest ? <Quantity key="down" dimension="length" value={lowest.downMm} /> : 'not known',
          ])}
        />
      )}
      <WhatLands
        survey={survey}
        state={state}
        title="Load on each bar"
        supports={survey.bars.map(({ index, bar }) => ({ index, name: bar.name }))}
        of={(mass) => mass.bars}
        own
      />
    </Panel>
  )
}
