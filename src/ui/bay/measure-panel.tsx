'use client'
import { datumOf, plannedReading, TAPED_NAME, type Readings, type Taped } from '@/core/bay/taped'
import type { BayProgress } from '@/core/bay/log/replay'
import type { PairAsk, Step } from '@/core/bay/steps/step'
import { readingsSummary } from '@/core/plan/measurement'
import type { Plan } from '@/core/plan/plan'
import { phraseText, mm } from '@/core/review/phrase'
import { logFor } from '@/ui/log/log-store'
import { Quantity } from '@/ui/quantity/quantity'
import { QuantityField } from '@/ui/quantity/quantity-field'
import { useUnits } from '@/ui/shell/settings-store'

const READINGS_MOST = 40

/** Why a figure is no reading of a tape on a vehicle, mm. */
const notTaped = (mm: number): string | undefined =>
  mm < 0
    ? 'A tape reads from 0 up.'
    : mm > 10_000
      ? 'That is longer than any rack: look at the unit.'
      : undefined

function Reading({
  plan,
  step,
  ask,
  taped,
  readings,
}: {
  plan: Plan
  step: Step
  ask: PairAsk
  taped: Taped
  readings: Readings
}) {
  const units = useUnits()
  const list = readings[taped] ?? []
  const planned = plannedReading(ask.pair, taped)
  const { middleMm, scatterMm } = readingsSummary(list)
  const keep = (values: readonly number[]) => {
    logFor(plan, {
      kind: 'measured',
      stepId: step.id,
      pairId: ask.id,
      readings: { ...(readings as Record<Taped, number[]>), [taped]: [...values] },
    })
  }
  return (
    <div className="hair-b py-2">
      <QuantityField
        label={TAPED_NAME[taped]}
        dimension="length"
        value={list.length === 0 ? undefined : middleMm}
        hint={`${datumOf(ask.pair, taped)}${planned === undefined ? '' : `; planned ${phraseText([mm(planned)], units)}`}`}
        onValue={(value) => {
          const odd = notTaped(value)
          if (odd !== undefined) return odd
          keep([value])
          return undefined
        }}
      />
      {list.length > 0 && list.length < READINGS_MOST && (
        <details>
          <summary className="min-h-9 cursor-pointer py-1.5 text-[13px]">
            {list.length === 1 ? 'Read again' : `${list.length} readings, within `}
            {list.length > 1 && <Quantity dimension="length" value={scatterMm} />}
          </summary>
          <QuantityField
            key={list.length}
            compact
            label={`${TAPED_NAME[taped]}, once more`}
            dimension="length"
            value={undefined}
            onValue={(value) => {
              const odd = notTaped(value)
              if (odd !== undefined) return odd
              keep([...list, value])
              return undefined
            }}
          />
        </details>
      )}
    </div>
  )
}

/** What is taped at a step, pair by pair; every reading is kept, a new first one begins anew. */
export function MeasurePanel({ plan, step, progress }: { plan: Plan; step: Step; progress: BayProgress }) {
  if (step.doing.kind !== 'measure') return null
  const several = step.doing.pairs.length > 1
  return step.doing.pairs.map((ask) => (
    <section key={ask.id} aria-label={`${ask.pair.front.name} to ${ask.pair.rear.name}`}>
      {several && (
        <h3 className="pt-3 text-[15px]">
          {ask.pair.front.name} to {ask.pair.rear.name.toLowerCase()}
        </h3>
      )}
      {ask.taped.map((taped) => (
        <Reading
          key={taped}
          plan={plan}
          step={step}
          ask={ask}
          taped={taped}
          readings={progress.measured.get(`${step.id} ${ask.id}`) ?? {}}
        />
      ))}
    </section>
  ))
}
