import { memo } from 'react'
import { DimensionLine } from './dimension-line'
import type { LabelLook, LabelSpot, PlacedLabel } from './place-labels'
import { SheetText } from './sheet-text'

const VARIANT: Readonly<Record<LabelLook, string>> = {
  plain: '',
  quiet: 'sheet-quiet',
  title: 'sheet-title',
  name: 'sheet-name',
  letter: 'sheet-letter',
  small: 'sheet-small',
  stop: 'sheet-stop',
}

interface WordProps {
  readonly x: number
  readonly y: number
  readonly text: string
  readonly anchor: LabelSpot['anchor']
  readonly variant: LabelLook
  readonly lineFrom: number | undefined
  readonly lineTo: number | undefined
  readonly lineY: number | undefined
}

/** One word in figures alone: most words stay as they were while something is dragged. */
const Word = memo(function Word({ x, y, text, anchor, variant, lineFrom, lineTo, lineY }: WordProps) {
  return (
    <g>
      {lineFrom !== undefined && lineTo !== undefined && lineY !== undefined && (
        <DimensionLine from={lineFrom} to={lineTo} y={lineY} />
      )}
      <SheetText x={x} y={y} text={text} anchor={anchor} variant={VARIANT[variant]} />
    </g>
  )
})

/** All that is written on the sheet, each word where it was given a place. */
export function Words({ placed }: { placed: ReadonlyMap<string, PlacedLabel> }) {
  return (
    <g aria-hidden className="pointer-events-none" data-words>
      {[...placed.values()].map(({ key, text, variant, spot: { x, y, anchor, line } }) => (
        <Word
          key={key}
          x={x}
          y={y}
          text={text}
          anchor={anchor}
          variant={variant}
          lineFrom={line?.from}
          lineTo={line?.to}
          lineY={line?.y}
        />
      ))}
    </g>
  )
}
