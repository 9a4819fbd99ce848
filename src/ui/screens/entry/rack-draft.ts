import {
  type Attachment,
  type Bar,
  barsOf,
  type Channel,
  choicesOf,
  deckOf,
  fieldMessages,
  formatPrecise,
  isStart,
  type Part,
  PART_ROLES,
  type PartRole,
  type Profile,
  type Rack,
  rackSchema,
  startingRack,
  type UnitSystem,
  type Vehicle,
} from '@/core'
import { readSection, sectionToDraft, type SectionDraft } from './section-draft'
import { gatesToDraft, readGates, type GateDraft } from './gate-draft'
import { jointToDraft, NO_JOINT, readJoint, type JointDraft } from './joint-draft'
import {
  DraftReader,
  startsLeft,
  figuresDraft,
  NO_FIGURES,
  type FiguresDraft,
  type ReadDraft,
} from './draft-reader'

export interface PartDraft {
  id: string
  role: PartRole
  name: string
  count: string
  each: string
  /** The text that the form filled in for it, where it still is such. */
  start: string
  price: string
  ratedBy: 'own' | 'with'
  ratedWith: string
  figures: FiguresDraft
  joint: JointDraft
}

interface BarDraft {
  id: string
  x: string
  length: string
  usable: string
  feet: string
  rise: string
  /** The texts that the form filled in, where they still are such. */
  starts: { length: string; usable: string; rise: string }
}

export interface RackDraft {
  attachmentId: string
  kind: Rack['kind']
  name: string
  profile: Profile['kind']
  profileWidth: string
  profileHeight: string
  slot: string
  headRoom: string
  section: SectionDraft
  footWidth: string
  slatSlot: string
  towerFront: string
  towerRear: string
  bars: BarDraft[]
  deckLength: string
  deckWidth: string
  deckHeight: string
  deckX: string
  sideHeight: string
  ladderTop: string
  ladderBottom: string
  ladderX: string
  ladderY: string
  parts: PartDraft[]
  gates: GateDraft[]
}

export const ROLE_CHOICES = choicesOf(PART_ROLES, ({ choice }) => choice)

export function startingPart(id: string): PartDraft {
  return {
    id,
    role: 'fitKit',
    name: 'Fit kit',
    count: '1',
    each: '1 kg',
    start: '1 kg',
    price: '',
    ratedBy: 'own',
    ratedWith: '',
    figures: NO_FIGURES,
    joint: NO_JOINT,
  }
}

/** From a bar's outermost left foot to its outermost right one, as it was typed if it was. */
function feetText(bar: Bar, system: UnitSystem): string {
  return (
    bar.typed?.['feet'] ??
    formatPrecise('length', (bar.feetYMm.at(-1) ?? 500) - (bar.feetYMm[0] ?? -500), system)
  )
}

/** A rack as texts for the form. */
export function rackToDraft(rack: Rack, system: UnitSystem): RackDraft {
  const mm = (value: number) => formatPrecise('length', value, system)
  const kg = (value: number) => formatPrecise('mass', value, system)
  const bars = barsOf(rack)
  const profile = bars[0]?.profile
  const deck = deckOf(rack)
  const some = (value: number | undefined) => (value === undefined ? '' : mm(value))
  const row = rack.fitSheet?.rows.find((each) => each.profile === profile?.kind)
  return {
    attachmentId: rack.attachmentId,
    kind: rack.kind,
    name: rack.name,
    profile: profile?.kind ?? 'aero',
    profileWidth: mm(profile?.widthMm ?? 80),
    profileHeight: mm(profile?.heightMm ?? 28),
    slot: some(profile?.channel?.slotMm),
    headRoom: some(profile?.channel?.headRoomMm),
    section: sectionToDraft(profile, system),
    footWidth: some(rack.footWidthMm),
    slatSlot: some(deck?.slatSlotMm),
    towerFront: some(row?.towerMm.front),
    towerRear: some(row?.towerMm.rear),
    bars: bars.map((bar) => ({
      id: bar.id,
      x: bar.typed?.['xMm'] ?? mm(bar.xMm),
      length: bar.typed?.['lengthMm'] ?? mm(bar.lengthMm),
      usable: bar.typed?.['usableMm'] ?? mm(bar.usableMm),
      feet: feetText(bar, system),
      rise: bar.typed?.['riseMm'] ?? mm(bar.riseMm),
      starts: {
        length: isStart(bar, 'lengthMm') ? (bar.typed?.['lengthMm'] ?? mm(bar.lengthMm)) : '',
        usable: isStart(bar, 'usableMm') ? (bar.typed?.['usableMm'] ?? mm(bar.usableMm)) : '',
        rise: isStart(bar, 'riseMm') ? (bar.typed?.['riseMm'] ?? mm(bar.riseMm)) : '',
      },
    })),
    deckLength: mm(deck?.lengthMm ?? 1400),
    deckWidth: mm(deck?.widthMm ?? 1250),
    deckHeight: mm(deck?.heightMm ?? 45),
    deckX: mm(deck?.xMm ?? 900),
    sideHeight: mm(rack.kind === 'bed' ? rack.sideHeightMm : 400),
    ladderTop: mm(rack.kind === 'ladder' ? rack.topZMm : 1650),
    ladderBottom: mm(rack.kind === 'ladder' ? rack.bottomZMm : 650),
    ladderX: mm(rack.kind === 'ladder' ? rack.xMm : 2600),
    ladderY: mm(rack.kind === 'ladder' ? rack.yMm : -350),
    gates: gatesToDraft(rack.gates, system),
    parts: rack.parts.map((part) => ({
      id: part.id,
      role: part.role,
      name: part.name,
      count: String(part.count),
      each: part.typed?.['each'] ?? kg(part.eachKg),
      start: isStart(part, 'eachKg') ? (part.typed?.['each'] ?? kg(part.eachKg)) : '',
      price: part.price === undefined ? '' : String(part.price),
      joint: jointToDraft(part.fasteners, system),
      ratedBy: part.rated.by,
      ratedWith: part.rated.by === 'with' ? part.rated.what : '',
      figures: part.rated.by === 'own' ? figuresDraft(part.rated.ratings, kg) : NO_FIGURES,
    })),
  }
}

/** The form as it starts for a kind of rack on a vehicle's attachment. */
export function startingRackDraft(
  vehicle: Vehicle,
  attachment: Attachment,
  kind: Rack['kind'],
  id: string,
  system: UnitSystem,
): RackDraft {
  return rackToDraft(startingRack(vehicle, attachment, kind, id), system)
}

/** A bar behind the last one: the next to be placed. */
export function nextBar(bars: readonly BarDraft[], id: string, system: UnitSystem): BarDraft {
  const last = bars.at(-1)
  const mm = (value: number) => formatPrecise('length', value, system)
  return last
    ? { ...last, id }
    : {
        id,
        x: mm(500),
        length: mm(1250),
        usable: mm(950),
        feet: mm(1050),
        rise: mm(65),
        starts: { length: mm(1250), usable: mm(950), rise: mm(65) },
      }
}

function barName(i: number, count: number): string {
  if (count === 1) return 'Bar'
  return i === 0 ? 'Front bar' : i === count - 1 ? 'Rear bar' : count === 3 ? 'Middle bar' : `Middle bar ${i}`
}

/** The channel in the bars: both of its sizes, or none. */
function readChannel(reader: DraftReader, draft: RackDraft, was: Channel | undefined): Channel | undefined {
  const slotMm = reader.optional('slot', 'length', draft.slot)
  const headRoomMm = reader.optional('headRoom', 'length', draft.headRoom)
  if (slotMm === undefined && headRoomMm === undefined) return undefined
  if (slotMm === undefined) reader.fail('slot', 'A channel has a slot: measure its mouth.')
  if (headRoomMm === undefined) reader.fail('headRoom', 'Measure the room for a head inside the channel.')
  return { ...was, slotMm: slotMm ?? 20, headRoomMm: headRoomMm ?? 8 }
}

/** The fit sheet with the row for these bars as typed; rows for other profiles stay. */
function readFitSheet(reader: DraftReader, draft: RackDraft, was: Rack | undefined): Rack['fitSheet'] {
  const front = reader.optional('towerFront', 'length', draft.towerFront)
  const rear = reader.optional('towerRear', 'length', draft.towerRear)
  const others = was?.fitSheet?.rows.filter((row) => row.profile !== draft.profile) ?? []
  const before = was?.fitSheet?.rows.find((row) => row.profile === draft.profile)
  const row =
    front === undefined && rear === undefined
      ? undefined
      : {
          ...before,
          profile: draft.profile,
          towerMm: { front: front ?? rear ?? 1, rear: rear ?? front ?? 1 },
        }
  const rows = was?.fitSheet?.rows.map((each) => (each === before ? row : each)) ?? []
  const all = before ? rows.filter((each) => each !== undefined) : row ? [...others, row] : others
  return all.length === 0 ? undefined : { source: was?.fitSheet?.source ?? { kind: 'sheet' }, rows: all }
}

/** A bar's own profile where it is another than the front bar's. */
function ownProfile(bar: Bar | undefined, front: Bar | undefined): Bar['profile'] | undefined {
  if (!bar || !front) return undefined
  const from = ({ profile: { underChannel: _under, ...profile } }: Bar) => JSON.stringify(profile)
  return from(bar) === from(front) ? undefined : bar.profile
}

/** The feet of a bar between its outermost, as far as they still stand between them, mm. */
const innerFeet = (bar: Bar | undefined, outerMm: number): number[] =>
  (bar?.feetYMm.slice(1, -1) ?? []).filter((y) => Math.abs(y) < outerMm / 2)

function readBars(reader: DraftReader, draft: RackDraft, was: readonly Bar[], system: UnitSystem): Bar[] {
  const width = reader.span('profileWidth', draft.profileWidth, 80)
  const height = reader.span('profileHeight', draft.profileHeight, 28)
  const channel = readChannel(reader, draft, was[0]?.profile.channel)
  const section = readSection(reader, draft.section, was[0]?.profile)
  return draft.bars.map((bar, i): Bar => {
    const at = `bars.${i}`
    const before = was.find((each) => each.id === bar.id)
    const lengthMm = reader.span(`${at}.length`, bar.length, 1250)
    const usableMm = reader.span(`${at}.usable`, bar.usable, 950)
    const feet = reader.span(`${at}.feet`, bar.feet, 1050)
    if (usableMm > lengthMm) reader.fail(`${at}.usable`, 'A bar cannot offer more width than it is long.')
    if (feet > lengthMm) reader.fail(`${at}.feet`, 'The feet must stand under the bar.')
    return {
      id: bar.id,
      name: before?.name ?? barName(i, draft.bars.length),
      xMm: reader.position(`${at}.x`, bar.x, 500 + i * 800),
      lengthMm,
      usableMm: Math.min(usableMm, lengthMm),
      ...(before?.capMm === undefined ? {} : { capMm: before.capMm }),
      riseMm: reader.size(`${at}.rise`, bar.rise, 65),
      // The form asks for the front bar's profile: a bar that has another keeps its own.
      profile: ownProfile(before, was[0]) ?? {
        kind: draft.profile,
        widthMm: width,
        heightMm: height,
        ...section,
        ...(channel === undefined ? {} : { channel }),
        ...(before?.profile.underChannel === undefined ? {} : { underChannel: before.profile.underChannel }),
      },
      feetYMm:
        before && bar.feet === feetText(before, system)
          ? before.feetYMm
          : [-feet / 2, ...innerFeet(before, feet), feet / 2],
      typed: reader.typedFor({
        xMm: `${at}.x`,
        lengthMm: `${at}.length`,
        usableMm: `${at}.usable`,
        riseMm: `${at}.rise`,
        feet: `${at}.feet`,
      }),
      ...startsLeft(before?.known, [
        ['lengthMm', bar.length, bar.starts.length],
        ['usableMm', bar.usable, bar.starts.usable],
        ['riseMm', bar.rise, bar.starts.rise],
      ]),
    }
  })
}

function readPart(reader: DraftReader, draft: PartDraft, at: string, was: Part | undefined): Part {
  const count = Number(draft.count)
  if (!Number.isInteger(count) || count < 1 || count > 64)
    reader.fail(`${at}.count`, 'A whole number from 1 to 64.')
  const price = draft.price.trim() === '' ? undefined : Number(draft.price)
  if (price !== undefined && !(price >= 0 && price <= 1_000_000))
    reader.fail(`${at}.price`, 'A price, in figures.')
  const before = was?.rated.by === 'own' ? was.rated.ratings : []
  const ratings = reader.figures(`${at}.figures`, draft.figures, draft.id, 'sheet', before)
  return {
    id: draft.id,
    role: draft.role,
    name: reader.words(`${at}.name`, draft.name, 'Part', 'the part a name'),
    count: Number.isInteger(count) && count > 0 ? count : 1,
    eachKg: reader.mass(`${at}.each`, draft.each, 1),
    rated:
      draft.ratedBy === 'own'
        ? { by: 'own', ratings }
        : {
            by: 'with',
            what: reader.words(
              `${at}.ratedWith`,
              draft.ratedWith,
              'another part',
              'the part that it is rated with',
            ),
            source: was?.rated.by === 'with' ? was.rated.source : { kind: 'sheet' },
          },
    ...(price === undefined || Number.isNaN(price) ? {} : { price }),
    ...(was?.suits === undefined ? {} : { suits: was.suits }),
    ...(was?.mount === undefined ? {} : { mount: was.mount }),
    ...(was?.kit === undefined ? {} : { kit: was.kit }),
    ...readJoint(reader, `${at}.joint`, draft.joint, was?.fasteners),
    ...(was?.work === undefined ? {} : { work: was.work }),
    ...(was?.tension === undefined ? {} : { tension: was.tension }),
    typed: reader.typedFor({ each: `${at}.each` }),
    ...startsLeft(was?.known, [['eachKg', draft.each, draft.start]]),
  }
}

/**
 * A rack from the form's texts; what the form does not ask for is kept from the rack it began with. A new part is
 * taken to suit the kind of attachment it was entered for, and only that.
 */
export function readRack(
  draft: RackDraft,
  system: UnitSystem,
  id: string,
  was?: Rack,
  on?: Attachment,
): ReadDraft<Rack> {
  const reader = new DraftReader(system)
  const parts = draft.parts.map((part, i): Part => {
    const before = was?.parts.find((each) => each.id === part.id)
    const read = readPart(reader, part, `parts.${i}`, before)
    return read.suits === undefined && on && !before ? { ...read, suits: [on.kind] } : read
  })
  if (parts.length === 0) reader.fail('parts', 'A rack has at least one part that holds something.')
  const footWidthMm = reader.optional('footWidth', 'length', draft.footWidth)
  const fitSheet = draft.kind === 'ladder' ? was?.fitSheet : readFitSheet(reader, draft, was)
  const common = {
    id,
    name: reader.words('name', draft.name, 'Own rack', 'the rack a name'),
    attachmentId: draft.attachmentId,
    parts,
    ...(was?.note === undefined ? {} : { note: was.note }),
    ...(was?.status === undefined ? {} : { status: was.status }),
    ...(was?.known === undefined ? {} : { known: was.known }),
    ...(footWidthMm === undefined ? {} : { footWidthMm }),
    ...(fitSheet === undefined ? {} : { fitSheet }),
    ...readGates(reader, draft.gates, was?.gates, system),
  }
  const rack = readKind(reader, draft, common, was, system)
  if (Object.keys(reader.problems).length === 0) {
    const parsed = rackSchema.safeParse(rack)
    if (!parsed.success) reader.fail('name', fieldMessages(parsed.error)[0]?.text ?? 'This cannot be kept.')
  }
  return { value: rack, problems: reader.problems }
}

function readKind(
  reader: DraftReader,
  draft: RackDraft,
  common: Pick<Rack, 'id' | 'name' | 'attachmentId' | 'parts'>,
  was: Rack | undefined,
  system: UnitSystem,
): Rack {
  if (draft.kind === 'ladder')
    return {
      ...common,
      kind: 'ladder',
      when: was?.kind === 'ladder' ? was.when : 'parked',
      topZMm: reader.span('ladderTop', draft.ladderTop, 1650),
      bottomZMm: reader.size('ladderBottom', draft.ladderBottom, 650),
      xMm: reader.position('ladderX', draft.ladderX, 2600),
      yMm: reader.position('ladderY', draft.ladderY, -350),
      widthMm: was?.kind === 'ladder' ? was.widthMm : 320,
    }
  const bars = readBars(reader, draft, was ? barsOf(was) : [], system)
  const least = draft.kind === 'platform' || draft.kind === 'frame' ? 2 : 1
  if (bars.length < least)
    reader.fail('bars', least === 2 ? 'It needs two bars at least.' : 'It needs a bar.')
  const slatSlotMm = reader.optional('slatSlot', 'length', draft.slatSlot)
  const deck = {
    ...(slatSlotMm === undefined ? {} : { slatSlotMm }),
    xMm: reader.position('deckX', draft.deckX, 900),
    yMm: (was && deckOf(was)?.yMm) ?? 0,
    lengthMm: reader.span('deckLength', draft.deckLength, 1400),
    widthMm: reader.span('deckWidth', draft.deckWidth, 1250),
    heightMm: reader.span('deckHeight', draft.deckHeight, 45),
  }
  switch (draft.kind) {
    case 'bars':
      return { ...common, kind: 'bars', bars }
    case 'platform':
      return { ...common, kind: 'platform', bars, deck }
    case 'frame':
      return { ...common, kind: 'frame', bars, ...(was && deckOf(was) ? { deck } : {}) }
    case 'bed':
      return {
        ...common,
        kind: 'bed',
        bars,
        sideHeightMm: reader.size('sideHeight', draft.sideHeight, 400),
        ...(was?.kind === 'bed' && was.panelGrid ? { panelGrid: was.panelGrid } : {}),
        ...(was && deckOf(was) ? { deck } : {}),
      }
  }
}
