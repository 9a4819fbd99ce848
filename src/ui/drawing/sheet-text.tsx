import { memo } from 'react'

const FRACTION = /(\d+\/\d+)/

/** Text on the sheet, px; fractions set as fractions, with a halo so that lines do not cross it. */
export const SheetText = memo(function SheetText({
  x,
  y,
  text,
  anchor = 'start',
  variant = '',
}: {
  x: number
  y: number
  text: string
  anchor?: 'start' | 'middle' | 'end'
  variant?: string
}) {
  return (
    <text x={x} y={y} textAnchor={anchor} className={`sheet-text sheet-halo ${variant}`}>
      {text.split(FRACTION).map((bit, i) =>
        FRACTION.test(bit) ? (
          <tspan key={i} className="frac">
            {bit}
          </tspan>
        ) : (
          bit
        ),
      )}
    </text>
  )
})
