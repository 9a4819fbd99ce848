import type { Survey } from '@/core/api/assess'
import { memo } from 'react'
import { Marks } from './marks'
import { pictureOf, type Picture } from '@/drawing/side-marks'

const HEIGHT_MM = 3120

/** A job from the side, small: the vehicle with all that is on it, always to the same scale. */
export const SmallPicture = memo(function SmallPicture({ picture }: { picture: Picture }) {
  const { left, width, marks } = picture
  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT_MM}`} className="draw-layer block w-full" aria-hidden>
      <g transform={`matrix(1 0 0 -1 ${-left} ${HEIGHT_MM - 40})`}>
        <path d={`M ${left} 0 h ${width}`} className="draw-thin" />
        <Marks marks={marks} />
      </g>
    </svg>
  )
})

/** The same of a survey that is at hand. */
export const Thumbnail = memo(function Thumbnail({ survey }: { survey: Survey }) {
  return <SmallPicture picture={pictureOf(survey)} />
})
