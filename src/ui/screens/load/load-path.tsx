'use client'
import {
  type Amount,
  amountIn,
  formatQuantity,
  kg,
  missing,
  phraseText,
  type State,
  STATES,
  toSpare,
  type UnitChoice,
} from '@/core/api/plan'
import {
  bindsWords,
  type Cell,
  type Layer,
  layerSeverity,
  type Left,
  leftOnRack,
  linksPhrase,
  OUTCOME_WORD,
  type Review,
  type Severity,
  STATE_WORD,
  type Survey,
} from '@/core/api/assess'
import { memo, useRef } from 'react'
import { acrossTable, useRoving } from '@/ui/kit/use-roving'
import { PhraseLine, Quantity } from '@/ui/figures/quantity'
import { useUnits } from '@/ui/state/settings-store'
import { usePlan } from '@/ui/state/plan-store'

/** The unit that the table's columns share. */
const tableUnit = (units: UnitChoice) => (units.show === 'us' ? 'lb' : 'kg')

function cellLabel(cell: Cell, severity: Severity | undefined, governs: boolean, units: UnitChoice): string {
  const counted = formatQuantity('mass', cell.countedKg, units)
  const limit =
    cell.limit.kind === 'missing' ? 'no figure' : `of ${formatQuantity('mass', cell.limit.kg, units)}`
  const left =
    cell.leftKg === undefined
      ? ''
      : cell.leftKg < 0
        ? `, ${phraseText([missing(kg(-cell.leftKg))], units)} over`
        : `, ${phraseText([toSpare(kg(cell.leftKg))], units)} left`
  const verdict = severity === undefined || cell.idle ? '' : `, ${OUTCOME_WORD[severity]}`
  return `${cell.layer.name}, ${STATE_WORD[cell.state]}: ${counted} ${limit}${left}${verdict}${governs ? ', governs' : ''}`
}

/** From here on tenths say nothing more and take the room. */
const COARSE_FROM_KG = { kg: 500, lb: 90 } as const

const VARIANT: Readonly<Record<Severity, string>> = {
  stop: 'bg-error text-error-content [&_*]:text-inherit',
  findOut: 'border-accent border-2 border-dashed',
  mind: 'mind-hatch [&_*]:text-inherit',
  clear: '',
}

function CellButton({ cell, severity, governs }: RowCell) {
  const units = useUnits()
  const showCell = usePlan((store) => store.showCell)
  const unit = tableUnit(units)
  const rated = cell.limit.kind !== 'missing'
  const places = cell.limit.kind !== 'missing' && cell.limit.kg >= COARSE_FROM_KG[unit] ? 0 : 1
  const variant = cell.idle ? 'text-ink2' : VARIANT[severity ?? 'clear']
  return (
    <button
      type="button"
      tabIndex={-1}
      className={`relative block w-full min-h-11 pt-[0.15rem] px-[0.3rem] pb-[0.5rem] text-right text-aside [font-stretch:84%] cursor-pointer whitespace-nowrap overflow-hidden ${variant} ${governs ? 'font-bold' : ''}`}
      aria-label={cellLabel(cell, severity, governs, units)}
      title={cellLabel(cell, severity, governs, units)}
      onClick={() => showCell({ layerId: cell.layer.id, state: cell.state })}
    >
      <span aria-hidden>
        <span className="font-semibold">{amountIn('mass', cell.countedKg, unit, places)}</span>
        {cell.limit.kind === 'missing' ? (
          <span className="text-accent font-bold pl-[0.35rem]">?</span>
        ) : (
          <span className="text-note text-ink2">
            /{cell.limit.kind === 'assumed' ? '~' : ''}
            {amountIn('mass', cell.limit.kg, unit, places)}
          </span>
        )}
      </span>
      {rated && (
        <span
          aria-hidden
          className="absolute left-0 bottom-0 h-[5px] bg-current"
          style={{ width: `${Math.min(100, Math.max(0, (cell.share ?? 0) * 100))}%` }}
        />
      )}
      {governs && (
        <span
          aria-hidden
          className="absolute left-0 top-0 border-t-[11px] border-t-base-content border-r-[11px] border-r-transparent"
        />
      )}
    </button>
  )
}

interface RowCell {
  readonly cell: Cell
  readonly severity: Severity | undefined
  readonly governs: boolean
}

/** Most rows stay as they are from one edit to the next; those are not drawn again. */
function sameCell(a: RowCell | undefined, b: RowCell | undefined): boolean {
  return (
    a === b ||
    (a !== undefined &&
      b !== undefined &&
      a.severity === b.severity &&
      a.governs === b.governs &&
      a.cell.idle === b.cell.idle &&
      a.cell.countedKg === b.cell.countedKg &&
      a.cell.limit.kind === b.cell.limit.kind &&
      (a.cell.limit.kind === 'missing' ||
        (b.cell.limit.kind !== 'missing' && a.cell.limit.kg === b.cell.limit.kg)))
  )
}

const LayerRow = memo(
  function LayerRow({ layer, cells }: { layer: Layer; cells: readonly (RowCell | undefined)[] }) {
    return (
      <tr>
        <th scope="row" className="py-0.5 pr-1.5 text-left font-normal">
          <span className="block leading-tight font-semibold">{layer.name}</span>
          <span className="text-ink2 block text-note leading-tight">{layer.detail}</span>
        </th>
        {STATES.map((state, i) => {
          const shown = cells[i]
          return (
            <td key={state} className="p-0.5">
              {shown ? (
                <CellButton {...shown} />
              ) : (
                <span className="text-ink2 block text-center" aria-label="does not apply">
                  –
                </span>
              )}
            </td>
          )
        })}
      </tr>
    )
  },
  (before, after) =>
    before.layer.id === after.layer.id &&
    before.layer.name === after.layer.name &&
    before.layer.detail === after.layer.detail &&
    before.cells.every((cell, i) => sameCell(cell, after.cells[i])),
)

function Kilos(amount: Amount) {
  return (
    <strong>
      <Quantity {...amount} />
    </strong>
  )
}

/** What may be added to one rack, as a sentence. */
function AddWords({ left }: { left: Left }) {
  switch (left.kind) {
    case 'over':
      return (
        <>
          add nothing: {linksPhrase(left.by)} is over by <Kilos {...missing(kg(left.kg))} />
          {left.why === undefined ? '.' : `; ${left.why}.`}
        </>
      )
    case 'unknown':
      return <>{left.why}.</>
    case 'atMost':
      return (
        <>
          {left.why}; the other links leave at most <Kilos {...toSpare(kg(left.kg))} />.
        </>
      )
    case 'known':
    case 'atLeast':
      return (
        <>
          you can add {left.kind === 'atLeast' ? 'at least ' : ''}
          <Kilos {...toSpare(kg(left.kg))} />, spread evenly ({bindsWords(left.by)}).
        </>
      )
  }
}

/** What may still be added in the state on show, to each rack, and which link says so. */
function Allowances({ survey, state }: { survey: Survey; state: State }) {
  const several = survey.racks.length > 1
  return (
    <ul className="mt-2 text-aside leading-snug" aria-label={`What may be added, ${STATE_WORD[state]}`}>
      {survey.allowances
        .filter((allowance) => allowance.state === state)
        .map((allowance) => {
          const rack = survey.racks.find((each) => each.rack.id === allowance.rackId)
          if (!rack || rack.rack.kind === 'ladder') return null
          const where = several ? `${rack.rack.name}: ` : ''
          return (
            <li key={allowance.rackId}>
              {where}
              <AddWords left={leftOnRack(allowance)} />
            </li>
          )
        })}
    </ul>
  )
}

/** The chain of links in their physical order, a column for each state. The signature of the screen. */
export function LoadPathTable({ survey, review }: { survey: Survey; review: Review }) {
  const units = useUnits()
  const state = usePlan((store) => store.state)
  const { layers } = survey.loadPath
  const box = useRef<HTMLElement>(null)
  useRoving(box, 'td button', acrossTable, layers)
  return (
    <section ref={box} aria-labelledby="load-path-title" className="px-3 pt-3 pb-2">
      <h2 id="load-path-title" className="text-body">
        Load path
      </h2>
      {layers.length === 0 ? (
        <NoRack survey={survey} />
      ) : (
        <table className="w-full table-fixed border-collapse [&_th:first-child]:w-[34%]">
          <thead>
            <tr>
              <th scope="col" className="text-ink2 text-left text-note font-normal">
                {tableUnit(units)}, carried / limit
              </th>
              {STATES.map((each) => (
                <th key={each} scope="col" className="text-note font-semibold">
                  {STATE_WORD[each]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {layers.map((layer) => (
              <LayerRow
                key={layer.id}
                layer={layer}
                cells={STATES.map((each): RowCell | undefined => {
                  const cell = survey.loadPath.cellAt(layer.id, each)
                  return (
                    cell && {
                      cell,
                      severity: layerSeverity(review, layer.id, each),
                      governs: survey.loadPath.governing[each] === cell,
                    }
                  )
                })}
              />
            ))}
          </tbody>
        </table>
      )}
      <Allowances survey={survey} state={state} />
      <LeftIn survey={survey} />
    </section>
  )
}

/** What the vehicle brings to hold a rack, and what it still lacks. */
function NoRack({ survey }: { survey: Survey }) {
  const { attachments, name } = survey.plan.vehicle
  return (
    <p className="mt-1">
      {attachments.length === 0
        ? `${name} has no attachment for a rack yet. Enter one under Vehicle (rails, points, gutters, a bed).`
        : `${name} brings ${attachments.map((each) => each.name).join(', ')}. It still needs a rack: bars, a platform, a bed rack or a frame rack. Add one under Racks.`}
    </p>
  )
}

/** Where a load is shared between racks, how much each takes; said only when it is. */
function LeftIn({ survey }: { survey: Survey }) {
  const shared = survey.masses.filter((mass) => mass.of === 'gear' && mass.racks.length > 1)
  if (shared.length === 0) return null
  return (
    <ul className="text-ink2 mt-1 text-aside leading-snug">
      {shared.map((mass) => (
        <li key={mass.id}>
          <PhraseLine
            phrase={[
              `${mass.label}: `,
              ...mass.racks.flatMap(([rack, share], i) => [
                i > 0 ? ', ' : '',
                { dimension: 'mass' as const, value: mass.kg * share },
                ` on the ${survey.racks[rack]?.rack.name ?? 'rack'}`,
              ]),
              '.',
            ]}
          />
        </li>
      ))}
    </ul>
  )
}
