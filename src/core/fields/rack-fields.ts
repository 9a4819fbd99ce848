import { choicesOf, kindsOf } from '../kinds/kind'
import { RACK_KINDS, type RackKind } from '../kinds/rack-kind'
import { WHENS } from '../kinds/when'
import type { Bar, Deck, Profile, Rack } from '../plan/schema/rack'
import { listOf, rawOf, type UnknownRecord } from './unknown-record'
import {
  choice,
  flag,
  followsField,
  group,
  ID,
  hiddenField,
  list,
  MARKS,
  mass,
  length,
  note,
  number,
  pick,
  quantityOf,
  several,
  text,
  type AllOf,
  type Field,
  type FieldsOf,
  type FieldsPart,
  type Group,
  type Single,
  type Variants,
} from './field'
import { SOURCE_FIELD } from './figures-fields'
import { SCHOOLS_FIELD } from './fitting-fields'
import { GATES } from './gate-fields'
import { CHANNEL } from './held-fields'
import { PART_FIELD } from './part-fields'

const PROFILE_CHOICES = [
  ['aero', 'Aero'],
  ['square', 'Square'],
  ['round', 'Round'],
  ['flat', 'Flat, heavy-duty'],
  ['factory', 'Factory'],
] as const

/** Stiffness of what bars are made of, GPa. Handbook: Gere, Mechanics of Materials, rounded, from memory. */
const STIFFNESS_GPA: Readonly<Record<string, number>> = { Aluminium: 69, Steel: 210 }

/** Of what a bar is made: the usual two bring their stiffness with them. */
const MATERIAL: Field = {
  is: 'split',
  parts: {
    name: text('Made of', 'Aluminium, Steel, or as its sheet says'),
    eGPa: number('Stiffness, GPa', 'Empty for aluminium (69) and steel (210)'),
    yieldMPa: quantityOf('stress', 'Yield', 'From the sheet, 160 MPa say'),
  },
  format: (value) => {
    const { name, eGPa, yieldMPa } = (value ?? {}) as { name?: string; eGPa?: number; yieldMPa?: number }
    const usual = name !== undefined && STIFFNESS_GPA[name] === eGPa
    return { name, yieldMPa, ...(usual ? {} : { eGPa }) }
  },
  parse: ({ name, eGPa, yieldMPa }) => {
    if (typeof name !== 'string')
      return eGPa === undefined && yieldMPa === undefined
        ? { value: undefined }
        : 'A yield needs a material. Enter it.'
    const usual = Object.keys(STIFFNESS_GPA).find((each) => each.toLowerCase() === name.toLowerCase())
    const stiff = eGPa ?? (usual && STIFFNESS_GPA[usual])
    if (stiff === undefined) return 'Give its stiffness too: only aluminium and steel bring theirs.'
    return { value: { name: usual ?? name, eGPa: stiff, ...(yieldMPa === undefined ? {} : { yieldMPa }) } }
  },
}

/** What a profile measures until somebody has measured it, mm. Rough, common practice, no source. */
const PROFILE_STARTS: Readonly<Record<Profile['kind'], Pick<Profile, 'widthMm' | 'heightMm'>>> = {
  square: { widthMm: 30, heightMm: 20 },
  round: { widthMm: 28, heightMm: 28 },
  aero: { widthMm: 80, heightMm: 28 },
  flat: { widthMm: 60, heightMm: 18 },
  factory: { widthMm: 60, heightMm: 30 },
}

const profileGroup = (kind: Profile['kind']): Group =>
  group(
    'Profile',
    {
      kind: ID,
      widthMm: length(kind === 'round' ? 'Diameter' : 'Profile width'),
      heightMm:
        kind === 'round'
          ? followsField('widthMm', 'A round bar is as high as it is wide.')
          : length('Profile height'),
      wallMm: length('Wall of the profile', 'Empty when not known'),
      section: {
        is: 'variants',
        label: 'Section',
        by: 'known',
        choices: [
          ['solid', 'Solid'],
          ['figures', 'By its sheet’s figures'],
        ],
        groupOf: (known) =>
          group(
            '',
            known === 'solid'
              ? {}
              : { iMm4: number('Second moment of area, mm⁴'), wMm3: number('Section modulus, mm³') },
          ),
      },
      material: MATERIAL,
      hasChannel: flag('There is a channel in it', 'Choose yes if there is a channel, measured or not'),
      channel: CHANNEL,
      hasUnderChannel: flag('There is a groove under it'),
      underChannel: group('A groove under it', {
        slotMm: length('Slot under it'),
        headRoomMm: length('Head room under it'),
        depthMm: length('Whole depth under it'),
      }),
    } satisfies FieldsOf<Profile>,
    {
      parts: [
        { keys: ['widthMm', 'heightMm', 'hasChannel', 'channel'] },
        {
          title: 'What it is made of',
          keys: ['wallMm', 'section', 'material', 'hasUnderChannel', 'underChannel'],
        },
      ],
    },
  )

const PROFILES = Object.fromEntries(
  kindsOf(PROFILE_STARTS).map((kind) => [kind, profileGroup(kind)]),
) as Readonly<Record<Profile['kind'], Group>>

const PROFILE: Variants = {
  is: 'variants',
  label: 'Bar profile',
  by: 'kind',
  choices: PROFILE_CHOICES,
  groupOf: (kind) => PROFILES[kind as Profile['kind']],
  start: (kind) => ({ kind, ...PROFILE_STARTS[kind as Profile['kind']] }),
}

/** A bar's feet: from the outermost left one to the outermost right one, and those between. mm from the middle. */
const FEET: Field = {
  is: 'split',
  parts: {
    apart: length('Foot to foot'),
    between: several(length('More feet between, from the middle', '-200; 200; empty when there are two')),
  },
  format: (value) => {
    const feet = listOf(value).map(Number)
    const [first, last] = [feet[0], feet.at(-1)]
    const even = first !== undefined && last !== undefined && first === -last
    return first === undefined || last === undefined
      ? {}
      : even
        ? { apart: last - first, between: feet.slice(1, -1) }
        : { between: feet }
  },
  parse: ({ apart, between }) => {
    const inner = listOf(between).map(Number)
    if (apart === undefined)
      return inner.length >= 2
        ? { value: inner.toSorted((a, b) => a - b) }
        : 'Measure foot to foot, or give each foot from the bar’s middle.'
    const half = Number(apart) / 2
    return { value: [-half, ...inner.filter((y) => Math.abs(y) < half).toSorted((a, b) => a - b), half] }
  },
}

/** Of underside and top, the one that was taped last gives the other. */
function fromTop(now: UnknownRecord, was: UnknownRecord): unknown {
  const { topMm, ...rest } = now
  if (typeof topMm !== 'number') return now
  const heightMm = Number(rawOf(now['profile'])['heightMm'])
  const follows = topMm - heightMm
  if (now['riseMm'] === follows) return now
  return topMm === was['topMm'] && now['riseMm'] !== was['riseMm'] ? rest : { ...now, riseMm: follows }
}

export const BAR_FIELD = group(
  'Bar',
  {
    id: ID,
    name: text('Bar'),
    xMm: length("Behind the windscreen's edge", 'To the bar’s middle'),
    lengthMm: length('Length overall', 'End caps included'),
    usableMm: length('Usable width'),
    capMm: length('End cap’s thickness'),
    riseMm: length('Room under it'),
    profile: PROFILE,
    feetYMm: FEET,
    topMm: length('Top over the roof', 'If the top was measured; the room under it follows'),
    end: choice(
      'Marked for',
      [
        ['front', 'the front'],
        ['rear', 'the rear'],
      ],
      'If the front and rear bars differ',
    ),
    kg: mass('Its own weight', 'If the bars of the set differ'),
    attachmentId: choice('Its feet stand on', 'attachments', 'If the rest of the rack stands on another'),
    fixedEnd: choice('Fixed end', [
      ['left', 'left: the right foot is set'],
      ['right', 'right: the left foot is set'],
    ]),
    alreadyOn: flag('Already on when the vehicle came', 'Nobody here has seen it tightened'),
    slides: flag('Left free to slide in its feet', 'One end of a rack over cab and bed'),
    known: MARKS,
    typed: MARKS,
  } satisfies FieldsOf<Bar>,
  {
    parts: [
      { keys: ['name', 'xMm', 'lengthMm', 'usableMm', 'feetYMm', 'riseMm', 'topMm'] },
      { title: 'Profile and channel', keys: ['profile', 'capMm'] },
      {
        title: 'If it differs from the others',
        keys: ['end', 'kg', 'attachmentId', 'fixedEnd', 'alreadyOn', 'slides'],
      },
    ],
    settle: fromTop,
    check: ({ lengthMm, usableMm, feetYMm }): Record<string, string> => ({
      ...(Number(usableMm) > Number(lengthMm)
        ? { usableMm: 'A bar cannot offer more width than it is long.' }
        : {}),
      ...(listOf(feetYMm).some((y) => Math.abs(Number(y)) > Number(lengthMm) / 2)
        ? { 'feetYMm.apart': 'The feet must stand under the bar.' }
        : {}),
    }),
  },
)

const START = { by: 'start' }
/** A bar that is added stands where the form puts it, as long as nobody says otherwise. */
const STARTING_BAR = Object.fromEntries(
  ['xMm', 'lengthMm', 'usableMm', 'riseMm', 'profile.widthMm', 'profile.heightMm', 'feetYMm.apart'].map(
    (field) => [field, START],
  ),
)

/** What a fit sheet gives for both bars, or for each: the rear one is as the front where nothing stands for it. */
const ofBoth = (front: Single, rear: Single): Field => ({
  is: 'split',
  parts: { front, rear },
  format: (value) => {
    const { front: first, rear: last } = rawOf(value)
    return first === last ? { front: first } : { front: first, rear: last }
  },
  parse: ({ front: first, rear: last }) =>
    first === undefined
      ? last === undefined
        ? { value: undefined }
        : 'Give it for the front bar too.'
      : { value: { front: first, rear: last ?? first } },
})

/** The spread that a fit sheet asks for: one figure, or between two, or with one end alone. */
const SPREAD: Field = {
  is: 'split',
  parts: {
    at: length('Spread between the bars', 'Centre to centre, if the sheet gives one figure'),
    fromMm: length('Spread at least', 'If the sheet gives a range'),
    toMm: length('Spread at most'),
  },
  format: (value) => {
    const { fromMm, toMm } = rawOf(value)
    return fromMm === toMm ? { at: fromMm } : { fromMm, toMm }
  },
  parse: ({ at, fromMm, toMm }) => {
    if (at === undefined)
      return { value: fromMm === undefined && toMm === undefined ? undefined : defined({ fromMm, toMm }) }
    return fromMm === undefined && toMm === undefined
      ? { value: { fromMm: at, toMm: at } }
      : 'Give one spread, or a range: empty the others.'
  },
}

const defined = (group: UnknownRecord): UnknownRecord =>
  Object.fromEntries(Object.entries(group).filter(([, value]) => value !== undefined))

const DECK = group('Deck', {
  lengthMm: length('Deck length'),
  widthMm: length('Deck width'),
  heightMm: length('Deck thickness', 'On top of bar and room under it'),
  xMm: length("Deck's middle at"),
  yMm: length('Off the centreline'),
  slatSlotMm: length('Slot between the slats', 'Empty when not measured'),
  from: choice('Its thickness is from', [
    ['barTop', 'the bars’ tops up: it lies on them'],
    ['barUnderside', 'the bars’ undersides up: they lie in it'],
  ]),
} satisfies FieldsOf<Deck>)

const RACK_FIELDS = {
  id: ID,
  kind: ID,
  name: text('Name'),
  attachmentId: choice('Stands on', 'attachments'),
  bars: list('Bars', 'a bar', BAR_FIELD, {
    alikeBut: ['name', 'xMm'],
    start: (id) => ({
      id,
      name: 'Bar',
      xMm: 500,
      lengthMm: 1250,
      usableMm: 950,
      riseMm: 65,
      profile: { kind: 'aero', widthMm: 80, heightMm: 28 },
      feetYMm: [-525, 525],
      known: STARTING_BAR,
    }),
  }),
  deck: DECK,
  sideHeightMm: length('Height of the sides'),
  raising: group('', {
    frees: several(
      text('Loosen before its height is changed', 'In order: outside screws; inside screws; bar screws'),
    ),
    barsComeInward: flag('Its bars come inward as it is raised'),
    mark: number('Towers on mark', 'The number on its scale at which every tower is to stand'),
  }),
  panelGrid: group('', {
    pitchMm: length('Holes of its panels every'),
    columns: number('Holes along'),
    rows: number('Holes up'),
  }),
  when: choice(
    'On board',
    choicesOf(WHENS, ({ word }) => word),
  ),
  topZMm: length('Top over the ground'),
  bottomZMm: length('Foot over the ground'),
  lengthMm: length('Its own length', 'From end to end'),
  xMm: length("Behind the windscreen's edge"),
  yMm: length('Right of the centreline', 'Left is negative'),
  widthMm: length('Ladder’s width'),
  parts: list('Parts, each with its own figures', 'a part', PART_FIELD, {
    start: (id) => ({
      id,
      role: 'fitKit',
      name: 'Fit kit',
      count: 1,
      eachKg: 1,
      rated: { by: 'own', ratings: [] },
      known: { eachKg: START },
    }),
  }),
  centreZMm: length(
    'Height of its own mass over the ground',
    'To the middle of all its parts; empty: bars and deck where they are, the rest halfway up its feet',
  ),
  footWidthMm: length('Foot’s width along the bar', 'Clamps stand clear of it'),
  tapeZeroMm: length('Line on its own tape', 'From the tape’s end to the line that is measured from'),
  sheetMark: group('', {
    what: text('Its sheet measures from', 'The glass edge, a seam; empty: the windscreen’s upper edge'),
    frontMm: length('From there to the front bar', 'To its middle, as its sheet has it'),
  }),
  fitSheet: group('Fit sheet', {
    source: SOURCE_FIELD,
    rows: list(
      'Rows of the fit sheet',
      'a row',
      group('', {
        profile: choice('For bars that are', PROFILE_CHOICES),
        towerMm: ofBoth(
          length('Tower spacing, front', 'From the fit sheet’s row'),
          length('Tower spacing, rear', 'Empty: as the front'),
        ),
        towerMarks: ofBoth(
          text('Mark on the bar, front', 'If the sheet gives marks instead of lengths'),
          text('Mark on the bar, rear', 'Empty: as the front'),
        ),
        spreadMm: SPREAD,
        spreadUnused: text('Reason not to use its spread', 'Empty: its spread is in use'),
        xMm: group('', {
          front: length('Front bar at'),
          rear: length('Rear bar at'),
          within: length('Within'),
        }),
      }),
      { start: () => ({ profile: 'aero' }) },
    ),
  }),
  gates: GATES,
  fitting: SCHOOLS_FIELD,
  note: note('Notes'),
  status: hiddenField('You choose in the job whether the rack is to fit, already on or coming off.'),
  known: MARKS,
  typed: MARKS,
} satisfies FieldsOf<{ [K in AllOf<Rack>]: unknown }>

const OWN: Readonly<Record<RackKind, readonly string[]>> = {
  bars: ['bars'],
  platform: ['bars', 'deck'],
  bed: ['bars', 'sideHeightMm', 'raising', 'deck', 'panelGrid'],
  frame: ['bars', 'deck'],
  ladder: ['when', 'topZMm', 'bottomZMm', 'lengthMm', 'xMm', 'yMm', 'widthMm'],
}

const partsOf = (kind: RackKind): readonly FieldsPart[] => [
  { keys: ['name', 'attachmentId', ...(kind === 'ladder' ? OWN.ladder : [])] },
  ...(kind === 'ladder'
    ? []
    : [
        {
          title: kind === 'platform' ? 'Cross-members on their feet' : 'Bars',
          open: true,
          keys: ['bars'],
        } as const,
        ...OWN[kind].slice(1).map((key) => ({ keys: [key] })),
      ]),
  { title: 'Parts, each with its own figures', open: true, keys: ['parts'] },
  { title: 'Feet and fit sheet', keys: ['footWidthMm', 'fitSheet', 'sheetMark', 'tapeZeroMm', 'centreZMm'] },
  { title: 'To be measured before ordering', keys: ['gates'] },
  { title: 'How it is fitted', keys: ['fitting'] },
  { title: 'Notes', keys: ['note'] },
]

export const RACK_FIELD: Variants = {
  is: 'variants',
  label: 'Kind',
  by: 'kind',
  choices: choicesOf(RACK_KINDS, ({ choice: words }) => words),
  groupOf: (kind) => {
    const own = OWN[kind as RackKind]
    const common = [
      'id',
      'name',
      'attachmentId',
      'parts',
      'centreZMm',
      'footWidthMm',
      'tapeZeroMm',
      'sheetMark',
      'fitSheet',
      'gates',
      'fitting',
      'note',
      'status',
      'known',
      'typed',
    ]
    return group('Rack', pick(RACK_FIELDS, [...common, ...own]), {
      parts: partsOf(kind as RackKind),
    })
  },
}
