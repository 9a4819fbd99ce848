import { ATTACHMENTS, attachmentShapes, loadsRoof, type AttachmentKind } from '../kinds/attachment'
import { choicesOf } from '../kinds/kind'
import type { Attachment } from '../plan/schema/vehicle'
import { listOf, rawOf } from './unknown-record'
import {
  ID,
  MARKS,
  choice,
  figures,
  flag,
  group,
  length,
  list,
  mass,
  pick,
  range,
  several,
  text,
  wordFor,
  type AllOf,
  type Field,
  type FieldsOf,
  type Variants,
} from './field'
import { CHANNEL, RATED } from './held-fields'
import { LIKELY_OF_ATTACHMENT } from './likely'

const BACK = 'Behind the windscreen’s upper edge'

/** Places on either side, alike: how far back each is, and from the left one to the right one. */
const points = (label: string): Field => ({
  is: 'split',
  parts: {
    at: several(length(label, 'Semicolons between: 310; 1030')),
    gauge: several(length('Left point to right point', 'One for all, or one for each')),
  },
  format: (value) => {
    const all = listOf(value).map(rawOf)
    const widths = all.map(({ yMm }) => Number(yMm) * 2)
    const alike = widths.every((each) => each === widths[0])
    return value === undefined
      ? {}
      : { at: all.map(({ xMm }) => xMm), gauge: alike ? widths.slice(0, 1) : widths }
  },
  parse: ({ at, gauge }) => {
    const xs = listOf(at).map(Number)
    const widths = listOf(gauge).map(Number)
    if (xs.length === 0) return 'Give at least one place, several with semicolons between: 310; 1030.'
    if (widths.length !== 1 && widths.length !== xs.length)
      return 'Give one width for all, or one for each place.'
    const all = xs.map((xMm, i) => ({ xMm, yMm: (widths[i] ?? widths[0] ?? 0) / 2 }))
    return { value: all.toSorted((a, b) => a.xMm - b.xMm) }
  },
})

const ATTACHMENT_FIELDS = {
  id: ID,
  kind: ID,
  name: text('Name'),
  ranges: list(
    'Where feet may go',
    'a stretch',
    group('', {
      ...range('Feet may go from', 'to', BACK).fields,
      bar: choice('Of which bar', [
        ['front', 'the foremost alone'],
        ['rear', 'the rearmost alone'],
      ]),
    }),
  ),
  posts: list('Posts, where no foot goes', 'a post', range('Post from', 'to')),
  notchesXMm: several(length('Only in notches at', 'Empty: anywhere. Several: 300; 600')),
  frontNotchesXMm: several(length('Notches for the foremost bar alone')),
  rearNotchesXMm: several(length('Notches for the rearmost bar alone')),
  points: points('Points at'),
  doorPositions: points('Points at'),
  xMm: length('Seam at', BACK),
  seamGapMm: length('Gap at the seam'),
  panelMm: length('Panel from the seam to its lower edge', 'A ladder’s own length is held against it'),
  gaugeMm: length('Left rail to right rail'),
  riseMm: length("Rail's top over the roof's edge"),
  shape: wordFor('railShape', "Rail's shape", 'round, oval, flat: kits ask for it'),
  topZMm: length('Its top over the ground'),
  seatZMm: length('Its seat over the ground', 'Empty when not measured'),
  canopyKg: mass('The canopy’s own mass', 'Its load rests on the bed’s sides too'),
  channel: CHANNEL,
  inside: list(
    'Already in either channel',
    'something in it',
    group('', {
      what: text('In the channel', 'A cleat, a nut of something else'),
      xMm: length('It sits at', BACK),
      stays: flag('It stays there'),
    }),
    { start: () => ({ what: 'Cleat', stays: true }) },
  ),
  reinforced: flag('Reinforced inside'),
  roofBears: flag('The roof skin still bears the load', 'Leave open if unknown'),
  rated: RATED('Load limits'),
  ratings: figures('Load limits'),
  known: MARKS,
  typed: MARKS,
} satisfies FieldsOf<{ [K in AllOf<Attachment>]: unknown }>

export const ATTACHMENT_FIELD: Variants = {
  is: 'variants',
  label: 'What it is',
  by: 'kind',
  choices: choicesOf(ATTACHMENTS, ({ choice: words }) => words),
  groupOf: (kind) => {
    const { choice: words } = ATTACHMENTS[kind as AttachmentKind]
    const own = Object.keys(attachmentShapes[kind as AttachmentKind].shape)
    const rated = loadsRoof(kind as AttachmentKind) ? 'rated' : 'ratings'
    return group(words, pick(ATTACHMENT_FIELDS, ['id', 'name', ...own, rated, 'known', 'typed']), {
      likely: LIKELY_OF_ATTACHMENT,
    })
  },
}
