import { choicesOf } from '../kinds/kind'
import { MOUNTS, type Mount, type MountKind } from '../kinds/mount'
import { WASHERS } from '../kinds/washer'
import {
  ID,
  choice,
  figures,
  group,
  length,
  number,
  pick,
  range,
  several,
  text,
  wordFor,
  type AllOf,
  type FieldsOf,
  type Several,
  type Variants,
} from './field'
import { SOURCE_FIELD } from './figures-fields'

/** Washers in their order, of which two may be alike. */
export const WASHERS_FIELD = (label: string): Several => ({
  ...several(
    choice(
      label,
      choicesOf(WASHERS, ({ choice: words }) => words),
    ),
  ),
  ordered: true,
})

export const CHANNEL = group('Its channel', {
  slotMm: length('Slot of its channel', 'Its mouth; empty where it has none, or nobody has looked'),
  headRoomMm: length('Head room in the channel', 'For a bolt’s head or a nut'),
  depthMm: length('Whole depth of the channel'),
})

/** Figures of its own, or the statement that its sheet rates it with another part. */
export const RATED = (label: string): Variants => ({
  is: 'variants',
  label: 'Its figure',
  by: 'by',
  choices: [
    ['own', 'It has figures of its own'],
    ['with', 'It is rated with something else'],
  ],
  groupOf: (by) =>
    by === 'own'
      ? group('', { by: ID, ratings: figures(label) })
      : group('', {
          by: ID,
          what: wordFor('part', 'Rated with', 'Name it: the feet, the roof. The chain must end at a figure.'),
          source: SOURCE_FIELD,
        }),
})

const MOUNT_FIELDS = {
  kind: ID,
  sectionWidthMm: range('Bars from this width', 'to this width'),
  sectionHeightMm: range('Bars from this height', 'to this height'),
  underBarMm: length('Room it needs under the bar'),
  slotMm: length('Slot it is made for', 'The channel’s mouth'),
  otherSlotsMm: several(length('Its other nuts are made for slots of')),
  headMm: length('Height of its head', 'Inside the channel'),
  thread: text('Thread'),
  boltMm: length('Bolt in the box', 'Empty when not known'),
  stackMm: length('Stack over the bar', 'The parts that the bolt passes through'),
  washers: WASHERS_FIELD('Its washers, from the head down'),
  pitchMm: length('Pitch of the holes'),
  columns: number('Holes along'),
  rows: number('Holes up'),
  spacingMm: range('Brackets from', 'to'),
  direction: choice('Brackets lie', [
    ['along', 'along the vehicle'],
    ['across', 'across it'],
  ]),
  diameterMm: length('Handle’s diameter'),
} satisfies FieldsOf<{ [K in AllOf<Mount>]: unknown }>

/** Rough sizes of a usual mount of each kind, mm, for the drawing's sake. Common practice, no source. */
const USUAL_MOUNT: Readonly<Record<string, unknown>> = {
  sectionWidthMm: { fromMm: 25, toMm: 85 },
  sectionHeightMm: { fromMm: 15, toMm: 35 },
  underBarMm: 20,
  slotMm: 20,
  headMm: 7,
  stackMm: 14,
  pitchMm: 50,
  columns: 2,
  rows: 2,
  spacingMm: { fromMm: 700, toMm: 1000 },
  direction: 'along',
  diameterMm: 32,
}

export const MOUNT_FIELD: Variants = {
  is: 'variants',
  label: 'Held by',
  by: 'kind',
  choices: choicesOf(MOUNTS, ({ choice: words }) => words),
  groupOf: (kind) => group('', pick(MOUNT_FIELDS, Object.keys(MOUNTS[kind as MountKind].shape))),
  start: (kind) => ({
    ...Object.fromEntries(
      Object.keys(MOUNTS[kind as MountKind].shape).flatMap((key) =>
        Object.hasOwn(USUAL_MOUNT, key) ? [[key, USUAL_MOUNT[key]] as const] : [],
      ),
    ),
    kind,
  }),
}
