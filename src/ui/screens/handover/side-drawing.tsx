import type { Survey } from '@/core/api/assess'
import { extentOf } from '@/drawing/layout'
import { SideFigure } from '@/ui/drawing/side-figure'

const ROOM_MM = 120

/** The side view at a stated scale: so many mm of paper, with a metre beside it to hold a ruler to. */
export function SideDrawing({ survey, scale }: { survey: Survey; scale: number }) {
  const { x0, x1 } = extentOf(survey)
  const top = Math.max(survey.drivingTop.topMm, survey.plan.vehicle.heightMm) + ROOM_MM
  const under = 260
  const width = x1 - x0
  return (
    <figure>
      <svg
        viewBox={`0 0 ${width} ${top + under}`}
        style={{ width: `${width / scale}mm`, height: `${(top + under) / scale}mm` }}
        className="draw-layer block max-w-full"
        role="img"
        aria-label={`${survey.plan.vehicle.name} from the side, 1 to ${scale}`}
        data-scale={scale}
      >
        <g transform={`matrix(1 0 0 -1 ${-x0} ${top})`}>
          <path d={`M ${x0} 0 H ${x1}`} className="ground" />
          <SideFigure survey={survey} />
          <path
            d={`M ${x0 + 60} -60 v -80 M ${x0 + 60} -100 h 1000 M ${x0 + 1060} -60 v -80`}
            className="draw-line"
            data-metre
          />
        </g>
        <text x={1110} y={top + 130} style={{ fontSize: 95 }} fill="currentColor">
          1 m, drawn 1 to {scale}
        </text>
      </svg>
    </figure>
  )
}
