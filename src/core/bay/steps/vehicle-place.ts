import { ATTACHMENTS, type HeldBy } from '../../kinds/attachment'
import { pointsOf } from '../../plan/schema/vehicle'
import type { BarAt, RackAt } from '../../survey/frame/arrangement'

const PLACE_WORD: Readonly<Partial<Record<HeldBy, string>>> = {
  point: 'point',
  socket: 'socket',
  hole: 'mount',
}

const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
]
const ordinal = (n: number): string => ORDINALS[n - 1] ?? `${n}th`

/** How near a bar stands to its place, mm: nearer than anybody measures. */
const AT_MM = 1

/** The notch, point or socket in which a bar stands, counted from the front; nothing where it may stand anywhere. */
export function vehiclePlace({ bar, attachment }: BarAt): string | undefined {
  if (!attachment) return undefined
  const notches = 'notchesXMm' in attachment ? (attachment.notchesXMm ?? []) : []
  const [xs, what] =
    notches.length > 0
      ? [notches, 'notch']
      : [pointsOf(attachment).map(({ xMm }) => xMm), PLACE_WORD[ATTACHMENTS[attachment.kind].holds]]
  if (what === undefined) return undefined
  const along = [...new Set(xs)].sort((a, b) => a - b)
  const at = along.findIndex((x) => Math.abs(x - bar.xMm) < AT_MM)
  const end =
    at === along.length - 1 && along.length > 1 ? `last ${what}` : `${ordinal(at + 1)} ${what} from the front`
  return at < 0 ? undefined : `${end}, on both sides`
}

/** Whether all bars of a rack stand where the vehicle has a place for them, so that no spread is taped. */
export const isPlacedByVehicle = ({ bars }: RackAt): boolean =>
  bars.length > 0 && bars.every((bar) => vehiclePlace(bar) !== undefined)
