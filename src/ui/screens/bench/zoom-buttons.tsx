'use client'
import type { Survey } from '@/core'
import { Minus, Plus } from 'lucide-react'
import { FieldSwitch } from './field-switch'
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
    <div role="group" aria-label="What the drawing shows" className="zoom-buttons">
      <FieldSwitch />
      <button type="button" className="plain" aria-pressed={!zoomed} onClick={whole}>
        Vehicle
      </button>
      <button
        type="button"
        className="plain"
        disabled={!rack}
        onClick={() => {
          if (rack) onto(survey, rack)
        }}
      >
        Rack
      </button>
      <button
        type="button"
        className="plain"
        disabled={!box}
        onClick={() => {
          if (box) onto(survey, box)
        }}
      >
        Picked
      </button>
      <button
        type="button"
        className="plain"
        aria-label="Zoom in"
        onClick={() => {
          by(survey, 1.4)
        }}
      >
        <Plus size={18} aria-hidden />
      </button>
      <button
        type="button"
        className="plain"
        aria-label="Zoom out"
        disabled={!zoomed}
        onClick={() => {
          by(survey, 1 / 1.4)
        }}
      >
        <Minus size={18} aria-hidden />
      </button>
    </div>
  )
}
