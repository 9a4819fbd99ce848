import type { ThingAt } from '@/core/api/assess'
import { memo } from 'react'
import type { ViewName } from '@/drawing/layout'
import { Marks } from './marks'
import { placedAt, thingMarks } from '@/drawing/thing-marks'

interface Props {
  readonly thing: ThingAt
  readonly view: ViewName
  readonly picked: boolean
  readonly pointedAt: boolean
  readonly absent: boolean
}

/** A piece of gear in one view. What is not there in the state on show is drawn dashed. */
export const ThingView = memo(function ThingView({ thing, view, picked, pointedAt, absent }: Props) {
  const variant = `${picked ? 'draw-picked' : ''} ${pointedAt ? 'draw-pointed' : ''} ${absent ? 'draw-absent' : ''}`
  return (
    <g transform={placedAt(thing, view)} className={variant}>
      <Marks marks={thingMarks(thing, view)} />
    </g>
  )
})
