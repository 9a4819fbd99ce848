import { describe, expect, inject, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { gearSchema } from '../plan/schema/gear'
import { rackSchema } from '../plan/schema/rack'
import { vehicleSchema } from '../plan/schema/vehicle'
import { draftOf, OTHERS, toDraft, type Draft } from './draft'
import type { Group, Variants } from './field'
import { GEAR_FIELD } from './gear-fields'
import { grown, textsIn, withText } from './grown.testing'
import { problemPlaces } from './problem-places'
import { RACK_FIELD } from './rack-fields'
import { readDraft } from './read-draft'
import { VEHICLE_FIELD } from './vehicle-fields'

const SHOWN = { system: 'metric', typed: {}, rel: '' } as const
const GATE_STEP = 12
const RUBBISH = ['x', '-1e9 kg', '5; y; 1 / 2 / 3']
const [plan] = DEMO_PLANS
const SHEETS = [
  ['vehicle', VEHICLE_FIELD, vehicleSchema, plan!.vehicle],
  ...DEMO_PLANS.flatMap(({ racks }) => racks)
    .filter((rack, i, all) => all.findIndex(({ kind }) => kind === rack.kind) === i)
    .map((rack) => [`${rack.kind} rack`, RACK_FIELD, rackSchema, rack] as const),
  ['gear', GEAR_FIELD, gearSchema, plan!.gear[0]!],
] as const

/** What a sheet says of each of its texts once rubbish stands in it: the path that shows it, and its name. */
function* places(field: Group | Variants, schema: Parameters<typeof readDraft>[1], thing: unknown) {
  const draft = grown(field, toDraft(field, thing, SHOWN))!
  const shown = textsIn(field, draft)
  for (const [i, path] of shown.entries()) {
    // In the gate a few of the fields, one rubbish each; in the deep run all.
    if (!inject('deep') && i % GATE_STEP !== 0) continue
    for (const text of inject('deep') ? RUBBISH : [RUBBISH[(i / GATE_STEP) % RUBBISH.length]!]) {
      const wrong: Draft = withText(draft, path, text)
      const { problems } = readDraft(field, schema, wrong, thing, 'metric')
      yield {
        typed: path.join('.'),
        shown: shown.map((each) => each.join('.')),
        found: problemPlaces(field, wrong, problems),
      }
    }
  }
}

describe('what is wrong in a sheet', () => {
  it.each(SHEETS)('has a place with a name, wherever rubbish is typed: %s', (_, field, schema, thing) => {
    let met = 0
    for (const { typed, shown, found } of places(field, schema, thing))
      for (const { path, name, problem } of found) {
        met += 1
        const said = `${typed}: ${problem}`
        expect(name, said).not.toBe('')
        expect(path, said).not.toBe('')
        const isShown = shown.some((each) => each === path || each.startsWith(`${path}.`))
        expect(isShown, `${said} (at ${path})`).toBe(true)
      }
    expect(met).toBeGreaterThan(10)
  })

  it('is called by what it belongs to', () => {
    const rack = SHEETS.find(([name]) => name === 'bars rack')![3]
    const draft = draftOf(toDraft(RACK_FIELD, rack, SHOWN))
    const named = (problems: Record<string, string>) =>
      problemPlaces(RACK_FIELD, draft, problems).map(({ path, name }) => [path, name])
    const bar = 'bars' in rack ? rack.bars[0]!.name : ''
    expect(
      named({
        'bars.0.lengthMm': 'no',
        'bars.0.feetYMm.apart': 'no',
        [`bars.0.${OTHERS}.profile:widthMm.0.value`]: 'no',
        'parts.0.rated.ratings.road': 'no',
        'parts.0.id': 'no',
        'nothing.of.it': 'no',
      }),
    ).toEqual([
      ['bars.0.lengthMm', `${bar}, Length overall`],
      ['bars.0.feetYMm.apart', `${bar}, Foot to foot`],
      [`bars.0.${OTHERS}.profile:widthMm.0.value`, `${bar}, Profile width, another figure`],
      ['parts.0.rated.ratings.road', `${'parts' in rack ? rack.parts[0]!.name : ''}, Load limits, Road`],
      ['parts.0', 'parts' in rack ? rack.parts[0]!.name : ''],
      ['', ''],
    ])
  })
})
