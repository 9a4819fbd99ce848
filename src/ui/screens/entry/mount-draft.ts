import { formatPrecise, type Gear, GEAR_KINDS, type GearKind, type Mount, type UnitSystem } from '@/core'
import type { DraftReader } from './draft-reader'

/** How a thing is held and what it asks of the bars, as typed; fields a kind does not ask for are left as they are. */
export interface FitDraft {
  mount: Mount['kind']
  sectionWidthFrom: string
  sectionWidthTo: string
  sectionHeightFrom: string
  sectionHeightTo: string
  underBar: string
  slot: string
  head: string
  thread: string
  bolt: string
  stack: string
  pitch: string
  columns: string
  rows: string
  spacingFrom: string
  spacingTo: string
  direction: 'along' | 'across'
  diameter: string
  spreadFrom: string
  spreadTo: string
  overhang: string
  beside: string
  contacts: string
}

export function startingFitDraft(kind: GearKind, system: UnitSystem): FitDraft {
  const mm = (value: number) => formatPrecise('length', value, system)
  return {
    mount: GEAR_KINDS[kind].usually.mount,
    sectionWidthFrom: mm(25),
    sectionWidthTo: mm(85),
    sectionHeightFrom: mm(15),
    sectionHeightTo: mm(35),
    underBar: mm(20),
    slot: mm(20),
    head: mm(7),
    thread: '',
    bolt: '',
    stack: mm(14),
    pitch: mm(50),
    columns: '2',
    rows: '2',
    spacingFrom: mm(700),
    spacingTo: mm(1000),
    direction: 'along',
    diameter: mm(32),
    spreadFrom: '',
    spreadTo: '',
    overhang: '',
    beside: '',
    contacts: '',
  }
}

/** What a piece of gear asks, as texts for the form. */
export function fitToDraft({ fit, kind, contactsMm }: Gear, system: UnitSystem): FitDraft {
  const mm = (value: number | undefined) =>
    value === undefined ? '' : formatPrecise('length', value, system)
  const { mount } = fit
  const section =
    'sectionWidthMm' in mount
      ? {
          sectionWidthFrom: mm(mount.sectionWidthMm.fromMm),
          sectionWidthTo: mm(mount.sectionWidthMm.toMm),
          sectionHeightFrom: mm(mount.sectionHeightMm.fromMm),
          sectionHeightTo: mm(mount.sectionHeightMm.toMm),
        }
      : {}
  return {
    ...startingFitDraft(kind, system),
    mount: mount.kind,
    ...section,
    ...(mount.kind === 'wrapClamp' ? { underBar: mm(mount.underBarMm) } : {}),
    ...('slotMm' in mount ? { slot: mm(mount.slotMm) } : {}),
    ...(mount.kind === 'channelBolt'
      ? {
          head: mm(mount.headMm),
          thread: mount.thread,
          bolt: mm(mount.boltMm),
          stack: mm(mount.stackMm),
        }
      : {}),
    ...(mount.kind === 'panelHoles'
      ? { pitch: mm(mount.pitchMm), columns: String(mount.columns), rows: String(mount.rows) }
      : {}),
    ...(mount.kind === 'bracket'
      ? {
          spacingFrom: mm(mount.spacingMm.fromMm),
          spacingTo: mm(mount.spacingMm.toMm),
          direction: mount.direction,
        }
      : {}),
    ...(mount.kind === 'handle' ? { diameter: mm(mount.diameterMm) } : {}),
    spreadFrom: mm(fit.spreadMm?.fromMm),
    spreadTo: mm(fit.spreadMm?.toMm),
    overhang: mm(fit.overhangMm),
    beside: mm(fit.besideMm),
    contacts: (contactsMm?.across ?? []).map((y) => mm(y)).join('; '),
  }
}

function range(reader: DraftReader, draft: FitDraft, from: keyof FitDraft, to: keyof FitDraft) {
  const fromMm = reader.size(`fit.${from}`, draft[from], 0)
  const toMm = reader.size(`fit.${to}`, draft[to], fromMm)
  if (toMm < fromMm) reader.fail(`fit.${to}`, 'It must not be less than where it begins.')
  return { fromMm, toMm: Math.max(fromMm, toMm) }
}

function whole(reader: DraftReader, field: string, text: string): number {
  const value = Number(text)
  if (Number.isInteger(value) && value >= 1) return value
  reader.fail(field, 'A whole number, 1 or more.')
  return 1
}

function readMount(reader: DraftReader, draft: FitDraft, was: Mount | undefined): Mount {
  const { mount: kind } = draft
  switch (kind) {
    case 'unsaid':
    case 'none':
    case 'strap':
      return { kind }
    case 'wrapClamp':
    case 'uBolt': {
      const section = {
        sectionWidthMm: range(reader, draft, 'sectionWidthFrom', 'sectionWidthTo'),
        sectionHeightMm: range(reader, draft, 'sectionHeightFrom', 'sectionHeightTo'),
      }
      return kind === 'uBolt'
        ? { kind, ...section }
        : { kind, ...section, underBarMm: reader.size('fit.underBar', draft.underBar, 20) }
    }
    case 'channelBolt': {
      const boltMm = reader.optional('fit.bolt', 'length', draft.bolt)
      const otherSlotsMm = was?.kind === kind ? was.otherSlotsMm : undefined
      return {
        kind,
        slotMm: reader.span('fit.slot', draft.slot, 20),
        ...(otherSlotsMm ? { otherSlotsMm } : {}),
        headMm: reader.span('fit.head', draft.head, 7),
        thread: reader.words('fit.thread', draft.thread, 'M6', 'the bolt’s thread, M6 say').slice(0, 20),
        ...(boltMm === undefined ? {} : { boltMm }),
        stackMm: reader.size('fit.stack', draft.stack, 14),
      }
    }
    case 'slat':
      return { kind, slotMm: reader.span('fit.slot', draft.slot, 11) }
    case 'panelHoles':
      return {
        kind,
        pitchMm: reader.span('fit.pitch', draft.pitch, 50),
        columns: whole(reader, 'fit.columns', draft.columns),
        rows: whole(reader, 'fit.rows', draft.rows),
      }
    case 'bracket':
      return {
        kind,
        spacingMm: range(reader, draft, 'spacingFrom', 'spacingTo'),
        direction: draft.direction,
      }
    case 'handle':
      return { kind, diameterMm: reader.span('fit.diameter', draft.diameter, 32) }
  }
}

/** How a thing is held and where it touches, from the form's texts; what the form does not ask for is kept. */
export function readFit(
  reader: DraftReader,
  draft: FitDraft,
  was: Gear | undefined,
): Pick<Gear, 'fit' | 'contactsMm'> {
  const spread =
    draft.spreadFrom.trim() === '' && draft.spreadTo.trim() === ''
      ? undefined
      : range(reader, draft, 'spreadFrom', 'spreadTo')
  const overhangMm = reader.optional('fit.overhang', 'length', draft.overhang)
  const besideMm = reader.optional('fit.beside', 'length', draft.beside)
  const across = draft.contacts.trim() === '' ? [] : reader.positions('fit.contacts', draft.contacts, [])
  const along = was?.contactsMm?.along ?? []
  return {
    fit: {
      mount: readMount(reader, draft, was?.fit.mount),
      ...(spread ? { spreadMm: spread } : {}),
      ...(was?.fit.bars ? { bars: was.fit.bars } : {}),
      ...(overhangMm === undefined ? {} : { overhangMm }),
      ...(besideMm === undefined ? {} : { besideMm }),
      ...(was?.fit.baseMm === undefined ? {} : { baseMm: was.fit.baseMm }),
    },
    ...(across.length + along.length > 0 ? { contactsMm: { along, across } } : {}),
  }
}
