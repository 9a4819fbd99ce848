'use client'
import { CONTROL_CLASS } from '@/ui/kit/control-class'
import { TickBox } from '@/ui/kit/field'
import { Button } from '@/ui/kit/button'
import { HOLE_LABEL, PLACEMENT_FIELDS, STRAPS_FIELDS } from '@/core/api/fields'
import { formatQuantity, type Fitting, type Straps } from '@/core/api/plan'
import { holesFor, isLong, isLoose, type ThingAt } from '@/core/api/assess'
import { Choice } from '@/ui/kit/choice'
import { Quantity } from '@/ui/figures/quantity'
import { QuantityField } from '@/ui/figures/quantity-field'
import { useUnits } from '@/ui/state/settings-store'
import { refused, planStore } from '@/ui/state/plan-store'

const NO_LINES = { bow: false, stern: false }
const NO_STRAPS: Straps = { count: 0 }
const STRAP_COUNTS = Array.from({ length: 11 }, (_, i) => [String(i), String(i)] as const)

/** What holds the picked thing besides what came with it, and the lines of a long load. */
export function HeldByLine({ thing }: { thing: ThingAt }) {
  const { run } = planStore.getState()
  const { id: placementId, fitting, lines = NO_LINES, straps = NO_STRAPS } = thing.placement
  const units = useUnits()
  const hole = holesFor(thing)
  const without = (key: keyof Fitting) => {
    const { [key]: _, ...rest } = fitting ?? {}
    run({ do: 'setFitting', placementId, fitting: rest })
  }
  return (
    <>
      {fitting?.adapter && (
        <Button onClick={() => without('adapter')}>Take off {fitting.adapter.name}</Button>
      )}
      {fitting?.boltMm !== undefined && (
        <Button onClick={() => without('boltMm')}>
          Bolts of <Quantity dimension="length" value={fitting.boltMm} />: use its own
        </Button>
      )}
      {fitting?.nutSlotMm !== undefined && (
        <Button onClick={() => without('nutSlotMm')}>
          Nuts for <Quantity dimension="length" value={fitting.nutSlotMm} />: use its own
        </Button>
      )}
      {hole && hole.holes.length > 1 && (
        <Choice
          className="w-44"
          label={HOLE_LABEL}
          value={String(hole.chosen)}
          options={hole.holes.map(({ fromMm, toMm }, i) => [
            String(i),
            `${i + 1}: handle ${formatQuantity('length', fromMm, units)} to ${formatQuantity('length', toMm, units)}`,
          ])}
          onChange={(chosen) =>
            run({ do: 'setFitting', placementId, fitting: { ...fitting, hole: Number(chosen) } })
          }
        />
      )}
      {isLoose(thing) && (
        <fieldset className="flex items-end gap-2">
          <legend className={CONTROL_CLASS.label}>{PLACEMENT_FIELDS.straps.label}</legend>
          <Choice
            className="w-16"
            label={STRAPS_FIELDS.count.label}
            value={String(straps.count)}
            options={STRAP_COUNTS}
            onChange={(count) =>
              run({ do: 'setStraps', placementId, straps: { ...straps, count: Number(count) } })
            }
          />
          <QuantityField
            className="w-28"
            label={STRAPS_FIELDS.eachKg.label}
            dimension="mass"
            value={straps.eachKg}
            onValue={(eachKg) =>
              refused(run({ do: 'setStraps', placementId, straps: { ...straps, eachKg } }))
            }
          />
        </fieldset>
      )}
      {isLong(thing) && (
        <fieldset className="flex items-end gap-3">
          <legend className={CONTROL_CLASS.label}>{PLACEMENT_FIELDS.lines.label}</legend>
          {(['bow', 'stern'] as const).map((end) => (
            <TickBox
              key={end}
              checked={lines[end]}
              onTick={(on) => run({ do: 'setLines', placementId, lines: { ...lines, [end]: on } })}
            >
              {end}
            </TickBox>
          ))}
        </fieldset>
      )}
    </>
  )
}
