import { GEAR_KINDS } from '../../kinds/gear-kind'
import { LONG_LOAD_MM } from '../../plan/schema/hints'
import type { ThingAt } from '../frame/arrangement'

const LONG_SHAPES = new Set<ThingAt['gear']['shape']>(['hull', 'canoe', 'board', 'poles'])

/** Whether it is of a long shape, or of a kind that usually is, whatever shape it was given. */
const longShape = ({ shape, kind }: ThingAt['gear']) =>
  LONG_SHAPES.has(shape) || LONG_SHAPES.has(GEAR_KINDS[kind].usually.shape)

/** A load that lies along the vehicle and is long enough to want its supports apart. */
export function isLong({ box, gear }: ThingAt): boolean {
  return longShape(gear) && box.x1 - box.x0 >= LONG_LOAD_MM
}
