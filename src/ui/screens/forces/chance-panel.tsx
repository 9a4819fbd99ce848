'use client'
import { BASIS_WORD } from '@/ui/forms/basis-word'
import { Problem } from '@/ui/kit/field-note'
import { Progress } from '@/ui/kit/progress'
import { Alert } from '@/ui/kit/alert'
import { Button } from '@/ui/kit/button'
import {
  chanceProblem,
  DRAWS,
  type LimitChance,
  mostAtRisk,
  STATE_WORD,
  type Survey,
  weighed,
  worthWeighing,
  type WorthWeighing,
} from '@/core/api/assess'
import { formatNumber, formatQuantity, percentText, type Plan } from '@/core/api/plan'
import { useState } from 'react'
import { Bar, BarChart, CartesianGrid, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts'
import { refused, planStore } from '@/ui/state/plan-store'
import { Choice } from '@/ui/kit/choice'
import { Quantity } from '@/ui/figures/quantity'
import { QuantityField } from '@/ui/figures/quantity-field'
import { useUnits } from '@/ui/state/settings-store'
import { AXIS, INK, LIMIT, massAxis } from './chart-style'
import { DataTableDisclosure, Panel } from '@/ui/kit/panel'
import { stoppedWords } from '@/workers/worker-client'
import { useChance } from './use-chance'

/** A chance as people read it, no finer than the draws allow. */
export function chanceWords(chance: number): string {
  if (chance <= 0) return 'never in all draws'
  if (chance >= 1) return 'in every draw'
  return `${formatNumber(chance * 100, chance < 0.1 || chance > 0.9 ? 1 : 0)} %`
}

/** How a limit's margin spreads, with the limit at nothing left. */
function Distribution({ found }: { found: LimitChance }) {
  const units = useUnits()
  const { symbol, of } = massAxis(units)
  const { limit, bins, chance, margins } = found
  const data = bins.map(({ fromKg, toKg, count }) => ({
    at: of((fromKg + toKg) / 2),
    count,
    fill: toKg <= 0 ? LIMIT : INK,
  }))
  const [first, last] = [bins[0]?.fromKg ?? 0, bins.at(-1)?.toKg ?? 0]
  const spoken = `${limit.name}, ${STATE_WORD[limit.state].toLowerCase()}: exceeded ${chanceWords(chance)}; nine of ten draws leave between ${formatQuantity('mass', margins.p05, units)} and ${formatQuantity('mass', margins.p95, units)}`
  if (last - first < 1e-6)
    return (
      <p className="my-2">
        Nothing on it is uncertain: <Quantity dimension="mass" value={margins.p50} />{' '}
        {margins.p50 < 0 ? 'over in every draw' : 'left in every draw'}.
      </p>
    )
  return (
    <figure role="img" aria-label={spoken}>
      <ResponsiveContainer width="100%" height={190}>
        <BarChart
          accessibilityLayer={false}
          data={data}
          margin={{ top: 8, right: 16, bottom: 16, left: 0 }}
          barCategoryGap={1}
        >
          <CartesianGrid vertical={false} stroke="var(--hair)" />
          <XAxis
            type="number"
            dataKey="at"
            {...AXIS}
            unit={` ${symbol}`}
            domain={[Math.floor(Math.min(0, of(first))), Math.ceil(Math.max(0, of(last)))]}
            label={{
              value: 'left to the limit',
              position: 'insideBottom',
              offset: -8,
              fill: 'var(--ink2)',
              fontSize: 13,
            }}
          />
          <YAxis {...AXIS} width={52} />
          <Bar dataKey="count" isAnimationActive={false} />
          <ReferenceLine x={0} stroke={LIMIT} strokeWidth={2} strokeDasharray="7 4" />
        </BarChart>
      </ResponsiveContainer>
    </figure>
  )
}

/** The unknowns of a limit, the one most worth weighing first, each with a field for what the scale says. */
function Worth({ plan, worth }: { plan: Plan; worth: readonly WorthWeighing[] }) {
  if (worth.length === 0) return <p>Everything on this limit is known. There is nothing to weigh.</p>
  return (
    <>
      <h3 className="mt-2 text-body">Most worth weighing</h3>
      <ul>
        {worth.slice(0, 6).map(({ unknown, share }) => (
          <li key={unknown.id} className="border-hair border-b-1 flex flex-wrap items-end gap-3 py-1.5">
            <span className="min-w-44 flex-1">
              <strong>{unknown.label}</strong>, {BASIS_WORD[unknown.basis]}:{' '}
              <Quantity dimension="mass" value={unknown.kg} /> ±{' '}
              <Quantity dimension="mass" value={unknown.withinKg} />: {percentText(share)} of what is
              uncertain here
            </span>
            <span className="w-44">
              <QuantityField
                label={`${unknown.label}, weighed`}
                dimension="mass"
                value={undefined}
                onValue={(kg, typed) => {
                  const command = weighed(plan, unknown.whose, kg, typed)
                  return command ? refused(planStore.getState().run(command)) : 'It is no longer on the plan.'
                }}
              />
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}

/** The chance of exceeding each limit, given how far off the guesses may be. */
export function ChancePanel({ survey }: { survey: Survey }) {
  const { plan } = survey
  const { run, restarts, stop, again } = useChance(plan)
  const [chosen, setChosen] = useState<string>()
  const problem = chanceProblem(survey)
  const found = run.at === 'done' ? run.chances : undefined
  const shown =
    found?.limits.find(({ limit }) => limit.id === chosen) ?? (found ? mostAtRisk(found) : undefined)
  const name = ({ limit }: LimitChance) => `${limit.name}, ${STATE_WORD[limit.state].toLowerCase()}`
  return (
    <Panel
      title="Chance of exceeding a limit"
      note={`${formatNumber(DRAWS)} draws of every mass that nobody weighed, as normal deviations; a stated spread holds 19 times out of 20. Plain masses, without the house margin. This is no verdict. The verdicts are on Load.`}
    >
      {problem.blind.length > 0 && (
        <Problem>
          No chance can be given for what {problem.blind.join(', ')} stands on: nobody knows yet what it
          weighs.
        </Problem>
      )}
      {restarts > 0 && run.at !== 'failed' && (
        <Alert variant="mind">
          The calculation stopped by itself and was started again{restarts > 1 ? ` (${restarts} times)` : ''}.
        </Alert>
      )}
      {run.at === 'failed' && <Problem>{stoppedWords('The calculation')}</Problem>}
      {run.at === 'running' && (
        <p className="flex flex-wrap items-center gap-3 py-1">
          <Progress label="Draws done" done={run.done} of={DRAWS} />
          <span className="w-40">{formatNumber(run.done)} draws done</span>
          <Button onClick={stop}>Stop it</Button>
        </p>
      )}
      <p role="status" className={found && shown ? 'mt-1 text-head' : ''}>
        {run.at === 'stopped' && 'Stopped. Nothing was counted.'}
        {found && shown && (
          <>
            {name(shown)}: exceeded <strong data-testid="chance">{chanceWords(shown.chance)}</strong>
            {shown.chance > 0 && shown.chance < 1
              ? ` (± ${formatNumber(196 * shown.errorOfChance, 1)} %)`
              : ''}
            . Nine of ten draws leave <Quantity dimension="mass" value={shown.margins.p05} /> to{' '}
            <Quantity dimension="mass" value={shown.margins.p95} />.
          </>
        )}
      </p>
      {run.at === 'stopped' && <Button onClick={again}>Draw again</Button>}
      {found && shown && (
        <div className="grid gap-4 lg:grid-cols-2">
          <div>
            <div className="flex max-w-[34rem] items-end gap-2">
              <div className="min-w-0 flex-1">
                <Choice
                  label="Limit"
                  value={shown.limit.id}
                  options={found.limits.map((each) => [each.limit.id, name(each)] as const)}
                  onChange={setChosen}
                />
              </div>
              <Button onClick={again}>Draw again</Button>
            </div>
            <Distribution found={shown} />
          </div>
          <div>
            <Worth plan={plan} worth={worthWeighing(problem, shown.limit)} />
            <DataTableDisclosure
              title="Every limit"
              head={['Limit', 'Exceeded', 'Left: 5 %', 'middle', '95 %']}
              rows={found.limits
                .toSorted((a, b) => b.chance - a.chance || a.margins.p05 - b.margins.p05)
                .map((each) => [
                  name(each),
                  chanceWords(each.chance),
                  <Quantity key="low" dimension="mass" value={each.margins.p05} />,
                  <Quantity key="mid" dimension="mass" value={each.margins.p50} />,
                  <Quantity key="high" dimension="mass" value={each.margins.p95} />,
                ])}
            />
          </div>
        </div>
      )}
      {found && !shown && <p>No known limit carries any load.</p>}
    </Panel>
  )
}
