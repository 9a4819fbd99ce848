import { describe, expect, it } from 'vitest'
import { barsRack } from '../plan/plans.testing'
import { barSchema, barsOf, type Bar } from '../plan/schema/rack'
import { draftOf, KNOWN, toDraft, type Draft, type DraftOf } from './draft'
import type { Variants } from './field'
import { ofKind } from './new-entry'
import { BAR_FIELD } from './rack-fields'
import { readDraft } from './read-draft'

const PROFILE = BAR_FIELD.fields['profile'] as Variants
const [flat] = barsOf(barsRack({}))
if (!flat) throw new Error('The rack has a bar.')
const START = { by: 'start' } as const
const begun: Bar = {
  ...flat,
  profile: { kind: 'aero', widthMm: 80, heightMm: 28 },
  known: { 'profile.widthMm': START, 'profile.heightMm': START },
}
const shown = (bar: Bar): DraftOf =>
  draftOf(toDraft(BAR_FIELD, bar, { system: 'metric', typed: {}, rel: '' }))
/** The bar's sheet after another profile was chosen there, as the form does it. */
const chosen = (
  bar: Bar,
  kind: string,
  over: Record<string, Draft> = {},
  marks: Record<string, Draft> = {},
) => {
  const draft = shown(bar)
  const profile = ofKind(PROFILE, draft['profile'] ?? '', kind, (of) => PROFILE.start?.(of), 'metric')
  return readDraft(
    BAR_FIELD,
    barSchema,
    { ...draft, profile: { ...profile, ...over }, [KNOWN]: { ...draftOf(draft[KNOWN]), ...marks } },
    bar,
    'metric',
  )
}

describe('the profile of a bar', () => {
  it('brings the sizes of the kind that is chosen, marked as starting values', () => {
    const { value, problems } = chosen(begun, 'round')
    expect(problems).toEqual({})
    expect(value?.profile).toMatchObject({ kind: 'round', widthMm: 28, heightMm: 28 })
  })

  it('of a round bar is one diameter, typed once and known as it is', () => {
    const { value } = chosen(begun, 'round', { widthMm: '32 mm' }, { 'profile:widthMm': '' })
    expect(value?.profile).toMatchObject({ kind: 'round', widthMm: 32, heightMm: 32 })
    expect(value?.known).toBeUndefined()
    const round = { ...begun, profile: { ...begun.profile, kind: 'round' as const, widthMm: 28 } }
    const draft = shown(round)
    const again = readDraft(
      BAR_FIELD,
      barSchema,
      { ...draft, profile: { ...draftOf(draft['profile']), widthMm: '34 mm' } },
      round,
      'metric',
    )
    expect(again.value?.profile.heightMm).toBe(34)
    expect(again.value?.known).toBeUndefined()
  })

  it('keeps what was typed', () => {
    const { value } = chosen(begun, 'square', { widthMm: '35 mm' }, { 'profile:widthMm': '' })
    expect(value?.profile).toMatchObject({ kind: 'square', widthMm: 35, heightMm: 20 })
  })

  it('leaves a round bar as it was that nobody touched', () => {
    const oval = { ...begun, profile: { kind: 'round' as const, widthMm: 40, heightMm: 28 } }
    expect(readDraft(BAR_FIELD, barSchema, shown(oval), oval, 'metric').value).toBe(oval)
  })
})
