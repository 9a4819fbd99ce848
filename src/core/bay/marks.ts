import { PART_ROLES } from '../kinds/part-role'
import type { Survey } from '../survey/survey'
import type { Gear } from '../plan/schema/gear'
import type { Part } from '../plan/schema/rack'
import type { RackAt } from '../survey/frame/arrangement'
import { ARROW_WORDS, markedPlacesWords } from './marked-places'

/** What of a rack goes where, and which way round. */
interface Mark {
  readonly partId: string
  readonly what: string
  /** LHF, RHF and so on; empty for what may go to either side. */
  readonly corners: readonly string[]
  /** Whether its sheet says it place by place. */
  readonly byPlace?: true
  readonly say: string
}

interface KeyMark {
  readonly what: string
  readonly cores: number
  readonly codes: readonly string[]
  readonly say: string
}

/** What is loosened before a rack is set to another height, and what follows. */
function raisingOf({ rack }: RackAt): string[] {
  const raising = rack.kind === 'bed' ? rack.raising : undefined
  if (!raising) return []
  const frees = raising.frees ?? []
  return [
    `${rack.name}, set to another height: ${frees.length > 0 ? `loosen ${frees.join(', ')} first, in this order` : 'its sheet names nothing to loosen first'}${raising.barsComeInward ? '; its bars come inward' : ''}; measure the bars’ ends again.`,
  ]
}

const storedOf = ({ name, stored }: Gear): string[] => {
  if (!stored) return []
  const { energyWh, pressureBar } = stored
  const words = [
    ...(energyWh === undefined ? [] : [`${energyWh} Wh`]),
    ...(pressureBar === undefined ? [] : [`${pressureBar} bar`]),
  ]
  return words.length === 0 ? [] : [`${name}: holds ${words.join(', ')}`]
}

interface Marks {
  readonly marks: readonly Mark[]
  readonly arrows: readonly { readonly on: string; readonly say: string }[]
  readonly bars: readonly { readonly name: string; readonly say: string }[]
  readonly keys: readonly KeyMark[]
  readonly raising: readonly string[]
  readonly stored: readonly string[]
}

/** What belongs where on a part or a thing, as its sheet says it place by place. */
function byPlace({ id, name, work }: Pick<Part, 'id' | 'name' | 'work'>): Mark[] {
  const places = work?.places ?? []
  return places.length === 0
    ? []
    : [
        {
          partId: id,
          what: name,
          corners: places.map(({ at }) => at),
          say: markedPlacesWords(places),
          byPlace: true,
        },
      ]
}

function markOf(part: Part, corners: readonly string[]): Mark[] {
  const said = byPlace(part)
  if (said.length > 0) return said
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
  const { cores, codes, keys } = work.keys
  const many = keys === undefined ? '' : `, ${keys} ${keys === 1 ? 'key' : 'keys'}`
  const alike = new Set(codes).size <= 1
  return [
    {
      what: name,
      cores,
      codes,
      say: `${
        codes.length === 0
          ? 'write down the key’s number'
          : alike
            ? `all alike, key ${codes[0]}`
            : `keys differ: ${codes.join(', ')}`
      }${many}`,
    },
  ]
}

/** Which part goes to which corner, which arrows point where, which bar is the front one, and which keys open what. */
export function marksOf({ racks, plan }: Survey): Marks {
  const placed = plan.gear.filter(({ id }) => plan.placements.some(({ gearId }) => gearId === id))
  return {
    marks: [
      ...racks.flatMap(({ rack, feet }) =>
        rack.parts.flatMap((part) =>
          markOf(
            part,
            feet.map(({ corner }) => corner),
          ),
        ),
      ),
      ...placed.flatMap(byPlace),
    ],
    arrows: racks.flatMap(({ rack }) =>
      rack.parts.flatMap((part) =>
        (part.work?.arrows ?? []).map(({ on, toward }) => ({ on, say: ARROW_WORDS[toward] })),
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
    raising: racks.flatMap(raisingOf),
    stored: placed.flatMap(storedOf),
    keys: [...racks.flatMap(({ rack }) => rack.parts.flatMap(keysOf)), ...plan.gear.flatMap(keysOf)],
  }
}
