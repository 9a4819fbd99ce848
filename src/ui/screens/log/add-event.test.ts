import { refitValues } from '@/core/api/fit'
import { describe, expect, it } from 'vitest'
import { wingBars } from '@/demo/racks'
import { eventOf } from './add-event'

const racks = [wingBars]
const draft = { kind: 'checked', what: ' Aero bars ', other: '', count: '1', rackId: '', note: '' } as const

describe('an entry by hand', () => {
  it.each([
    [draft, { kind: 'checked', what: 'Aero bars' }],
    [
      { ...draft, kind: 'lost', what: 'Key', count: '2', note: 'on the beach' },
      { kind: 'lost', what: 'Key', count: 2, note: 'on the beach' },
    ],
    [
      { ...draft, kind: 'replaced', other: 'new pad' },
      { kind: 'replaced', what: 'Aero bars', with: 'new pad' },
    ],
    [
      { ...draft, kind: 'removed', rackId: 'wing', what: '' },
      { kind: 'removed', rackId: 'wing', what: wingBars.name, note: refitValues(wingBars) },
    ],
    [
      { ...draft, kind: 'dated', other: '2027-06-01' },
      { kind: 'dated', what: 'Aero bars', due: '2027-06-01' },
    ],
  ] as const)('%o', (given, event) => {
    expect(eventOf(given, racks)).toEqual(event)
  })

  it.each([
    [{ ...draft, what: '  ' }, 'Enter what.'],
    [{ ...draft, kind: 'lost', count: '1.5' }, 'How many? A whole number from 1.'],
    [{ ...draft, kind: 'found', count: '0' }, 'How many? A whole number from 1.'],
    [{ ...draft, kind: 'replaced' }, 'Enter the replacement.'],
    [{ ...draft, kind: 'refitted', rackId: 'gone' }, 'Choose which rack.'],
    [{ ...draft, kind: 'dated', other: 'soon' }, 'Choose the day.'],
  ] as const)('without enough says what it lacks: %o', (given, words) => {
    expect(eventOf(given, racks)).toBe(words)
  })
})
