'use client'
import type { Fitting } from '@/core/plan/placement'
import type { ThingAt } from '@/core/survey/arrangement'
import { isLong } from '@/core/survey/fit/long-load'
import { Quantity } from '@/ui/quantity/quantity'
import { usePlan } from './plan-store'

const NO_LINES = { bow: false, stern: false }

/** What holds the picked thing besides what came with it, and the lines of a long load. */
export function HeldBy({ thing }: { thing: ThingAt }) {
  const { run } = usePlan.getState()
  const { id: placementId, fitting, lines = NO_LINES } = thing.placement
  const without = (key: keyof Fitting) => {
    const { [key]: _, ...rest } = fitting ?? {}
    run({ do: 'setFitting', placementId, fitting: rest })
  }
  return (
    <>
      {fitting?.adapter && (
        <button type="button" className="plain" onClick={() => without('adapter')}>
          Take off {fitting.adapter.name.toLowerCase()}
        </button>
      )}
      {fitting?.boltMm !== undefined && (
        <button type="button" className="plain" onClick={() => without('boltMm')}>
          Bolts of <Quantity dimension="length" value={fitting.boltMm} />: use its own
        </button>
      )}
      {fitting?.nutSlotMm !== undefined && (
        <button type="button" className="plain" onClick={() => without('nutSlotMm')}>
          Nuts for <Quantity dimension="length" value={fitting.nutSlotMm} />: use its own
        </button>
      )}
      {fitting?.hole !== undefined && (
        <button type="button" className="plain" onClick={() => without('hole')}>
          Hole {fitting.hole + 1}: use the first
        </button>
      )}
      {isLong(thing) && (
        <fieldset className="flex items-end gap-3">
          <legend className="field-label">Lines</legend>
          {(['bow', 'stern'] as const).map((end) => (
            <label key={end} className="flex min-h-11 items-center gap-1.5">
              <input
                type="checkbox"
                className="h-5 w-5"
                checked={lines[end]}
                onChange={(event) => {
                  run({ do: 'setLines', placementId, lines: { ...lines, [end]: event.target.checked } })
                }}
              />
              {end}
            </label>
          ))}
        </fieldset>
      )}
    </>
  )
}
