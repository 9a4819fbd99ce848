import {
  type Basis,
  fieldMessages,
  formatPrecise,
  type Gear,
  GEAR_KINDS,
  type GearKind,
  gearSchema,
  isStart,
  type UnitSystem,
} from '@/core'
import { gatesToDraft, readGates, type GateDraft } from './gate-draft'
import { fitToDraft, readFit, startingFitDraft, type FitDraft } from './mount-draft'
import { opensToDraft, readOpens, startingOpens, type OpensDraft } from './opens-draft'
import {
  DraftReader,
  figuresDraft,
  NO_FIGURES,
  type FiguresDraft,
  type ReadDraft,
  startsLeft,
} from './draft-reader'

export interface GearDraft {
  name: string
  kind: GearKind
  length: string
  width: string
  height: string
  stand: string
  mass: string
  basis: Basis
  wet: string
  maxSpeed: string
  onEdge: boolean
  turns: 'all' | 'ends' | 'none'
  when: Gear['when']
  carries: boolean
  fit: FitDraft
  opens: OpensDraft
  gates: GateDraft[]
  figures: FiguresDraft
}

/** The form as it starts for a kind of gear. */
export function startingGearDraft(kind: GearKind, system: UnitSystem): GearDraft {
  const mm = (value: number) => formatPrecise('length', value, system)
  const [length, width, height] = GEAR_KINDS[kind].usually.sizeMm
  return {
    name: '',
    kind,
    length: mm(length),
    width: mm(width),
    height: mm(height),
    stand: mm(0),
    mass: '',
    basis: 'maker',
    wet: '',
    maxSpeed: '',
    onEdge: false,
    turns: kind === 'boat' || kind === 'box' ? 'ends' : 'all',
    when: kind === 'person' ? 'parked' : 'always',
    carries: GEAR_KINDS[kind].carries,
    fit: startingFitDraft(kind, system),
    opens: startingOpens(system),
    gates: [],
    figures: NO_FIGURES,
  }
}

/** A piece of gear as texts for the form. */
export function gearToDraft(gear: Gear, system: UnitSystem): GearDraft {
  const mm = (field: string, value: number) => gear.typed?.[field] ?? formatPrecise('length', value, system)
  const kg = (value: number) => formatPrecise('mass', value, system)
  const own = gear.carries?.rated
  return {
    name: gear.name,
    kind: gear.kind,
    length: mm('length', gear.lengthMm),
    width: mm('width', gear.widthMm),
    height: mm('height', gear.heightMm),
    stand: mm('stand', gear.standMm ?? 0),
    mass: gear.mass.typed?.['kg'] ?? kg(gear.mass.kg),
    basis: gear.mass.basis,
    wet: gear.wetKg === undefined ? '' : kg(gear.wetKg),
    maxSpeed: gear.maxKmH === undefined ? '' : formatPrecise('speed', gear.maxKmH, system),
    onEdge: gear.onEdge,
    turns: gear.turns.length === 4 ? 'all' : gear.turns.length === 1 ? 'none' : 'ends',
    when: gear.when,
    carries: gear.carries !== undefined,
    fit: fitToDraft(gear, system),
    opens: opensToDraft(gear.opens, system),
    gates: gatesToDraft(gear.gates, system),
    figures: own?.by === 'own' ? figuresDraft(own.ratings, kg) : NO_FIGURES,
  }
}

const TURNS = { all: [0, 90, 180, 270], ends: [0, 180], none: [0] } as const

/** A piece of gear from the form's texts; what the form does not ask for is kept from the gear it began with. */
export function readGear(draft: GearDraft, system: UnitSystem, id: string, was?: Gear): ReadDraft<Gear> {
  const reader = new DraftReader(system)
  const [length, width, height] = GEAR_KINDS[draft.kind].usually.sizeMm
  const kg = reader.mass('mass', draft.mass, 0)
  const heightMm = reader.span('height', draft.height, height)
  const standMm = reader.size('stand', draft.stand, 0)
  const wetKg = reader.optional('wet', 'mass', draft.wet)
  const maxKmH = reader.optional('maxSpeed', 'speed', draft.maxSpeed)
  const before = was?.carries?.rated.by === 'own' ? was.carries.rated.ratings : []
  const ratings = reader.figures('figures', draft.figures, id, 'sheet', before)
  const {
    wetKg: _wet,
    maxKmH: _max,
    standMm: _stand,
    carries: _carries,
    typed: _typed,
    contactsMm: _at,
    opens: _opens,
    gates: _gates,
    known: _known,
    ...kept
  } = was ?? {}
  const filled = was ? gearToDraft(was, system) : startingGearDraft(draft.kind, system)
  const startText = (field: string, text: 'length' | 'width' | 'height') =>
    !was || isStart(was, field) ? filled[text] : ''
  const places = was?.carries?.places ?? [
    { id: 'place', name: 'Inside', kind: 'inside' as const, xMm: 0, yMm: 0, zMm: Math.min(20, heightMm) },
  ]
  const gear: Gear = {
    shape: GEAR_KINDS[draft.kind].usually.shape,
    ...kept,
    ...readFit(reader, draft.fit, was),
    ...readGates(reader, draft.gates, was?.gates, system),
    ...(draft.kind === 'tent' ? readOpens(reader, draft.opens) : {}),
    id,
    kind: draft.kind,
    ...(was?.kind === draft.kind ? {} : { shape: GEAR_KINDS[draft.kind].usually.shape }),
    name: reader.words('name', draft.name, 'Own gear', 'it a name'),
    lengthMm: reader.span('length', draft.length, length),
    widthMm: reader.span('width', draft.width, width),
    heightMm,
    ...(standMm > 0 ? { standMm } : {}),
    mass: {
      ...(was?.mass.basis === draft.basis ? was.mass : {}),
      kg,
      basis: draft.basis,
      typed: reader.typedFor({ kg: 'mass' }),
    },
    ...(wetKg === undefined ? {} : { wetKg }),
    ...(maxKmH === undefined ? {} : { maxKmH }),
    turns: [...TURNS[draft.turns]],
    onEdge: draft.onEdge,
    when: draft.when,
    ...(draft.carries
      ? {
          carries: {
            rated: { by: 'own' as const, ratings },
            places,
            ...(draft.kind === 'tent' ? { sleeps: was?.carries?.sleeps ?? 2 } : {}),
          },
        }
      : {}),
    typed: reader.typedFor({ length: 'length', width: 'width', height: 'height', stand: 'stand' }),
    ...startsLeft(was?.known, [
      ['lengthMm', draft.length, startText('lengthMm', 'length')],
      ['widthMm', draft.width, startText('widthMm', 'width')],
      ['heightMm', draft.height, startText('heightMm', 'height')],
    ]),
  }
  if (Object.keys(reader.problems).length === 0) {
    const parsed = gearSchema.safeParse(gear)
    if (!parsed.success) reader.fail('name', fieldMessages(parsed.error)[0]?.text ?? 'This cannot be kept.')
  }
  return { value: gear, problems: reader.problems }
}
