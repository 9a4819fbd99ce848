import type { ThingAt } from '../frame/arrangement'
import { isLong } from '../bars/long-load'
import type { MassPoint } from '../loads/mass-point'
import { STANDARD_GRAVITY } from '../../units/dimension'
import type { InWind } from './wind'

/** How much lighter a load may get for a moment on a bump, in parts of its weight. Rough; common practice, no source. */
export const BOUNCE = 0.5

/** What would lift the front of a long load about its rear bar, against what holds it down there. N·m. */
export interface NoseUp {
  readonly thing: ThingAt
  readonly upNm: number
  readonly holdsNm: number
  readonly aheadMm: number
}

/**
 * Long loads that run ahead of their front bar: the wind's uplift at its rough upper end on their whole length, and
 * a bump's bounce, about the rear bar, against their own weight. Moments; handbook statics, from memory.
 */
export function noseUps(
  things: readonly ThingAt[],
  bars: readonly { readonly bar: { readonly id: string; readonly xMm: number } }[],
  masses: readonly MassPoint[],
  wind: readonly InWind[],
): NoseUp[] {
  return things.filter(isLong).flatMap((thing): NoseUp[] => {
    const held = rootBars(thing)
    const xs = bars.filter(({ bar }) => held.includes(bar.id)).map(({ bar }) => bar.xMm)
    if (xs.length < 2) return []
    const rear = Math.max(...xs)
    const aheadMm = Math.min(...xs) - thing.box.x0
    if (aheadMm <= 0) return []
    let weight = 0
    let arm = 0
    for (const mass of masses) {
      if (!('thing' in mass) || mass.thing !== thing || !mass.states.includes('road')) continue
      weight += mass.kg * STANDARD_GRAVITY
      arm += mass.kg * STANDARD_GRAVITY * (rear - mass.at.x)
    }
    const lift = wind.find((item) => item.thing === thing)?.liftN.to ?? 0
    const middle = (thing.box.x0 + thing.box.x1) / 2
    if (weight <= 0) return []
    return [{ thing, aheadMm, upNm: (lift * (rear - middle) + BOUNCE * arm) / 1000, holdsNm: arm / 1000 }]
  })
}

function rootBars(thing: ThingAt): readonly string[] {
  const { host } = thing.placement
  if (host.on === 'bars') return host.barIds
  return thing.parent ? rootBars(thing.parent) : []
}
