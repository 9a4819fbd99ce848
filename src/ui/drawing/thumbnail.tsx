import type { Survey } from '@/core'
import { memo } from 'react'
import { extentOf } from '@/ui/drawing/layout'
import { SideFigure } from '@/ui/drawing/side-figure'

/** A job from the side, small: the vehicle with all that is on it, always to the same scale. */
export const Thumbnail = memo(function Thumbnail({ survey }: { survey: Survey }) {
  const { x0, x1 } = extentOf(survey)
  const width = Math.max(x1 - x0, 6600)
  const height = 3120
  const left = (x0 + x1 - width) / 2
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="draw-layer block w-full" aria-hidden>
      <g transform={`matrix(1 0 0 -1 ${-left} ${height - 40})`}>
        <path d={`M ${left} 0 h ${width}`} className="draw-thin" />
        <SideFigure survey={survey} />
      </g>
    </svg>
  )
})
