'use client'
import { GearWeight } from '@/ui/drawing/gear-weight'
import { DayField } from '@/ui/figures/day-field'
import { Table } from '@/ui/kit/table'
import { Button } from '@/ui/kit/button'
import { SOURCE_CHOICES, COUNTS_CHOICES } from '@/core/api/fields'
import { STATES, formatNumber, type Rating, type RatingOwner, type Source, type State } from '@/core/api/plan'
import {
  STATE_WORD,
  cellParts,
  limitPhrase,
  sourceText,
  type Cell,
  type Survey,
  usuallyPrinted,
} from '@/core/api/assess'
import { useState } from 'react'
import { Choice, TextField } from '@/ui/kit/choice'
import { PhraseLine, Quantity } from '@/ui/figures/quantity'
import { QuantityField } from '@/ui/figures/quantity-field'
import { Modal } from '@/ui/kit/modal'
import { BASIS_WORD } from '@/ui/forms/basis-word'
import { refused, usePlan, planStore } from '@/ui/state/plan-store'

const COUNTS = [['unsaid', 'Source does not say'], ...COUNTS_CHOICES] as const

function without<T extends object, K extends keyof T>(item: T, key: K): Omit<T, K> {
  const { [key]: _, ...rest } = item
  return rest
}

function RatingFields({ owner, rating }: { owner: RatingOwner; rating: Rating }) {
  const { run } = planStore.getState()
  const set = (next: Rating) => refused(run({ do: 'setRating', owner, rating: next }))
  const source = (patch: Partial<Source>) => {
    const next = { ...rating.source, ...patch }
    const saved = Object.fromEntries(Object.entries(next).filter(([, value]) => value !== ''))
    set({ ...rating, source: { ...saved, kind: next.kind } })
  }
  return (
    <fieldset className="border-edge grid grid-cols-2 gap-2 border-1 p-2 sm:grid-cols-4">
      <legend className="px-1 text-aside font-semibold">
        {STATE_WORD[rating.state]}
        {rating.gearKind === undefined ? '' : `, for ${rating.gearKind}`}
      </legend>
      <QuantityField
        label="Figure"
        dimension="mass"
        value={rating.kg}
        typed={rating.typed?.['kg']}
        onValue={(kg, typed) => set({ ...rating, kg, typed: { ...rating.typed, kg: typed } })}
      />
      <Choice
        label="For"
        value={rating.per}
        options={[
          ['set', 'the set'],
          ['each', 'each one'],
        ]}
        onChange={(per) => set({ ...rating, per })}
      />
      <div className="col-span-2">
        <Choice
          label="Counts"
          value={rating.counts ?? 'unsaid'}
          options={COUNTS}
          onChange={(counts) => set(counts === 'unsaid' ? without(rating, 'counts') : { ...rating, counts })}
        />
      </div>
      <Choice
        label="Read from"
        value={rating.source.kind}
        options={SOURCE_CHOICES}
        onChange={(kind) => source({ kind })}
      />
      <TextField
        label="Which sheet or label"
        value={rating.source.text ?? ''}
        max={200}
        onValue={(text) => source({ text })}
      />
      <TextField
        label="Page"
        value={rating.source.page ?? ''}
        max={40}
        onValue={(page) => source({ page })}
      />
      <DayField label="Date read" value={rating.source.on ?? ''} onDay={(on) => source({ on })} />
      <Button className="self-end" onClick={() => run({ do: 'removeRating', owner, ratingId: rating.id })}>
        Remove
      </Button>
    </fieldset>
  )
}

function AddRating({ owner, state }: { owner: RatingOwner; state: State }) {
  const [which, setWhich] = useState<State>(state)
  return (
    <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
      <Choice
        label="Add a figure for"
        value={which}
        options={STATES.map((each) => [each, STATE_WORD[each]] as const)}
        onChange={setWhich}
      />
      <div className="col-span-2">
        <QuantityField
          label="New figure"
          dimension="mass"
          value={undefined}
          onValue={(kg, typed) =>
            refused(
              planStore.getState().run({
                do: 'setRating',
                owner,
                rating: {
                  id: `figure-${crypto.randomUUID().slice(0, 8)}`,
                  state: which,
                  kg,
                  per: 'set',
                  source: { kind: owner.of === 'roof' ? 'manual' : 'sheet' },
                  typed: { kg: typed },
                },
              }),
            )
          }
          hint="Type it and press Enter."
        />
      </div>
    </div>
  )
}

function SumTable({ cell }: { cell: Cell }) {
  const parts = cellParts(cell)
  const shares = parts.some((part) => Math.abs(part.fraction - 1) > 1e-9)
  const margins = parts.some((part) => part.mass.factor !== 1)
  if (parts.length === 0) return <p>It carries nothing in this state.</p>
  return (
    <div className="overflow-x-auto">
      <Table>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">Weight</th>
            <th scope="col">Known by</th>
            {shares && <th scope="col">Share here</th>}
            {margins && <th scope="col">Margin</th>}
            <th scope="col">Counted</th>
          </tr>
        </thead>
        <tbody>
          {parts.map((part) => (
            <tr key={part.mass.id}>
              <th scope="row">{part.mass.label}</th>
              <td>
                <GearWeight mass={part.mass} />
              </td>
              <td>
                {BASIS_WORD[part.mass.basis]}
                {part.mass.by === undefined ? '' : `, ${part.mass.by}`}
              </td>
              {shares && <td>{formatNumber(part.fraction * 100, 1)} %</td>}
              {margins && (
                <td>
                  {part.mass.factor === 1 ? '' : `+ ${formatNumber((part.mass.factor - 1) * 100, 0)} %`}
                </td>
              )}
              <td>
                <Quantity dimension="mass" value={part.countedKg} />
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">Counted in all</th>
            <td colSpan={2 + (shares ? 1 : 0) + (margins ? 1 : 0)} />
            <td>
              <Quantity dimension="mass" value={cell.countedKg} />
            </td>
          </tr>
        </tfoot>
      </Table>
    </div>
  )
}

/** The sum behind a cell of the load path, line by line, and the figures it is held against, to be mended here. */
export function CellSum({ survey }: { survey: Survey }) {
  const open = usePlan((store) => store.cell)
  const showCell = usePlan((store) => store.showCell)
  const cell = open && survey.loadPath.cellAt(open.layerId, open.state)
  if (!cell) return null
  const { layer, limit, leftKg } = cell
  const { owner } = layer
  return (
    <Modal
      title={`${layer.name}, ${STATE_WORD[cell.state].toLowerCase()}`}
      wide
      onClose={() => {
        if (planStore.getState().cell === open) showCell(undefined)
      }}
    >
      <SumTable cell={cell} />
      <p className="mt-3">
        {limit.kind === 'missing' ? (
          <>
            <strong>No figure.</strong> It is usually printed {usuallyPrinted(layer.role)}.
          </>
        ) : (
          <>
            Against <PhraseLine phrase={limitPhrase(cell)} />:{' '}
            <strong>
              <Quantity dimension="mass" value={Math.abs(leftKg ?? 0)} />{' '}
              {(leftKg ?? 0) < 0 ? 'over' : 'left'}
            </strong>
            . It counts {cell.counting === 'everything' ? 'the rack and its load' : 'only its load'}
            {cell.countingStated ? '' : ' (its source does not say; common practice)'}.
          </>
        )}
      </p>
      {limit.kind !== 'missing' && (
        <p className="text-ink2 text-aside">Read from: {sourceText(limit.rating.source)}.</p>
      )}
      <h3 className="mt-4 mb-1">Its figures</h3>
      {owner === undefined ? (
        <p>Gross less kerb mass. Change them with the vehicle.</p>
      ) : (
        <>
          {layer.ratings.length === 0 && <p>None yet.</p>}
          <div className="grid gap-2">
            {layer.ratings.map((rating) => (
              <RatingFields key={rating.id} owner={owner} rating={rating} />
            ))}
          </div>
          <AddRating owner={owner} state={cell.state} />
        </>
      )}
    </Modal>
  )
}
