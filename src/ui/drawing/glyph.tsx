import type { Gear } from '@/core/api/plan'
import { memo } from 'react'
import { thingPaths } from '@/drawing/thing-paths'

/** A thing from above, small: its true proportions in a box of 44 by 30 px. */
export const Glyph = memo(function Glyph({ gear }: { gear: Gear }) {
  const standing = gear.kind === 'bike' || gear.kind === 'person' || gear.kind === 'can'
  const length = gear.lengthMm
  const width = standing ? gear.heightMm : gear.widthMm
  const scale = Math.min(42 / length, 28 / width)
  const paths = thingPaths(gear, standing ? 'along' : 'above', length, width, false)
  return (
    <svg width="46" height="32" aria-hidden className="draw-layer shrink-0">
      <g transform={`matrix(${scale} 0 0 ${-scale} 23 16)`}>
        <path d={paths.outline} className="draw-thing" />
        <path d={paths.detail} className="draw-detail" />
      </g>
    </svg>
  )
})
