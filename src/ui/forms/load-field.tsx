'use client'
import { Button } from '@/ui/kit/button'
import { BASES, type Basis, choicesOf, type Load, type Mass } from '@/core/api/plan'
import { Ellipsis, X } from 'lucide-react'
import { Choice } from '@/ui/kit/choice'
import { QuantityField } from '@/ui/figures/quantity-field'
import { refused, planStore } from '@/ui/state/plan-store'

const BASIS_CHOICES = choicesOf(BASES, ({ word }) => word).filter(([basis]) => BASES[basis].said)

/** The words to choose from, and the one it has now where a form or a fix has set it. */
export const basisChoices = (now: Basis): readonly (readonly [Basis, string])[] =>
  BASIS_CHOICES.some(([basis]) => basis === now) ? BASIS_CHOICES : [[now, BASES[now].word], ...BASIS_CHOICES]

/** A mass with what was typed for it: over a starting value or a target it is what somebody told. */
export function typedMass(mass: Mass, kg: number, typed: string): Mass {
  const made = mass.basis === 'start' || mass.basis === 'target' || mass.basis === 'unknown'
  const basis = made ? 'told' : mass.basis
  return { ...mass, basis, kg, typed: { kg: typed } }
}

function withAmount(load: Load, value: number, typed: string): Load {
  const { what } = load
  switch (what.kind) {
    case 'mass':
      return { ...load, what: { ...what, mass: typedMass(what.mass, value, typed) } }
    case 'fluid':
      return { ...load, what: { ...what, litres: value, typed: { litres: typed } } }
    case 'people':
      return { ...load, what: { ...what, each: typedMass(what.each, value, typed) } }
  }
}

function withBasis(load: Load, basis: Basis): Load {
  const { what } = load
  switch (what.kind) {
    case 'mass':
      return { ...load, what: { ...what, mass: { ...what.mass, basis } } }
    case 'people':
      return { ...load, what: { ...what, each: { ...what.each, basis } } }
    case 'fluid':
      return load
  }
}

const LIES = [
  ['xMm', 'lie rearward'],
  ['yMm', 'lie to the right'],
] as const

/** Where on the floor people lie, from the tent's own middle. */
function Lies({ load, set }: { load: Load; set: (next: Load) => string | undefined }) {
  const at = load.atMm ?? { xMm: 0, yMm: 0 }
  return LIES.map(([axis, words]) => (
    <div key={axis} className="w-28">
      <QuantityField
        label={words}
        dimension="length"
        value={load.atMm?.[axis]}
        onValue={(mm) => set({ ...load, atMm: { ...at, [axis]: mm } })}
      />
    </div>
  ))
}

/** One load of a thing, to be changed in place: how much, how that is known, or out with it. */
export function LoadField({
  placementId,
  load,
  onMore,
}: {
  placementId: string
  load: Load
  /** Opens all that may be known of it. */
  onMore: () => void
}) {
  const { run } = planStore.getState()
  const { what } = load
  const set = (next: Load): string | undefined => refused(run({ do: 'setLoad', placementId, load: next }))
  const mass = what.kind === 'mass' ? what.mass : what.kind === 'people' ? what.each : undefined
  const people = what.kind === 'people' ? what : undefined
  return (
    <div className="flex items-end gap-1">
      {people && (
        <Choice
          className="w-16"
          label={load.name}
          value={String(people.count)}
          options={Array.from({ length: 9 }, (_, i) => [String(i), String(i)] as const)}
          onChange={(count) => set({ ...load, what: { ...people, count: Number(count) } })}
        />
      )}
      <QuantityField
        className="w-28"
        label={people ? 'each' : load.name}
        dimension={what.kind === 'fluid' ? 'volume' : 'mass'}
        value={what.kind === 'fluid' ? what.litres : mass?.kg}
        typed={what.kind === 'fluid' ? what.typed?.['litres'] : mass?.typed?.['kg']}
        onValue={(value, typed) => set(withAmount(load, value, typed))}
      />
      {mass && (
        <Choice
          className="w-36"
          label={`${load.name}: known by`}
          value={mass.basis}
          options={basisChoices(mass.basis)}
          onChange={(basis) => set(withBasis(load, basis))}
        />
      )}
      {people && <Lies load={load} set={set} />}
      <Button className="px-2" aria-label={`All of ${load.name}`} onClick={onMore}>
        <Ellipsis size={18} aria-hidden />
      </Button>
      <Button
        className="px-2"
        aria-label={`Take out ${load.name}`}
        onClick={() => run({ do: 'removeLoad', placementId, loadId: load.id })}
      >
        <X size={18} aria-hidden />
      </Button>
    </div>
  )
}
