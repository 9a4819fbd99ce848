'use client'
import { Fact } from '@/ui/kit/fact'
import { type BarAt, barEnds, spreadBehind, type Survey } from '@/core/api/assess'
import { LIKED_SPREAD_MM, typedOver, withRise } from '@/core/api/plan'
import { Quantity } from '@/ui/figures/quantity'
import { QuantityField } from '@/ui/figures/quantity-field'
import { refused, planStore } from '@/ui/state/plan-store'
import { SpreadList } from './spread-list'

/** The picked bar's numbers. */
export function BarStrip({ at, survey }: { at: BarAt; survey: Survey }) {
  const { run } = planStore.getState()
  const { bar, rack } = at
  const ends = barEnds(bar)
  const spread = spreadBehind(survey, bar.id)
  const width = survey.fit.widths().find((each) => each.rack.rack.id === rack.id)
  // What is typed over a starting value is one no more.
  const setBar = ({ known, ...next }: typeof bar, field: keyof typeof bar, typed: string) => {
    const left = typedOver(known, field)
    const text = { ...bar.typed, [field]: typed }
    return refused(run({ do: 'setBar', bar: { ...next, ...(left ? { known: left } : {}), typed: text } }))
  }
  const set = (patch: Partial<typeof bar>, field: keyof typeof bar, typed: string) =>
    setBar({ ...bar, ...patch }, field, typed)
  const length = (
    label: string,
    field: 'xMm' | 'lengthMm' | 'usableMm' | 'riseMm',
    onValue = (mm: number, typed: string) => set({ [field]: mm }, field, typed),
  ) => (
    <QuantityField
      className="w-30"
      label={label}
      dimension="length"
      value={bar[field]}
      typed={bar.typed?.[field]}
      onValue={onValue}
    />
  )
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <h2 className="min-w-28 self-center text-lead leading-tight">
          {bar.name}
          <span className="text-ink2 block text-note font-normal">{rack.name}</span>
        </h2>
        {length('x, middle of bar', 'xMm', (xMm, typed) =>
          refused(run({ do: 'moveBar', barId: bar.id, xMm, typed: { xMm: typed } })),
        )}
        {length('Length overall', 'lengthMm', (lengthMm, typed) =>
          set({ lengthMm, usableMm: Math.min(bar.usableMm, lengthMm) }, 'lengthMm', typed),
        )}
        {length('Usable width', 'usableMm')}
        {length('Room under it', 'riseMm', (riseMm, typed) => setBar(withRise(bar, riseMm), 'riseMm', typed))}
      </div>
      <dl className="mt-2 flex flex-wrap gap-x-8 gap-y-2">
        <Fact title="Past the outer feet, from their centres">
          left <Quantity dimension="length" value={ends.leftMm} />, right{' '}
          <Quantity dimension="length" value={ends.rightMm} />
        </Fact>
        {spread !== undefined && (
          <Fact
            title="Spread to the next bar, centre to centre"
            note={
              <>
                most gear likes <Quantity dimension="length" value={LIKED_SPREAD_MM.from} /> to{' '}
                <Quantity dimension="length" value={LIKED_SPREAD_MM.to} />: a hint, no rule
              </>
            }
          >
            <Quantity dimension="length" value={spread} />
          </Fact>
        )}
        {width && (
          <Fact title="Widest thing that fits over all its bars">
            <Quantity dimension="length" value={width.widestMm} />
          </Fact>
        )}
        <SpreadList survey={survey} barId={bar.id} />
      </dl>
    </>
  )
}
