'use client'
import { footFigures, LIFTED_KG, motionCases, type RackAt, STATE_WORD, type Survey } from '@/core/api/assess'
import { type State, STATES } from '@/core/api/plan'
import { useState } from 'react'
import {
  Bar,
  BarChart,
  CartesianGrid,
  Legend,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts'
import { Choice } from '@/ui/kit/choice'
import { Quantity } from '@/ui/figures/quantity'
import { useUnits } from '@/ui/state/settings-store'
import { AXIS, INK, LIMIT, massAxis, roundTicks, SECOND } from './chart-style'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'
import { WhatLands } from './what-lands'

interface FootRow {
  readonly corner: string
  readonly restKg: number
  readonly kg: number
  readonly leastKg: number | undefined
  readonly mostKg: number | undefined
}

function rowsOf(survey: Survey, rack: RackAt, load: string): FootRow[] {
  return rack.feet.map((foot) => {
    const loads = survey.footLoads[foot.index]?.loadKg
    const state = STATES.find((each) => each === load)
    const moving = survey.motion
      .feet()
      .find(({ footIndex, cases }) => footIndex === foot.index && cases.some((each) => each.case.id === load))
    const range = survey.motion
      .feet()
      .filter(({ footIndex, state: of }) => footIndex === foot.index && of === (state ?? moving?.state))
    const least = range[0]?.least.kg
    const most = range[0]?.most.kg
    return {
      corner: foot.corner,
      restKg: moving?.restKg ?? (state ? (loads?.[state] ?? 0) : 0),
      kg: moving?.cases.find((each) => each.case.id === load)?.kg ?? (state ? (loads?.[state] ?? 0) : 0),
      leastKg: least,
      mostKg: most,
    }
  })
}

/** One rack's feet as bars, the limit drawn in. */
function RackFeet({
  survey,
  rack,
  load,
  state,
}: {
  survey: Survey
  rack: RackAt
  load: string
  state: State
}) {
  const units = useUnits()
  const { symbol, of } = massAxis(units)
  const rows = rowsOf(survey, rack, load)
  const [limit] = footFigures(survey.loadPath, rack.rack.id, state)
  const moving = load !== state
  const data = rows.map(({ corner, restKg, kg }) => ({ corner, rest: of(restKg), now: of(kg) }))
  const top = Math.max(limit?.kg ?? 0, ...rows.flatMap(({ kg, restKg }) => [kg, restKg]))
  const ticks = roundTicks(of(Math.min(0, ...rows.map(({ kg }) => kg))), of(top))
  return (
    <figure>
      <figcaption className="font-semibold">
        {rack.rack.name}
        {limit && (
          <span className="text-ink2 font-normal">
            {' '}
            · line: <Quantity dimension="mass" value={limit.kg} /> ({limit.cell.layer.name},{' '}
            {limit.per === 'each' ? 'each' : 'even share of the set'})
          </span>
        )}
      </figcaption>
      <div aria-hidden>
        <ResponsiveContainer width="100%" height={190}>
          <BarChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 12, bottom: 0, left: 0 }}>
            <CartesianGrid vertical={false} stroke="var(--hair)" />
            <XAxis dataKey="corner" {...AXIS} />
            <YAxis
              {...AXIS}
              width={52}
              unit={` ${symbol}`}
              ticks={ticks}
              domain={[ticks[0] ?? 0, ticks.at(-1) ?? 1]}
            />
            <ReferenceLine y={0} stroke={INK} />
            {moving && <Bar dataKey="rest" name="at rest" fill={SECOND} isAnimationActive={false} />}
            <Bar
              dataKey="now"
              name={moving ? 'in this case' : 'at rest'}
              fill={INK}
              isAnimationActive={false}
            />
            {moving && <Legend wrapperStyle={{ fontSize: 13 }} />}
            {limit && <ReferenceLine y={of(limit.kg)} stroke={LIMIT} strokeWidth={2} strokeDasharray="7 4" />}
          </BarChart>
        </ResponsiveContainer>
      </div>
      <DataTableDisclosure
        title={`${rack.rack.name}: feet in figures`}
        head={['Foot', 'At rest', 'In this case', 'Least of all cases', 'Most of all cases']}
        rows={rows.map(({ corner, restKg, kg, leastKg, mostKg }) => [
          corner,
          <Quantity key="rest" dimension="mass" value={restKg} />,
          <span key="now" className={kg < -LIFTED_KG ? 'text-stopline font-semibold' : ''}>
            <Quantity dimension="mass" value={kg} />
            {kg < -LIFTED_KG ? ', lifts' : ''}
          </span>,
          leastKg === undefined ? 'parked' : <Quantity key="least" dimension="mass" value={leastKg} />,
          mostKg === undefined ? 'parked' : <Quantity key="most" dimension="mass" value={mostKg} />,
        ])}
      />
      <WhatLands
        survey={survey}
        state={state}
        title={`${rack.rack.name}: load on each foot at rest`}
        supports={rack.feet.map(({ index, corner }) => ({ index, name: corner }))}
        of={(mass) => mass.feet}
        own={false}
      />
    </figure>
  )
}

/** Load on each foot, at rest or in one case of motion. */
export function FeetForces({ survey }: { survey: Survey }) {
  const [load, setLoad] = useState('road')
  const cases = motionCases(survey.plan.use)
  const state = STATES.find((each) => each === load) ?? cases.find(({ id }) => id === load)?.state ?? 'road'
  const racks = survey.racks.filter(({ feet }) => feet.length > 0)
  return (
    <Panel
      title="Load on each foot"
      note="The load alone, guesses with the house margin. Cases of motion: accelerations of 49 CFR 393.102, the plan's own slopes. Advice on securing; no figure is changed by it."
    >
      <Choice
        className="max-w-80"
        label="Case"
        value={load}
        options={[
          ...STATES.map((each) => [each, `At rest, ${STATE_WORD[each].toLowerCase()}`] as const),
          ...cases.map(
            ({ id, name, state: of }) => [id, `${name}, ${STATE_WORD[of].toLowerCase()}`] as const,
          ),
        ]}
        onChange={setLoad}
      />
      {racks.map((rack) => (
        <RackFeet key={rack.rack.id} survey={survey} rack={rack} load={load} state={state} />
      ))}
      {racks.length === 0 && <p>No rack on this vehicle stands on feet.</p>}
    </Panel>
  )
}
