import { landings, type MassPoint, type Survey } from '@/core/api/assess'
import type { State } from '@/core/api/plan'
import { BASIS_WORD } from '@/ui/forms/basis-word'
import { Quantity } from '@/ui/figures/quantity'
import { DataTableDisclosure } from '@/ui/kit/panel'

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
  const { each, load, withRack } = landings(
    survey.masses,
    state,
    supports.map(({ index }) => index),
    of,
  )
  const shown = own ? each : each.filter(({ mass }) => mass.of !== 'part')
  if (shown.length === 0) return null
  const sum = (words: string, { kg, onKg }: typeof load) => [
    <strong key="sum">{words}</strong>,
    <Quantity key="kg" dimension="mass" value={kg} />,
    '',
    ...onKg.map((value, i) => (
      <strong key={i}>
        <Quantity dimension="mass" value={value} />
      </strong>
    )),
  ]
  return (
    <DataTableDisclosure
      title={title}
      head={['What', 'Mass', 'Known by', ...supports.map(({ name }) => name)]}
      rows={[
        ...shown.map(({ mass, kg, onKg }) => [
          mass.label,
          <Quantity key="kg" dimension="mass" value={kg} />,
          BASIS_WORD[mass.basis],
          ...onKg.map((value, i) => <Quantity key={i} dimension="mass" value={value} />),
        ]),
        sum('The load alone', load),
        ...(own ? [sum('With the rack’s own', withRack)] : []),
      ]}
    />
  )
}
