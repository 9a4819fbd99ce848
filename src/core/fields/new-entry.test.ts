import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { ATTACHMENTS, type AttachmentKind } from '../kinds/attachment'
import { kindsOf } from '../kinds/kind'
import { vehicleSchema } from '../plan/schema/vehicle'
import { startingAttachment } from '../survey/frame/body/starting-attachment'
import { draftOf, draftsOf, KNOWN, toDraft, WAS, type Draft } from './draft'
import { figuresIn, marksWithout } from './draft-marks'
import type { Group, List, Variants } from './field'
import { newEntry, ofKind } from './new-entry'
import { PART_FIELD } from './part-fields'
import { readDraft } from './read-draft'
import { VEHICLE_FIELD } from './vehicle-fields'

const SHOWN = { system: 'metric', typed: {}, rel: '' } as const
const LIST = VEHICLE_FIELD.fields['attachments'] as List
const ITEM = LIST.item as Variants
const { vehicle } = DEMO_PLANS[0]!
const startOf = (kind: string) => startingAttachment(kind as AttachmentKind, 'estate', 'new')
const added = (kind: string) => newEntry({ ...LIST, start: (_, of) => startOf(of) }, 'metric', 'new', kind)
const asKind = (draft: Draft, kind: string) => ofKind(ITEM, draft, kind, startOf, 'metric')

/** The attachment that a vehicle's sheet gives for an entry. */
function read(entry: Draft) {
  const draft = draftOf(toDraft(VEHICLE_FIELD, vehicle, SHOWN))
  const { value, problems } = readDraft(
    VEHICLE_FIELD,
    vehicleSchema,
    { ...draft, attachments: [...draftsOf(draft['attachments']), entry] },
    vehicle,
    'metric',
  )
  return { problems, attachment: value?.attachments.at(-1) }
}

describe('a marked place more', () => {
  it('is the next corner, like the one before it, with the corner’s own mark', () => {
    const work = PART_FIELD.fields['work'] as Group
    const list = work.fields['places'] as List
    const first = newEntry(list, 'metric', 'a', '')
    expect(first['at']).toBe('LHF')
    const typed = { ...first, piece: 'Pad', mark: 'LHF', arrow: 'outward' }
    const second = newEntry(list, 'metric', 'b', '', [typed])
    expect(second).toMatchObject({ at: 'RHF', piece: 'Pad', mark: 'RHF', arrow: 'outward' })
    const third = newEntry(list, 'metric', 'c', '', [typed, { ...second, mark: 'two dots' }])
    // Another mark belongs to its own place alone.
    expect(third).toMatchObject({ at: 'LHR', piece: 'Pad', mark: '' })
  })
})

describe('an entry that becomes another kind (F5)', () => {
  it('begins as that kind does, from every kind to every other', () => {
    for (const from of kindsOf(ATTACHMENTS))
      for (const to of kindsOf(ATTACHMENTS)) {
        const { problems, attachment } = read(asKind(added(from), to))
        expect(problems, `${from} to ${to}`).toEqual({})
        expect(attachment, `${from} to ${to}`).toEqual({ ...startOf(to), id: 'new' })
      }
  })

  it('keeps what was typed, and it stays known as it was', () => {
    const known = draftOf(added('raisedRail')[KNOWN])
    const rails = { ...added('raisedRail'), name: 'Our rails', gaugeMm: '1020 mm' }
    const { attachment } = read(asKind({ ...rails, [KNOWN]: { ...known, gaugeMm: 'measured' } }, 'flushRail'))
    expect(attachment).toMatchObject({ kind: 'flushRail', name: 'Our rails', gaugeMm: 1020 })
    expect(attachment?.known?.['gaugeMm']).toEqual({ by: 'measured' })
  })

  it('is still the entry that it was', () => {
    expect(asKind({ ...added('raisedRail'), [WAS]: '0' }, 'flushRail')[WAS]).toBe('0')
  })
})

describe('the figures of an entry', () => {
  it('are found where they stand, but for those of what keeps marks of its own', () => {
    const draft = { kind: 'x', a: '5 mm', b: '', list: [{ c: '1 kg' }, { c: '' }], own: { d: '3 mm' } }
    const length = { is: 'quantity', dimension: 'length', label: '' } as const
    const field = {
      is: 'group',
      label: '',
      fields: {
        a: length,
        b: length,
        list: { is: 'list', label: '', one: 'a', item: { is: 'group', label: '', fields: { c: length } } },
        own: { is: 'group', label: '', fields: { d: length, known: { is: 'marks' } } },
      },
    } as const
    expect(figuresIn(field, draft)).toEqual(['a', 'list.0.c'])
  })

  it('keep their marks when an earlier entry is removed', () => {
    const marks = {
      'ranges:0:fromMm': 'start',
      'ranges:1:fromMm': 'measured',
      'ranges:2:toMm': 'label',
      riseMm: 'start',
    }
    expect(marksWithout(marks, 'ranges', 1)).toEqual({
      'ranges:0:fromMm': 'start',
      'ranges:1:toMm': 'label',
      riseMm: 'start',
    })
  })
})
