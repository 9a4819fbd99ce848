import {
  type Body,
  fieldMessages,
  formatPrecise,
  isStart,
  startingSizes,
  type UnitSystem,
  type Vehicle,
  vehicleSchema,
} from '@/core'
import {
  attachmentToDraft,
  readAttachment,
  startingAttachment,
  type AttachmentDraft,
  type Before,
} from './attachment-draft'
import { balanceToDraft, NO_BALANCE, readBalance, type BalanceDraft } from './balance-draft'
import { obstacleToDraft, readObstacle, type ObstacleDraft } from './obstacle-draft'
import {
  DraftReader,
  figuresDraft,
  NO_FIGURES,
  type FiguresDraft,
  type ReadDraft,
  startsLeft,
} from './draft-reader'

interface VehicleDraft {
  name: string
  body: Body
  length: string
  width: string
  height: string
  wheelbase: string
  frontOverhang: string
  noseToScreen: string
  wheelRadius: string
  roofTo: string
  roofFront: string
  roofRear: string
  crown: string
  yearFrom: string
  doors: string
  trim: string
  has: string
  hasNot: string
  kerb: string
  gross: string
  balance: BalanceDraft
  figures: FiguresDraft
  attachments: AttachmentDraft[]
  obstacles: ObstacleDraft[]
}

/** The form as it starts for a body type: class averages to be replaced by what is measured. */
export function startingVehicleDraft(body: Body, system: UnitSystem): VehicleDraft {
  const sizes = startingSizes(body)
  const show = (mm: number) => formatPrecise('length', mm, system)
  return {
    name: '',
    body,
    length: show(sizes.lengthMm),
    width: show(sizes.widthMm),
    height: show(sizes.heightMm),
    wheelbase: show(sizes.wheelbaseMm),
    frontOverhang: show(sizes.frontOverhangMm),
    noseToScreen: show(sizes.noseToScreenMm),
    wheelRadius: show(sizes.wheelRadiusMm),
    roofTo: show(sizes.roof.toXMm),
    roofFront: show(sizes.roof.halfWidthFrontMm * 2),
    roofRear: show(sizes.roof.halfWidthRearMm * 2),
    crown: show(sizes.roof.crownMm),
    yearFrom: '',
    doors: '',
    trim: '',
    has: '',
    hasNot: '',
    kerb: '',
    gross: '',
    balance: NO_BALANCE,
    figures: NO_FIGURES,
    attachments: [startingAttachment('raisedRail', body, 'attachment-1', system)],
    obstacles: [],
  }
}

/** A vehicle as texts for the form. */
export function vehicleToDraft(vehicle: Vehicle, system: UnitSystem): VehicleDraft {
  const show = (field: string, mm: number) => vehicle.typed?.[field] ?? formatPrecise('length', mm, system)
  const kg = (value: number) => formatPrecise('mass', value, system)
  return {
    name: vehicle.name,
    body: vehicle.body,
    length: show('length', vehicle.lengthMm),
    width: show('width', vehicle.widthMm),
    height: show('height', vehicle.heightMm),
    wheelbase: show('wheelbase', vehicle.wheelbaseMm),
    frontOverhang: show('frontOverhang', vehicle.frontOverhangMm),
    noseToScreen: show('noseToScreen', vehicle.noseToScreenMm),
    wheelRadius: show('wheelRadius', vehicle.wheelRadiusMm),
    roofTo: show('roofTo', vehicle.roof.toXMm),
    roofFront: show('roofFront', vehicle.roof.halfWidthFrontMm * 2),
    roofRear: show('roofRear', vehicle.roof.halfWidthRearMm * 2),
    crown: show('crown', vehicle.roof.crownMm),
    yearFrom: vehicle.years === undefined ? '' : String(vehicle.years.from),
    doors: vehicle.doors === undefined ? '' : String(vehicle.doors),
    trim: vehicle.trim ?? '',
    has: factsText(vehicle, true),
    hasNot: factsText(vehicle, false),
    kerb: vehicle.kerbKg === undefined ? '' : (vehicle.typed?.['kerb'] ?? kg(vehicle.kerbKg)),
    gross: vehicle.grossKg === undefined ? '' : (vehicle.typed?.['gross'] ?? kg(vehicle.grossKg)),
    balance: balanceToDraft(vehicle, system),
    figures: figuresDraft(vehicle.roof.ratings, kg),
    attachments: vehicle.attachments.map((attachment) => attachmentToDraft(attachment, vehicle.body, system)),
    obstacles: vehicle.obstacles.map((obstacle) => obstacleToDraft(obstacle, vehicle.body, system)),
  }
}

/** What a vehicle has, or has not, with semicolons between. */
const factsText = ({ facts }: Vehicle, has: boolean) =>
  (facts ?? [])
    .filter((fact) => fact.has === has)
    .map(({ what }) => what)
    .join('; ')

const readFacts = (text: string, has: boolean) =>
  text
    .split(';')
    .map((each) => each.trim().slice(0, 120))
    .filter((each) => each !== '')
    .map((what) => ({ what, has }))

/** A whole number that may be left out. */
function wholeNumber(
  reader: DraftReader,
  field: string,
  text: string,
  least: number,
  most: number,
): number | undefined {
  if (text.trim() === '') return undefined
  const value = Number(text)
  if (Number.isInteger(value) && value >= least && value <= most) return value
  reader.fail(field, `A whole number from ${least} to ${most}.`)
  return undefined
}

/**
 * A vehicle from the form's texts. Fields that cannot be read keep the body's starting value, so that the drawing
 * stays, and are named with what is wrong. What the form does not ask for is kept from the vehicle it began with.
 */
export function readVehicle(
  draft: VehicleDraft,
  system: UnitSystem,
  id: string,
  was?: Vehicle,
): ReadDraft<Vehicle> {
  const reader = new DraftReader(system)
  const start = startingSizes(draft.body)
  const kerbKg = reader.optional('kerb', 'mass', draft.kerb)
  const grossKg = reader.optional('gross', 'mass', draft.gross)
  if (kerbKg !== undefined && grossKg !== undefined && grossKg <= kerbKg)
    reader.fail('gross', 'Gross mass must be more than kerb mass.')
  const beforeOf = ({ id: attachmentId, kind }: AttachmentDraft): Before | undefined => {
    const attachment = was?.attachments.find((each) => each.id === attachmentId && each.kind === kind)
    return attachment && { attachment, draft: attachmentToDraft(attachment, draft.body, system) }
  }
  const {
    kerbKg: _kerb,
    grossKg: _gross,
    typed: _typed,
    years: _years,
    doors: _doors,
    trim: _trim,
    facts: _facts,
    trackMm: _track,
    centreOfGravity: _centre,
    axleLimitKg: _axles,
    drive: _drive,
    known: _known,
    ...kept
  } = was ?? {}
  const facts = [...readFacts(draft.has, true), ...readFacts(draft.hasNot, false)].slice(0, 30)
  const year = wholeNumber(reader, 'yearFrom', draft.yearFrom, 1900, 2100)
  const doors = wholeNumber(reader, 'doors', draft.doors, 1, 8)
  const shownBefore = new Map(
    (was?.obstacles ?? []).map((obstacle) => [
      obstacle.id,
      obstacleToDraft(obstacle, was?.body ?? draft.body, system),
    ]),
  )
  const vehicle: Vehicle = {
    ...kept,
    id,
    name: reader.words('name', draft.name, 'Own vehicle', 'the vehicle a name'),
    body: draft.body,
    lengthMm: reader.span('length', draft.length, start.lengthMm),
    widthMm: reader.span('width', draft.width, start.widthMm),
    heightMm: reader.span('height', draft.height, start.heightMm),
    wheelbaseMm: reader.span('wheelbase', draft.wheelbase, start.wheelbaseMm),
    frontOverhangMm: reader.size('frontOverhang', draft.frontOverhang, start.frontOverhangMm),
    noseToScreenMm: reader.size('noseToScreen', draft.noseToScreen, start.noseToScreenMm),
    wheelRadiusMm: reader.span('wheelRadius', draft.wheelRadius, start.wheelRadiusMm),
    ...(year === undefined ? {} : { years: { ...was?.years, from: year } }),
    ...(doors === undefined ? {} : { doors }),
    ...(draft.trim.trim() === '' ? {} : { trim: draft.trim.trim().slice(0, 80) }),
    ...(facts.length === 0 ? {} : { facts }),
    ...(kerbKg === undefined ? {} : { kerbKg }),
    ...(grossKg === undefined ? {} : { grossKg }),
    ...readBalance(reader, draft.balance),
    roof: {
      ...was?.roof,
      fromXMm: was?.roof.fromXMm ?? start.roof.fromXMm,
      toXMm: reader.span('roofTo', draft.roofTo, start.roof.toXMm),
      halfWidthFrontMm: reader.span('roofFront', draft.roofFront, start.roof.halfWidthFrontMm * 2) / 2,
      halfWidthRearMm: reader.span('roofRear', draft.roofRear, start.roof.halfWidthRearMm * 2) / 2,
      crownMm: reader.size('crown', draft.crown, start.roof.crownMm),
      ratings: reader.figures('figures', draft.figures, `${id}-roof`, 'manual', was?.roof.ratings),
    },
    attachments: draft.attachments.map((attachment, i) =>
      readAttachment(reader, attachment, `attachments.${i}`, draft.body, beforeOf(attachment)),
    ),
    obstacles: draft.obstacles.map((obstacle, i) => {
      const before = was?.obstacles.find(({ id: each }) => each === obstacle.id)
      const untouched = JSON.stringify(shownBefore.get(obstacle.id)) === JSON.stringify(obstacle)
      return before && untouched ? before : readObstacle(reader, obstacle, `obstacles.${i}`)
    }),
  }
  if (vehicle.wheelbaseMm >= vehicle.lengthMm)
    reader.fail('wheelbase', 'The wheelbase must be shorter than the vehicle.')
  if (vehicle.noseToScreenMm >= vehicle.lengthMm)
    reader.fail('noseToScreen', 'The windscreen must be on the vehicle: this is longer than the whole of it.')
  if (Object.keys(reader.problems).length === 0) {
    const parsed = vehicleSchema.safeParse(vehicle)
    if (!parsed.success) reader.fail('name', fieldMessages(parsed.error)[0]?.text ?? 'This cannot be kept.')
  }
  const typed = reader.typedFor(Object.fromEntries(TYPED.map((field) => [field, field] as const)))
  const filled = was ? vehicleToDraft(was, system) : startingVehicleDraft(draft.body, system)
  const starts = startsLeft(
    was?.known,
    (['length', 'width', 'height'] as const).map(
      (text) => [`${text}Mm`, draft[text], !was || isStart(was, `${text}Mm`) ? filled[text] : ''] as const,
    ),
  )
  return { value: { ...vehicle, typed, ...starts }, problems: reader.problems }
}

const TYPED = [
  'length',
  'width',
  'height',
  'wheelbase',
  'frontOverhang',
  'noseToScreen',
  'wheelRadius',
  'roofTo',
  'roofFront',
  'roofRear',
  'crown',
  'kerb',
  'gross',
] as const
