'use client'
import { Button } from '@/ui/kit/button'
import type { Survey } from '@/core'
import { Minus, Plus } from 'lucide-react'
import type { Picked } from '@/ui/state/plan-store'
import { rackBox, useZoom } from '@/ui/drawing/zoom-store'

/** How much of the vehicle the sheet shows. */
export function ZoomButtons({ survey, picked }: { survey: Survey; picked: Picked | undefined }) {
  const { by, onto, whole } = useZoom.getState()
  const zoomed = useZoom((store) => store.zoom !== undefined)
  const rack = rackBox(survey)
  const box =
    picked?.kind === 'thing'
      ? survey.thingById.get(picked.id)?.box
      : survey.bars.find((at) => at.bar.id === picked?.id)?.box
  return (
    <div role="group" aria-label="What the drawing shows" className="flex flex-wrap">
      <Button look="quiet" aria-pressed={!zoomed} onClick={whole}>
        Vehicle
      </Button>
      <Button
        look="quiet"
        disabled={!rack}
        onClick={() => {
          if (rack) onto(survey, rack)
        }}
      >
        Rack
      </Button>
      <Button
        look="quiet"
        disabled={!box}
        onClick={() => {
          if (box) onto(survey, box)
        }}
      >
        Picked
      </Button>
      <Button look="quiet" aria-label="Zoom in" onClick={() => by(survey, 1.4)}>
        <Plus size={18} aria-hidden />
      </Button>
      <Button look="quiet" aria-label="Zoom out" disabled={!zoomed} onClick={() => by(survey, 1 / 1.4)}>
        <Minus size={18} aria-hidden />
      </Button>
    </div>
  )
}
