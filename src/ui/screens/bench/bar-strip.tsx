'use client'
import { LOOK_OF } from '@/ui/kit/field'
import { type BarAt, barEnds, LIKED_SPREAD_MM, spreadBehind, type Survey } from '@/core'
import { Quantity } from '@/ui/kit/quantity'
import { QuantityField } from '@/ui/kit/quantity-field'
import { refused, usePlan } from '@/ui/state/plan-store'
import { SpreadList } from './spread-list'

/** The picked bar's numbers. */
export function BarStrip({ at, survey }: { at: BarAt; survey: Survey }) {
  const { run } = usePlan.getState()
  const { bar, rack } = at
  const ends = barEnds(bar)
  const spread = spreadBehind(survey, bar.id)
  const width = survey.fit.widths().find((each) => each.rack.rack.id === rack.id)
  const set = (patch: Partial<typeof bar>, field: keyof typeof bar, typed: string) =>
    refused(run({ do: 'setBar', bar: { ...bar, ...patch, typed: { ...bar.typed, [field]: typed } } }))
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <h2 className="min-w-28 self-center text-[16px] leading-tight">
          {bar.name}
          <span className="text-ink2 block text-[12px] font-normal">{rack.name}</span>
        </h2>
        <div className="w-30">
          <QuantityField
            label="x, middle of bar"
            dimension="length"
            value={bar.xMm}
            typed={bar.typed?.['xMm']}
            onValue={(xMm, typed) =>
              refused(run({ do: 'moveBar', barId: bar.id, xMm, typed: { xMm: typed } }))
            }
          />
        </div>
        <div className="w-30">
          <QuantityField
            label="Length overall"
            dimension="length"
            value={bar.lengthMm}
            typed={bar.typed?.['lengthMm']}
            onValue={(lengthMm, typed) =>
              set({ lengthMm, usableMm: Math.min(bar.usableMm, lengthMm) }, 'lengthMm', typed)
            }
          />
        </div>
        <div className="w-30">
          <QuantityField
            label="Usable width"
            dimension="length"
            value={bar.usableMm}
            typed={bar.typed?.['usableMm']}
            onValue={(usableMm, typed) => set({ usableMm }, 'usableMm', typed)}
          />
        </div>
        <div className="w-30">
          <QuantityField
            label="Room under it"
            dimension="length"
            value={bar.riseMm}
            typed={bar.typed?.['riseMm']}
            onValue={(riseMm, typed) => set({ riseMm }, 'riseMm', typed)}
          />
        </div>
      </div>
      <dl className="mt-2 flex flex-wrap gap-x-8 gap-y-2">
        <div>
          <dt className={LOOK_OF.label}>Past the outer feet, from their centres</dt>
          <dd>
            left <Quantity dimension="length" value={ends.leftMm} />, right{' '}
            <Quantity dimension="length" value={ends.rightMm} />
          </dd>
        </div>
        {spread !== undefined && (
          <div>
            <dt className={LOOK_OF.label}>Spread to the next bar, centre to centre</dt>
            <dd>
              <Quantity dimension="length" value={spread} />
            </dd>
            <dd className="text-ink2 text-[0.82rem]">
              most gear likes <Quantity dimension="length" value={LIKED_SPREAD_MM.from} /> to{' '}
              <Quantity dimension="length" value={LIKED_SPREAD_MM.to} />: a hint, no rule
            </dd>
          </div>
        )}
        {width && (
          <div>
            <dt className={LOOK_OF.label}>Widest that would still go over all its bars</dt>
            <dd>
              <Quantity dimension="length" value={width.widestMm} />
            </dd>
          </div>
        )}
        <SpreadList survey={survey} barId={bar.id} />
      </dl>
    </>
  )
}
