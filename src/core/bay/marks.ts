import { PART_ROLES } from '../kinds/part-role'
import type { Survey } from '../survey/survey'
import type { Part } from '../plan/schema/rack'

/** What of a rack goes where, and which way round. */
interface Mark {
  readonly partId: string
  readonly what: string
  /** LHF, RHF and so on; empty for what may go to either side. */
  readonly corners: readonly string[]
  readonly say: string
}

interface KeyMark {
  readonly what: string
  readonly cores: number
  readonly codes: readonly string[]
  readonly say: string
}

interface Marks {
  readonly marks: readonly Mark[]
  readonly arrows: readonly { readonly on: string; readonly say: string }[]
  readonly bars: readonly { readonly name: string; readonly say: string }[]
  readonly keys: readonly KeyMark[]
}

const ARROW: Readonly<Record<'front' | 'outward' | 'mark', string>> = {
  front: 'arrow forward',
  outward: 'arrow outward',
  mark: 'arrow at the mark',
}

function markOf(part: Part, corners: readonly string[]): Mark[] {
  if (!PART_ROLES[part.role].atFeet) return []
  const sides = part.work?.sides
  const say =
    sides === 'either'
      ? 'may go to any corner'
      : sides === 'marked'
        ? `each to the corner it is marked for: ${corners.join(', ')}`
        : 'look for a mark; where there is none they are alike'
  return [{ partId: part.id, what: part.name, corners: sides === 'either' ? [] : corners, say }]
}

function keysOf({ name, work }: { name: string; work?: Part['work'] }): KeyMark[] {
  if (!work?.keys) return []
  const { cores, codes } = work.keys
  const alike = new Set(codes).size <= 1
  return [
    {
      what: name,
      cores,
      codes,
      say:
        codes.length === 0
          ? 'write down the key’s number'
          : alike
            ? `all alike, key ${codes[0]}`
            : `keys differ: ${codes.join(', ')}`,
    },
  ]
}

/** Which part goes to which corner, which arrows point where, which bar is the front one, and which keys open what. */
export function marksOf({ racks, plan }: Survey): Marks {
  return {
    marks: racks.flatMap(({ rack, feet }) =>
      rack.parts.flatMap((part) =>
        markOf(
          part,
          feet.map(({ corner }) => corner),
        ),
      ),
    ),
    arrows: racks.flatMap(({ rack }) =>
      rack.parts.flatMap((part) =>
        (part.work?.arrows ?? []).map(({ on, toward }) => ({ on, say: ARROW[toward] })),
      ),
    ),
    bars: racks.flatMap(({ bars }) =>
      bars.map(({ bar }, i) => {
        const last = bars.length - 1
        const other = bars.find((each) => each.bar.id !== bar.id && each.bar.lengthMm !== bar.lengthMm)
        const place = i === 0 ? 'goes in front' : i === last ? 'goes at the rear' : 'goes between'
        return {
          name: bar.name,
          say: `${place}; ${bar.lengthMm} mm long${other ? ', not the same as the others' : ''}`,
        }
      }),
    ),
    keys: [...racks.flatMap(({ rack }) => rack.parts.flatMap(keysOf)), ...plan.gear.flatMap(keysOf)],
  }
}
