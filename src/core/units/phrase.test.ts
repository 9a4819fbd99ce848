import { describe, expect, it } from 'vitest'
import { barsRack, carrier, own, planOf, roofOf, thing, vehicleWith } from '../plan/plans.testing'
import type { Source } from '../plan/schema/rating'
import { survey } from '../survey/survey'
import { cautionsFor } from '../review/cautions'
import { limitPhrase, sourceText } from '../review/layer-phrases'
import { kg, kmH, mm, phraseText } from './phrase'

const ANY = { road: 500, trail: 500, parked: 500 }
const racks = [barsRack({ bars: own('bars', ANY), feet: own('feet', ANY) })]

describe('sentences with numbers in them', () => {
  it('read in the units asked for', () => {
    const phrase = ['The box weighs ', kg(20.5), ', is ', mm(803.275), ' long and goes ', kmH(99.779), '.']
    expect(phraseText(phrase)).toBe('The box weighs 20.5 kg, is 803.3 mm long and goes 100 km/h.')
    expect(phraseText(phrase, { show: 'us', denominator: 16 })).toBe(
      'The box weighs 45.2 lb, is 31 5/8 in long and goes 62 mph.',
    )
    expect(phraseText(phrase, { show: 'both', denominator: 8 })).toContain('803.3 mm (31 5/8 in)')
  })

  it.each<[Source, string]>([
    [{ kind: 'manual' }, 'manual'],
    [{ kind: 'manual', page: '214' }, 'manual, page 214'],
    [{ kind: 'label', text: 'under the bar' }, 'label (under the bar)'],
    [{ kind: 'told', on: '2026-05-02' }, 'told, not seen, read 2026-05-02'],
    [
      { kind: 'sheet', page: '3', text: 'fit sheet', on: '2026-01-01' },
      "maker's sheet, page 3 (fit sheet), read 2026-01-01",
    ],
  ])('say where a figure was read', (source, text) => {
    expect(sourceText(source)).toBe(text)
  })

  it('say how a limit came about', () => {
    const plan = planOf(vehicleWith(roofOf({ road: 60 })), racks, [[thing('load', 30)]])
    const says = (state: 'road' | 'trail' | 'parked') =>
      phraseText(limitPhrase(survey(plan).loadPath.cellAt('roof', state)!))
    expect(says('road')).toBe('60 kg, manual')
    expect(says('trail')).toBe('40 kg, assumed by house rule as 2/3 of the road figure')
    expect(says('parked')).toBe('60 kg, its driving figure')
    const odd = {
      ...plan,
      rules: { ...plan.rules, trailMissing: { school: 'derate' as const, factor: 0.6 } },
    }
    expect(phraseText(limitPhrase(survey(odd).loadPath.cellAt('roof', 'trail')!))).toContain(
      '0.6 of the road figure',
    )
  })
})

describe('cautions', () => {
  const says = (...things: NonNullable<Parameters<typeof planOf>[2]>[number][]) =>
    cautionsFor(survey(planOf(vehicleWith(roofOf(ANY)), racks, things))).join(' ')
  const fluid = (kind: 'petrol' | 'water') => ({
    loads: [
      {
        id: 'f',
        name: 'F',
        when: 'always' as const,
        what: { kind: 'fluid' as const, fluid: kind, litres: 5 },
      },
    ],
  })

  it('come when they matter, and only then', () => {
    expect(says()).not.toContain('centre of gravity')
    expect(says([thing('bag', 5)])).toContain('centre of gravity')
    expect(says([thing('bag', 5)])).not.toContain('takes two')
    expect(says([thing('crate', 20)])).toContain('Lifting overhead takes two')
    expect(says([thing('can', 5), fluid('petrol')])).toContain('approved containers')
    expect(says([thing('can', 5), fluid('water')])).not.toContain('approved containers')
    expect(says([carrier('tent', 40, ANY, { kind: 'tent' })])).toContain(
      'Never drive with anyone on the roof',
    )
    expect(says([thing('boat', 20, { shape: 'hull' })])).toContain('bow and stern lines')
  })
})
