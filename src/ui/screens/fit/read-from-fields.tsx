'use client'
import { isPlace, type ReadFrom, readFromWords, type Taped, TAPED_NAME } from '@/core/api/fit'
import { formatQuantity } from '@/core/api/plan'
import { useState } from 'react'
import { QuantityField } from '@/ui/figures/quantity-field'
import { Choice } from '@/ui/kit/choice'
import { useUnits } from '@/ui/state/settings-store'

const EDGES = [
  ['screen', 'the windscreen’s upper edge'],
  ['rear', 'the roof’s rear edge'],
  ['mark', 'another mark'],
] as const

/** What a tape is read from, where that is not its usual mark, and what it shows there instead of nought. */
export function ReadFromFields({
  taped,
  from,
  tapeZeroMm,
  sheetMark,
  onFrom,
}: {
  taped: Taped
  from: ReadFrom | undefined
  /** How far the line on the rack's own tape is from its end, where that is known. */
  tapeZeroMm: number | undefined
  /** The mark from which the rack's sheet measures, where it names one. */
  sheetMark: string | undefined
  onFrom: (from: ReadFrom | undefined) => void
}) {
  const units = useUnits()
  const length = (mm: number) => formatQuantity('length', mm, units)
  const [asksZero, setAsksZero] = useState(false)
  // A mark stands nowhere until somebody has typed where.
  const [asksMark, setAsksMark] = useState(false)
  const { edge, zeroMm } = from ?? {}
  const put = (next: ReadFrom) =>
    onFrom(next.edge === undefined && next.zeroMm === undefined ? undefined : next)
  const withEdge = (next: ReadFrom['edge']) =>
    put({ ...(next && { edge: next }), ...(zeroMm !== undefined && { zeroMm }) })
  const withZero = (next: number | undefined) =>
    put({ ...(edge && { edge }), ...(next !== undefined && { zeroMm: next }) })
  const isOther = asksZero || (zeroMm !== undefined && zeroMm !== 0 && zeroMm !== tapeZeroMm)
  // With a tape that has a line of its own, its zero is something that is said.
  const unsaid = tapeZeroMm === undefined ? 'zero' : 'unsaid'
  const zeroOf = (held: string) =>
    held === 'end' ? tapeZeroMm : held === 'zero' && tapeZeroMm !== undefined ? 0 : undefined
  const name = TAPED_NAME[taped]
  return (
    <details>
      <summary className="min-h-9 cursor-pointer py-1.5 text-aside">
        {from !== undefined
          ? `Read ${readFromWords(from, length)}`
          : isPlace(taped)
            ? 'Read from another mark'
            : 'Tape held otherwise'}
      </summary>
      <div className="grid gap-2 pb-2">
        {isPlace(taped) && (
          <Choice
            label={`${name}: read from`}
            value={asksMark ? 'mark' : (edge?.is ?? 'screen')}
            options={[
              ...(sheetMark === undefined ? [] : [['sheet', `its sheet’s mark: ${sheetMark}`] as const]),
              ...EDGES,
            ]}
            onChange={(is) => {
              setAsksMark(is === 'mark')
              if (is !== 'mark') withEdge(is === 'rear' || is === 'sheet' ? { is } : undefined)
            }}
          />
        )}
        {(asksMark || edge?.is === 'mark') && (
          <QuantityField
            label={`${name}: the mark is behind the windscreen’s upper edge by`}
            dimension="length"
            value={edge?.is === 'mark' ? edge.xMm : undefined}
            onValue={(xMm) => {
              setAsksMark(false)
              withEdge({ is: 'mark', xMm })
              return undefined
            }}
          />
        )}
        <Choice
          label={`${name}: tape held`}
          value={isOther ? 'other' : zeroMm === undefined ? unsaid : zeroMm === 0 ? 'zero' : 'end'}
          options={[
            ...(tapeZeroMm === undefined ? [] : [['unsaid', 'not said'] as const]),
            ['zero', 'with its zero there'],
            ...(tapeZeroMm === undefined
              ? []
              : [['end', `with its end there, ${length(tapeZeroMm)} before its line`] as const]),
            ['other', 'otherwise: it shows something there'],
          ]}
          onChange={(held) => {
            setAsksZero(held === 'other')
            if (held !== 'other') withZero(zeroOf(held))
          }}
        />
        {isOther && (
          <QuantityField
            label={`${name}: the tape shows there`}
            dimension="length"
            value={zeroMm}
            onValue={(value) => {
              withZero(value)
              return undefined
            }}
          />
        )}
      </div>
    </details>
  )
}
