import type { MassPoint, State, Survey } from '@/core'
import { BASIS_WORD } from '@/ui/kit/basis-word'
import { Quantity } from '@/ui/kit/quantity'
import { Behind } from '@/ui/kit/panel'

/** Thing by thing, what lands on each of several supports in a state: the parts behind every figure of a picture. */
export function WhatLands({
  survey,
  state,
  title,
  supports,
  of,
  own,
}: {
  survey: Survey
  state: State
  title: string
  supports: readonly { readonly index: number; readonly name: string }[]
  of: (mass: MassPoint) => MassPoint['feet']
  /** Whether the rack's own parts are among them. */
  own: boolean
}) {
  const wanted = new Set(supports.map(({ index }) => index))
  const masses = survey.masses.filter(
    (mass) =>
      mass.kg > 0 &&
      mass.states.includes(state) &&
      (own || mass.of !== 'part') &&
      of(mass).some(([index]) => wanted.has(index)),
  )
  if (masses.length === 0) return null
  const on = (mass: MassPoint, index: number) =>
    mass.kg * mass.factor * of(mass).reduce((sum, [at, share]) => (at === index ? sum + share : sum), 0)
  const total = (title: string, which: readonly MassPoint[]) => [
    <strong key="total">{title}</strong>,
    <Quantity
      key="kg"
      dimension="mass"
      value={which.reduce((sum, { kg, factor }) => sum + kg * factor, 0)}
    />,
    '',
    ...supports.map(({ index }) => (
      <strong key={index}>
        <Quantity dimension="mass" value={which.reduce((sum, mass) => sum + on(mass, index), 0)} />
      </strong>
    )),
  ]
  const load = masses.filter((mass) => mass.of !== 'part')
  return (
    <Behind
      title={title}
      head={['What', 'Mass', 'Known by', ...supports.map(({ name }) => name)]}
      rows={[
        ...masses.map((mass) => [
          mass.label,
          <Quantity key="kg" dimension="mass" value={mass.kg * mass.factor} />,
          BASIS_WORD[mass.basis],
          ...supports.map(({ index }) => <Quantity key={index} dimension="mass" value={on(mass, index)} />),
        ]),
        total('The load alone', load),
        ...(own ? [total('With the rack’s own', masses)] : []),
      ]}
    />
  )
}
