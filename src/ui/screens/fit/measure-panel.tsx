'use client'
import {
  type BayProgress,
  datumOf,
  isHeight,
  isMark,
  isPlace,
  type PairAsk,
  plannedReading,
  type ReadFrom,
  type Readings,
  type ReadingsFrom,
  spreadMeasured,
  type Step,
  type Taped,
  TAPED_NAME,
  usualFrom,
} from '@/core/api/fit'
import { mm, phraseText, type Plan, readingsSummary, typedElsewhere } from '@/core/api/plan'
import { planStore } from '@/ui/state/plan-store'
import { logFor } from '@/ui/state/log-store'
import { Quantity } from '@/ui/figures/quantity'
import { Button } from '@/ui/kit/button'
import { ParsedField, type ParsedText } from '@/ui/kit/parsed-field'
import { QuantityField } from '@/ui/figures/quantity-field'
import { useUnits, settingsStore } from '@/ui/state/settings-store'
import { useState } from 'react'
import { today } from '@/ui/state/today'
import { ReadFromFields } from './read-from-fields'

const READINGS_MOST = 40

/** Why a figure is no reading of a tape on a vehicle, mm. */
const notTaped = (mm: number): string | undefined =>
  mm < 0
    ? 'A tape reads from 0 up.'
    : mm > 10_000
      ? 'That is longer than any rack. Check the unit.'
      : undefined

/** The number that a tower stands on: halves where it stands between two. */
function readMark(text: string): ParsedText<number> {
  const value = Number(text.replace(',', '.'))
  return text !== '' && Number.isFinite(value) && value >= 0 && value <= 99 && Number.isInteger(value * 2)
    ? { ok: true, value }
    : { ok: false, reason: 'Write the number of the mark, as 7 or 6.5.' }
}

/** Load knows what was measured here: one spread of two bars is one measurement of the job. */
function keepSpread(plan: Plan, ask: PairAsk, side: 'left' | 'right', values: readonly number[]): void {
  const { fitter } = settingsStore.getState().settings
  planStore.getState().run({
    do: 'setMeasurement',
    measurement: {
      kind: 'length',
      id: spreadMeasured(plan, ask, side)?.id ?? `spread-${crypto.randomUUID().slice(0, 8)}`,
      of: { about: 'spread', frontBarId: ask.pair.front.id, rearBarId: ask.pair.rear.id, side },
      datum: datumOf(ask.pair, side === 'left' ? 'spreadLeft' : 'spreadRight'),
      readingsMm: [...values],
      on: today(),
      ...(fitter !== '' && { by: fitter }),
    },
  })
}

function Reading({
  plan,
  step,
  ask,
  taped,
  readings,
  typed,
  readFrom,
  asksTape,
}: {
  plan: Plan
  step: Step
  ask: PairAsk
  taped: Taped
  readings: Readings
  typed: Readonly<Partial<Record<Taped, string>>>
  readFrom: ReadingsFrom
  /** Whether somebody has a tape whose zero is off. */
  asksTape: boolean
}) {
  const units = useUnits()
  const list = readings[taped] ?? []
  // Chosen before the first reading is typed.
  const { sheetMark } = ask.pair
  const [chosen, setChosen] = useState(readFrom[taped] ?? usualFrom(ask.pair, taped))
  const from = readFrom[taped] ?? chosen
  const planned = plannedReading(ask.pair, taped, from)
  const { middleMm, scatterMm } = readingsSummary(list)
  const keep = (values: readonly number[], text: string, of: ReadFrom | undefined = from) => {
    const { [taped]: _before, ...others } = typed
    const elsewhere = typedElsewhere('length', text)
    if (taped === 'spreadLeft' || taped === 'spreadRight')
      keepSpread(
        plan,
        ask,
        taped === 'spreadLeft' ? 'left' : 'right',
        values.map((value) => value - (of?.zeroMm ?? 0)),
      )
    const { [taped]: _was, ...elsewhereFrom } = readFrom
    const allFrom = { ...elsewhereFrom, ...(of && { [taped]: of }) }
    const saved = { ...others, ...(elsewhere !== undefined && { [taped]: elsewhere }) }
    logFor(plan, {
      kind: 'measured',
      stepId: step.id,
      pairId: ask.id,
      readings: { ...(readings as Record<Taped, number[]>), [taped]: [...values] },
      ...(Object.keys(saved).length > 0 && { typed: saved }),
      ...(Object.keys(allFrom).length > 0 && { from: allFrom }),
    })
  }
  if (isMark(taped))
    return (
      <ParsedField
        label={TAPED_NAME[taped]}
        text={list[0] === undefined ? '' : String(list[0])}
        hint={datumOf(ask.pair, taped)}
        read={(text) => readMark(text)}
        onValue={(mark) => keep([mark], '')}
      />
    )
  return (
    <div className="border-hair border-b-1 py-2">
      <QuantityField
        label={TAPED_NAME[taped]}
        dimension="length"
        value={list.length === 0 ? undefined : middleMm}
        hint={`${datumOf(ask.pair, taped, from)}${planned === undefined ? '' : `; planned ${phraseText([mm(planned)], units)}`}${typed[taped] === undefined ? '' : `; typed ${typed[taped]}`}`}
        typed={typed[taped]}
        onValue={(value, text) => {
          const odd = notTaped(value)
          if (odd !== undefined) return odd
          keep([value], text)
          return undefined
        }}
      />
      {(isPlace(taped) || asksTape || from !== undefined || ask.pair.tapeZeroMm !== undefined) && (
        <ReadFromFields
          taped={taped}
          from={from}
          tapeZeroMm={ask.pair.tapeZeroMm}
          sheetMark={sheetMark?.what}
          onFrom={(next) => {
            setChosen(next)
            if (list.length > 0) keep(list, typed[taped] ?? '', next)
          }}
        />
      )}
      {list.length > 0 && list.length < READINGS_MOST && (
        <details>
          <summary className="min-h-9 cursor-pointer py-1.5 text-aside">
            {list.length === 1 ? 'Read again' : `${list.length} readings, within `}
            {list.length > 1 && <Quantity dimension="length" value={scatterMm} />}
          </summary>
          <QuantityField
            key={list.length}
            label={`${TAPED_NAME[taped]}, once more`}
            dimension="length"
            value={undefined}
            onValue={(value, text) => {
              const odd = notTaped(value)
              if (odd !== undefined) return odd
              keep([...list, value], text)
              return undefined
            }}
          />
        </details>
      )}
    </div>
  )
}

/** Read where it is wanted, and folded away until then. */
const SELDOM: ReadonlySet<Taped> = new Set([
  'frontAcross',
  'rearAcross',
  'markLF',
  'markRF',
  'markLR',
  'markRR',
])

/** What is folded away, by its kinds. */
const foldTitle = (seldom: readonly Taped[]): string => {
  const kinds = [
    [isPlace, 'places along'],
    [isHeight, 'heights'],
    [isMark, 'tower marks'],
  ] as const
  return ['Foot to foot', ...kinds.flatMap(([is, word]) => (seldom.some(is) ? [word] : []))].join(', ')
}

/** What is taped at a step, pair by pair; every reading is kept, a new first one begins again. */
export function MeasurePanel({ plan, step, progress }: { plan: Plan; step: Step; progress: BayProgress }) {
  const [asksTape, setAsksTape] = useState(false)
  if (step.task.kind !== 'measure') return null
  const several = step.task.pairs.length > 1
  const sections = step.task.pairs.map((ask) => {
    const key = `${step.id} ${ask.id}`
    const readings = progress.measured.get(key) ?? {}
    const field = (taped: Taped) => (
      <Reading
        key={taped}
        plan={plan}
        step={step}
        ask={ask}
        taped={taped}
        readings={readings}
        typed={progress.typed.get(key) ?? {}}
        readFrom={progress.readFrom.get(key) ?? {}}
        asksTape={asksTape}
      />
    )
    const isSeldom = (taped: Taped) =>
      SELDOM.has(taped) ||
      (isPlace(taped) && ask.pair.sheetMark === undefined) ||
      (isHeight(taped) && !ask.pair.onLegs)
    const seldom = ask.taped.filter(isSeldom)
    return (
      <section key={ask.id} aria-label={`${ask.pair.front.name} to ${ask.pair.rear.name}`}>
        {several && (
          <h3 className="pt-3 text-body">
            {ask.pair.front.name} to {ask.pair.rear.name}
          </h3>
        )}
        {ask.taped.filter((taped) => !isSeldom(taped)).map(field)}
        {seldom.length > 0 && (
          <details open={seldom.some((taped) => readings[taped] !== undefined)}>
            <summary className="min-h-11 cursor-pointer py-2.5">{foldTitle(seldom)}</summary>
            {seldom.map(field)}
          </details>
        )}
      </section>
    )
  })
  return (
    <>
      {sections}
      {!asksTape && (
        <Button variant="quiet" onClick={() => setAsksTape(true)}>
          A tape’s zero is off
        </Button>
      )}
    </>
  )
}
