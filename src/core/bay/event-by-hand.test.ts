import { describe, expect, it } from 'vitest'
import { wingBars } from '@/demo/racks'
import { EVENT_BY_HAND_FIELD } from '../fields/event-fields'
import { readDraft } from '../fields/read-draft'
import { eventByHandSchema } from '../log/by-hand'
import type { Draft } from '../fields/draft'
import { eventOfHand } from './event-by-hand'
import { refitValues } from './refit'

const read = (draft: Readonly<Record<string, Draft>>) =>
  readDraft(EVENT_BY_HAND_FIELD, eventByHandSchema, draft, { kind: draft['kind'] }, 'metric')

describe('an entry by hand', () => {
  it.each([
    [
      { kind: 'checked', what: ' Aero bars ' },
      { kind: 'checked', what: 'Aero bars' },
    ],
    [
      { kind: 'lost', what: 'Key', count: '2', note: 'on the beach' },
      { kind: 'lost', what: 'Key', count: 2, note: 'on the beach' },
    ],
    [
      { kind: 'replaced', what: 'Aero bars', with: 'new pad' },
      { kind: 'replaced', what: 'Aero bars', with: 'new pad' },
    ],
    [
      { kind: 'removed', rackId: 'wing' },
      { kind: 'removed', rackId: 'wing', what: wingBars.name, note: refitValues(wingBars) },
    ],
    [
      { kind: 'removed', rackId: 'wing', note: 'for the winter' },
      { kind: 'removed', rackId: 'wing', what: wingBars.name, note: 'for the winter' },
    ],
    [
      { kind: 'refitted', rackId: 'wing' },
      { kind: 'refitted', rackId: 'wing', what: wingBars.name },
    ],
    [
      { kind: 'dated', what: 'Aero bars', due: '2027-06-01' },
      { kind: 'dated', what: 'Aero bars', due: '2027-06-01' },
    ],
  ])('%o', (draft, event) => {
    const { value, problems } = read(draft)
    expect(problems).toEqual({})
    expect(value && eventOfHand(value, [wingBars])).toEqual(event)
  })

  it.each([
    [{ kind: 'checked', what: '  ' }, 'what'],
    [{ kind: 'lost', what: 'Key', count: '1.5' }, 'count'],
    [{ kind: 'found', what: 'Key', count: '0' }, 'count'],
    [{ kind: 'replaced', what: 'Pad', with: '' }, 'with'],
    [{ kind: 'refitted', rackId: '' }, 'rackId'],
    [{ kind: 'dated', what: 'Pad', due: 'soon' }, 'due'],
  ])('without enough names the field: %o', (draft, path) => {
    expect(Object.keys(read(draft).problems)).toEqual([path])
  })

  it('is none where the rack is not there', () => {
    expect(eventOfHand({ kind: 'refitted', rackId: 'gone' }, [wingBars])).toBeUndefined()
  })
})
