import { DimensionLine } from './dimension-line'
import type { LabelLook, PlacedLabel } from './place-labels'
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

/** All that is written on the sheet, each word where it was given a place. */
export function Words({ placed }: { placed: ReadonlyMap<string, PlacedLabel> }) {
  return (
    <g aria-hidden className="pointer-events-none" data-words>
      {[...placed.values()].map(({ key, text, variant, spot }) => (
        <g key={key}>
          {spot.line && <DimensionLine {...spot.line} />}
          <SheetText x={spot.x} y={spot.y} text={text} anchor={spot.anchor} variant={VARIANT[variant]} />
        </g>
      ))}
    </g>
  )
}
