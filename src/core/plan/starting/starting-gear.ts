import { GEAR_KINDS, type GearKind } from '../../kinds/gear-kind'
import { MOUNTS } from '../../kinds/mount'
import type { Gear } from '../schema/gear'

const START = { by: 'start' } as const

/**
 * A piece of gear of a kind as a form begins with it, mm: its size is a starting value until somebody types over it,
 * its mount is never guessed where the kinds differ, and its mass is not made up.
 */
export function startingGear(
  kind: GearKind,
  id: string,
): Omit<Gear, 'mass'> & { readonly mass: Omit<Gear['mass'], 'kg'> } {
  const { usually, carries } = GEAR_KINDS[kind]
  const [lengthMm, widthMm, heightMm] = usually.sizeMm
  const mount = Object.keys(MOUNTS[usually.mount].shape).length === 0 ? usually.mount : 'unsaid'
  return {
    id,
    kind,
    name: '',
    shape: usually.shape,
    lengthMm,
    widthMm,
    heightMm,
    mass: { basis: 'told' },
    turns: kind === 'boat' || kind === 'box' ? [0, 180] : [0, 90, 180, 270],
    onEdge: false,
    when: kind === 'person' ? 'parked' : 'always',
    ...(carries
      ? {
          carries: {
            rated: { by: 'own', ratings: [] },
            places: [
              { id: 'place', name: 'Inside', kind: 'inside', xMm: 0, yMm: 0, zMm: Math.min(20, heightMm) },
            ],
            ...(kind === 'tent' ? { sleeps: 2 } : {}),
          },
        }
      : {}),
    fit: { mount: { kind: mount } },
    known: { lengthMm: START, widthMm: START, heightMm: START },
  }
}
