import { GearWeight } from './gear-weight'
import type { Gear } from '@/core/api/plan'
import { Quantity } from '@/ui/figures/quantity'
import { thingPaths } from '@/drawing/thing-paths'

const SPACE_MM = 260

/** A piece of gear alone: from the side, from behind and from above, to one scale. */
export function GearDrawing({ gear }: { gear: Gear }) {
  const { lengthMm: l, widthMm: w, heightMm: h } = gear
  const width = l + w + SPACE_MM * 3
  const height = h + w + SPACE_MM * 3
  const views = [
    { facing: 'along', u: l, v: h, x: SPACE_MM + l / 2, y: SPACE_MM + h / 2 },
    { facing: 'across', u: w, v: h, x: SPACE_MM * 2 + l + w / 2, y: SPACE_MM + h / 2 },
    { facing: 'above', u: l, v: w, x: SPACE_MM + l / 2, y: SPACE_MM * 2 + h + w / 2 },
  ] as const
  return (
    <div className="sheet-box p-4">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="draw-layer max-h-[70%] w-full"
        role="img"
        aria-label={`${gear.name}, drawn from what is typed`}
      >
        {views.map(({ facing, u, v, x, y }) => {
          const paths = thingPaths(gear, facing, u, v, false)
          return (
            <g key={facing} transform={`translate(${x} ${y}) scale(1 -1)`}>
              <path d={paths.outline} className="draw-thing" />
              <path d={paths.detail} className="draw-detail" />
            </g>
          )
        })}
      </svg>
      <p className="text-ink2 mt-2">
        <Quantity dimension="length" value={l} /> long, <Quantity dimension="length" value={w} /> wide,{' '}
        <Quantity dimension="length" value={h} /> high, <GearWeight mass={gear.mass} />
      </p>
    </div>
  )
}
