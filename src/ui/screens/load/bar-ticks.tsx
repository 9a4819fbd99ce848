'use client'
import { carryingBars, placeOn, type Survey, type ThingAt } from '@/core/api/assess'
import { useState } from 'react'
import { Button } from '@/ui/kit/button'
import { TickBox } from '@/ui/kit/field'
import { Note } from '@/ui/kit/field-note'
import { Modal } from '@/ui/kit/modal'
import { planStore } from '@/ui/state/plan-store'

/** Which bars a thing stands on, one by one and of any rack: a long load may lie on one bar of each. */
export function BarTicks({ thing, survey }: { thing: ThingAt; survey: Survey }) {
  const [open, setOpen] = useState(false)
  const { placement, gear } = thing
  const { host, id: placementId } = placement
  const bars = carryingBars(survey.plan)
  if (bars.length < 3) return null
  const now = host.on === 'bars' ? host.barIds : []
  const tick = (barId: string, on: boolean) => {
    const barIds = bars.flatMap(([id]) => ((id === barId ? on : now.includes(id)) ? [id] : []))
    const next = { on: 'bars', barIds } as const
    if (barIds.length > 0)
      planStore.getState().run({ do: 'rehost', placementId, host: next, ...placeOn(survey, thing, next) })
  }
  return (
    <>
      <Button onClick={() => setOpen(true)}>Choose bars</Button>
      {open && (
        <Modal title={`Bars under ${gear.name}`} onClose={() => setOpen(false)}>
          <div className="grid gap-2">
            {bars.map(([id, name]) => (
              <TickBox key={id} checked={now.includes(id)} onTick={(on) => tick(id, on)}>
                {name}
              </TickBox>
            ))}
          </div>
          {now.length === 1 && <Note>It stands on one bar. Tick another before you take this one off.</Note>}
        </Modal>
      )}
    </>
  )
}
