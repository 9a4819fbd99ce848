'use client'
import { type Fitting, isLong, isLoose, type Straps, type ThingAt } from '@/core'
import { Choice } from '@/ui/kit/choice'
import { Quantity } from '@/ui/kit/quantity'
import { QuantityField } from '@/ui/kit/quantity-field'
import { refused, usePlan } from '@/ui/state/plan-store'

const NO_LINES = { bow: false, stern: false }
const NO_STRAPS: Straps = { count: 0 }
const STRAP_COUNTS = Array.from({ length: 11 }, (_, i) => [String(i), String(i)] as const)

/** What holds the picked thing besides what came with it, and the lines of a long load. */
export function HeldByLine({ thing }: { thing: ThingAt }) {
  const { run } = usePlan.getState()
  const { id: placementId, fitting, lines = NO_LINES, straps = NO_STRAPS } = thing.placement
  const without = (key: keyof Fitting) => {
    const { [key]: _, ...rest } = fitting ?? {}
    run({ do: 'setFitting', placementId, fitting: rest })
  }
  return (
    <>
      {fitting?.adapter && (
        <button type="button" className="plain" onClick={() => without('adapter')}>
          Take off {fitting.adapter.name}
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
      {isLoose(thing) && (
        <fieldset className="flex items-end gap-2">
          <legend className="field-label">Straps over it</legend>
          <div className="w-16">
            <Choice
              label="How many"
              value={String(straps.count)}
              options={STRAP_COUNTS}
              onChange={(count) =>
                run({ do: 'setStraps', placementId, straps: { ...straps, count: Number(count) } })
              }
            />
          </div>
          <div className="w-28">
            <QuantityField
              compact
              label="Each, by its label"
              dimension="mass"
              value={straps.eachKg}
              onValue={(eachKg) =>
                refused(run({ do: 'setStraps', placementId, straps: { ...straps, eachKg } }))
              }
            />
          </div>
        </fieldset>
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
