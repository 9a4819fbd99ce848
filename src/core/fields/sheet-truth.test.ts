import { describe, expect, it } from 'vitest'
import { ATTACHMENTS } from '../kinds/attachment'
import { kindsOf } from '../kinds/kind'
import { OBSTACLES } from '../kinds/obstacle'
import { PART_ROLES } from '../kinds/part-role'
import type { Source } from '../plan/schema/rating'
import { rackSchema } from '../plan/schema/rack'
import { type Vehicle, vehicleSchema } from '../plan/schema/vehicle'
import { startingAttachment, startingObstacle } from '../survey/frame/body/starting-attachment'
import { startingRack } from '../survey/frame/starting-rack'
import { startingVehicle } from '../survey/frame/body/starting-vehicle'
import { BEGUN, draftOf, draftsOf, type Draft, toDraft } from './draft'
import { newEntry } from './new-entry'
import type { List } from './field'
import { RACK_FIELD } from './rack-fields'
import { readDraft, wholeReader } from './read-draft'
import { VEHICLE_FIELD } from './vehicle-fields'

const SHOWN = { system: 'metric', typed: {}, rel: '' } as const
const estate: Vehicle = { ...startingVehicle('estate', 'own'), name: 'Own' }
const bars = startingRack(estate, estate.attachments[0]!, 'bars', 'own')

const readVehicle = (draft: Draft, from?: Source['kind']) =>
  readDraft(VEHICLE_FIELD, vehicleSchema, draft, estate, 'metric', from)
const readRack = (draft: Draft, from?: Source['kind']) =>
  readDraft(RACK_FIELD, rackSchema, draft, bars, 'metric', from)

const listOf = (name: 'attachments' | 'obstacles') => VEHICLE_FIELD.fields[name] as List

/** The sheet of the estate with one more entry in one of its lists, as *Add* makes it. */
function withAdded(name: 'attachments' | 'obstacles', kind: string, over: Record<string, Draft> = {}): Draft {
  const draft = draftOf(toDraft(VEHICLE_FIELD, estate, SHOWN))
  const start = (id: string, of: string) =>
    name === 'attachments'
      ? startingAttachment(of as never, 'estate', id)
      : startingObstacle(of as never, 'estate', id)
  const entry = newEntry({ ...listOf(name), start }, 'metric', 'added', kind, [])
  return { ...draft, [name]: [...draftsOf(draft[name]), { ...entry, name: 'Added', ...over }] }
}

describe('a figure left empty on what is added', () => {
  it('is not known, and the sheet is saved, for every kind of attachment', () => {
    for (const kind of kindsOf(ATTACHMENTS)) {
      const { value, problems } = readVehicle(withAdded('attachments', kind))
      expect(problems, kind).toEqual({})
      const added = value?.attachments.at(-1)
      expect(added && ('rated' in added ? added.rated : added.ratings), kind).toEqual(
        added && 'rated' in added ? { by: 'own', ratings: [] } : [],
      )
    }
  })

  it('is not known for a part of every role either', () => {
    const draft = draftOf(toDraft(RACK_FIELD, bars, SHOWN))
    const parts = RACK_FIELD.groupOf('bars').fields['parts'] as List
    for (const role of kindsOf(PART_ROLES)) {
      const part = { ...newEntry(parts, 'metric', 'p', '', []), role }
      const { value, problems } = readRack({ ...draft, parts: [...draftsOf(draft['parts']), part] })
      expect(problems, role).toEqual({})
      expect(value?.parts.at(-1)?.rated).toEqual({ by: 'own', ratings: [] })
    }
  })
})

describe('a starting value', () => {
  it('stays one when what was added is saved as it began, for every kind', () => {
    for (const kind of kindsOf(OBSTACLES)) {
      const began = startingObstacle(kind, 'estate', 'added')
      const added = readVehicle(withAdded('obstacles', kind)).value?.obstacles.at(-1)
      expect(added?.known, kind).toEqual(began.known)
      expect(Object.keys(began.known ?? {}).length, kind).toBeGreaterThan(0)
    }
    for (const kind of kindsOf(ATTACHMENTS)) {
      const added = readVehicle(withAdded('attachments', kind)).value?.attachments.at(-1)
      expect(added?.known, kind).toEqual(startingAttachment(kind, 'estate', 'added').known)
      expect(Object.keys(added?.typed ?? {}), kind).toEqual([])
    }
  })

  it('is none any more once somebody has typed over it, and then alone', () => {
    const added = readVehicle(withAdded('obstacles', 'doorEdge', { headZMm: '1710 mm' })).value?.obstacles.at(
      -1,
    )
    expect(added).toMatchObject({ headZMm: 1710, typed: { headZMm: '1710 mm' } })
    expect(added?.known).toEqual({ halfWidthMm: { by: 'start' } })
  })

  it('is every length and mass that a new vehicle and a new rack begin with', () => {
    const lengths = (thing: object): string[] =>
      Object.entries(thing).flatMap(([key, value]: [string, unknown]) =>
        typeof value === 'number' && /(Mm|Kg)$/.test(key) ? [key] : [],
      )
    const marked = (thing: { readonly known?: object | undefined }) => Object.keys(thing.known ?? {})
    for (const key of lengths(estate)) expect(marked(estate)).toContain(key)
    for (const key of lengths(estate.roof)) expect(marked(estate)).toContain(`roof.${key}`)
    for (const kind of ['bars', 'platform', 'bed', 'frame', 'ladder'] as const) {
      const rack = startingRack(estate, estate.attachments[0]!, kind, 'own')
      for (const key of lengths(rack)) expect(marked(rack), kind).toContain(key)
      for (const part of rack.parts) for (const key of lengths(part)) expect(marked(part)).toContain(key)
      for (const bar of 'bars' in rack ? rack.bars : [])
        expect(marked(bar).sort()).toEqual(
          [...lengths(bar), 'profile.widthMm', 'profile.heightMm', 'feetYMm.apart'].sort(),
        )
      if ('deck' in rack && rack.deck)
        for (const key of lengths(rack.deck)) expect(marked(rack)).toContain(`deck.${key}`)
    }
  })

  it('is never a figure: no attachment begins as rated with the roof', () => {
    for (const kind of kindsOf(ATTACHMENTS)) {
      const made = startingAttachment(kind, 'estate', 'a')
      expect(JSON.stringify('rated' in made ? made.rated : made.ratings), kind).not.toMatch(/with|manual/)
    }
  })

  it('of a new entry is kept where the form keeps what it began with', () => {
    expect(Object.keys(draftOf(newEntry(listOf('obstacles'), 'metric', 'o', 'antenna', [])))).toContain(BEGUN)
  })
})

describe('what goes to a drawing', () => {
  it('is whole: a field that is wrong keeps its last valid value', () => {
    const read = wholeReader(VEHICLE_FIELD, vehicleSchema)
    const draft = draftOf(toDraft(VEHICLE_FIELD, estate, SHOWN))
    const at = (over: Record<string, Draft>) => read({ ...draft, ...over }, estate, 'metric')
    expect(at({ heightMm: '1600 mm' }).value?.heightMm).toBe(1600)
    const wrong = at({ heightMm: 'sixteen', widthMm: '1900 mm' })
    expect(Object.keys(wrong.problems)).toEqual(['heightMm'])
    expect([wrong.value?.heightMm, wrong.value?.widthMm]).toEqual([1600, 1900])
    expect(vehicleSchema.safeParse(wrong.value).success).toBe(true)
  })

  it('is whole whatever is typed into what was added', () => {
    const rubbish = ['', 'x', '-1', '1e9', '0 / 0 / 0', '1; x', '\u0000']
    for (const name of ['attachments', 'obstacles'] as const)
      for (const kind of name === 'attachments' ? kindsOf(ATTACHMENTS) : kindsOf(OBSTACLES)) {
        const entry = draftsOf(draftOf(withAdded(name, kind))[name]).at(-1)
        const keys = Object.entries(draftOf(entry)).filter(([, text]) => typeof text === 'string')
        for (const [key] of keys)
          for (const text of rubbish) {
            const { value } = readVehicle(withAdded(name, kind, { [key]: text }))
            expect(
              value === undefined || vehicleSchema.safeParse(value).success,
              `${kind} ${key} ${text}`,
            ).toBe(true)
            expect(value, `${kind} ${key} ${text}`).toBeDefined()
          }
      }
  })
})

describe('where figures are from', () => {
  const figures = (over: Record<string, Draft>, from?: Source['kind']) => {
    const draft = draftOf(toDraft(VEHICLE_FIELD, estate, SHOWN))
    const roof = draftOf(draft['roof'])
    const { '?': stamped = {}, ...own } = over
    return readVehicle(
      {
        ...draft,
        '?': { ...draftOf(draft['?']), ...draftOf(stamped) },
        roof: { ...roof, ratings: { ...draftOf(roof['ratings']), ...own } },
      },
      from,
    )
  }

  it('is said when they are typed, and what is chosen on top later is not of them', () => {
    const { value, problems } = figures(
      {
        road: '75 kg',
        trail: '50 kg',
        '?': { 'roof:ratings:road': 'manual', 'roof:ratings:trail': 'label' },
      },
      'told',
    )
    expect(problems).toEqual({})
    expect(value?.roof.ratings.map(({ source }) => source.kind)).toEqual(['manual', 'label'])
    expect(Object.keys(value?.known ?? {}).filter((at) => at.includes('ratings'))).toEqual([])
  })

  it('reaches what is rated with another part; where nobody says, it is told', () => {
    const draft = draftOf(toDraft(VEHICLE_FIELD, estate, SHOWN))
    const [rail] = draftsOf(draft['attachments'])
    const rated = (from?: Source['kind']) =>
      readVehicle(
        { ...draft, attachments: [{ ...draftOf(rail), rated: { by: 'with', what: 'the roof' } }] },
        from,
      )
    expect(rated('manual').problems).toEqual({})
    expect(rated('manual').value?.attachments[0]).toMatchObject({ rated: { source: { kind: 'manual' } } })
    expect(rated().value?.attachments[0]).toMatchObject({ rated: { source: { kind: 'told' } } })
  })

  it('is asked about where the figure that it is of is not there, and dropped never', () => {
    expect(figures({ page: '214' }).problems).toEqual({
      'roof.ratings.page': 'Give the figure that this belongs to, or empty this.',
    })
    expect(Object.keys(figures({ counts: 'everything', per: 'each', by: 'manual' }).problems).sort()).toEqual(
      ['roof.ratings.by', 'roof.ratings.counts', 'roof.ratings.per'],
    )
    expect(figures({ page: '214', road: '75 kg' }).value?.roof.ratings[0]).toMatchObject({
      source: { page: '214' },
    })
  })
})
