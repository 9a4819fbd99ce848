import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES, houseRulesSchema, type HouseRules } from '../plan/schema/house'
import { draftOf, toDraft, type Draft } from './draft'
import { HOUSE_RULES_FIELD, withUsualRules } from './house-fields'
import { readDraft } from './read-draft'

const read = (rules: HouseRules, bay: Record<string, Draft>) => {
  const now = withUsualRules(rules)
  const draft = draftOf(toDraft(HOUSE_RULES_FIELD, now, { system: 'metric', typed: {}, rel: '' }))
  const typed = { ...draft, bay: { ...draftOf(draft['bay']), ...bay } }
  return readDraft(HOUSE_RULES_FIELD, houseRulesSchema, typed, now, 'metric')
}

describe('house rules', () => {
  it('name the field where passes are wrong or missing, and lose no other rule by it', () => {
    for (const text of ['', 'abc', '120'])
      expect(Object.keys(read(DEFAULT_HOUSE_RULES, { passesPercent: text }).problems).join(), text).toMatch(
        /^bay\.passesPercent/,
      )
  })

  it('take passes with commas or semicolons between', () => {
    for (const text of ['25, 50, 100', '25; 50; 100'])
      expect(read(DEFAULT_HOUSE_RULES, { passesPercent: text }).value?.bay?.passesPercent).toEqual([
        25, 50, 100,
      ])
  })

  it('keep a share that a file brought', () => {
    const own: HouseRules = { ...DEFAULT_HOUSE_RULES, trailMissing: { school: 'derate', factor: 0.6 } }
    const { value, problems } = read(own, { thenMonths: '6' })
    expect(problems).toEqual({})
    expect(value?.trailMissing).toEqual({ school: 'derate', factor: 0.6 })
  })
})
