import { LONG_LOAD_MM } from '../../plan/hints'
import type { ThingAt } from '../frame/arrangement'

const LONG_SHAPES = new Set<ThingAt['gear']['shape']>(['hull', 'canoe', 'board', 'poles'])

/** What is long by its kind, whatever shape it was given. */
const LONG_KINDS = new Set<ThingAt['gear']['kind']>(['boat', 'board', 'lumber', 'ladder'])

/** A load that lies along the vehicle and is long enough to want its supports apart. */
export function isLong({ box, gear }: ThingAt): boolean {
  return (LONG_SHAPES.has(gear.shape) || LONG_KINDS.has(gear.kind)) && box.x1 - box.x0 >= LONG_LOAD_MM
}
