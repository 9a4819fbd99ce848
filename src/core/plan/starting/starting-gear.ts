import { GEAR_KINDS, type GearKind } from '../../kinds/gear-kind'
import { MOUNTS } from '../../kinds/mount'
import type { Gear } from '../schema/gear'
import { barsOf, deckOf, type Rack } from '../schema/rack'

const START = { by: 'start' } as const

/** The room that a rack offers a thing: across, and along where it has a deck. mm */
interface RackRoom {
  readonly widthMm: number
  readonly lengthMm: number
}

/** What a rack takes across, and along on a deck: what is longer than its bars are apart may hang over. mm */
export function roomOn(rack: Rack): RackRoom {
  const deck = deckOf(rack)
  if (deck) return { widthMm: deck.widthMm, lengthMm: deck.lengthMm }
  return { widthMm: Math.min(...barsOf(rack).map(({ usableMm }) => usableMm)), lengthMm: Infinity }
}

/** Within a rack's room, in whole centimetres. mm */
const within = (mm: number, room: number): number => (mm <= room ? mm : Math.floor(room / 10) * 10)

/**
 * A piece of gear of a kind as a form begins with it, mm: its size is a starting value until somebody types over it, no more
 * than the rack that it is for takes; its mount is never guessed where the kinds differ, and its mass is not made up.
 */
export function startingGear(
  kind: GearKind,
  id: string,
  room: RackRoom = { widthMm: Infinity, lengthMm: Infinity },
): Omit<Gear, 'mass'> & { readonly mass: Omit<Gear['mass'], 'kg'> } {
  const { usually, carries } = GEAR_KINDS[kind]
  const [lengthMm, widthMm, heightMm] = usually.sizeMm
  const mount = Object.keys(MOUNTS[usually.mount].shape).length === 0 ? usually.mount : 'unsaid'
  return {
    id,
    kind,
    name: '',
    shape: usually.shape,
    lengthMm: carries ? within(lengthMm, room.lengthMm) : lengthMm,
    widthMm: within(widthMm, room.widthMm),
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
