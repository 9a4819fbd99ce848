'use client'
import { Button } from '@/ui/kit/button'
import type { Survey } from '@/core/api/assess'
import { Minus, Plus } from 'lucide-react'
import type { ReactNode } from 'react'
import type { Picked } from '@/ui/state/plan-store'
import { rackBox, useZoom, zoomStore } from '@/ui/drawing/zoom-store'

/** How much of the vehicle the sheet shows. */
export function ZoomButtons({ survey, picked }: { survey: Survey; picked: Picked | undefined }) {
  const { by, onto, whole } = zoomStore.getState()
  const zoomed = useZoom((store) => store.zoom !== undefined)
  const rack = rackBox(survey)
  const box =
    picked?.kind === 'thing'
      ? survey.thingById.get(picked.id)?.box
      : survey.bars.find((at) => at.bar.id === picked?.id)?.box
  const key = (name: string, words: ReactNode, onClick: () => void, can = true, pressed?: boolean) => (
    <Button
      variant="quiet"
      aria-label={name}
      disabled={!can}
      onClick={onClick}
      {...(pressed === undefined ? {} : { pressed })}
    >
      {words}
    </Button>
  )
  return (
    <div role="group" aria-label="What the drawing shows" className="flex flex-wrap">
      {key('Vehicle', 'Vehicle', whole, true, !zoomed)}
      {key('Rack', 'Rack', () => rack && onto(survey, rack), rack !== undefined)}
      {key('Picked', 'Picked', () => box && onto(survey, box), box !== undefined)}
      {key('Zoom in', <Plus size={18} aria-hidden />, () => by(survey, 1.4))}
      {key('Zoom out', <Minus size={18} aria-hidden />, () => by(survey, 1 / 1.4), zoomed)}
    </div>
  )
}
