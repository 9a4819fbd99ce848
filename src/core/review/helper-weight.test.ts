import { describe, expect, it } from 'vitest'
import { DEMO_PLANS } from '@/demo/plans'
import { ratings } from '../plan/starting/templates'
import type { Plan } from '../plan/schema/plan'
import type { Basis } from '../kinds/basis'
import { gates } from './checks/gates'
import { run, sentences } from './checks/findings.testing'

const LB = 0.45359237
const base = DEMO_PLANS.find(({ id }) => id === 'demo-ladder')!

/** The demo's ladder on a hatch that takes so much with all that is on it; its sheet wants a helper of 150 lb at least. */
function plan(hatchKg: number, helper?: { readonly kg: number; readonly basis: Basis }): Plan {
  const { vehicle, racks } = base
  return {
    ...base,
    vehicle: {
      ...vehicle,
      attachments: vehicle.attachments.map((each) =>
        each.kind === 'hatchSeam'
          ? {
              ...each,
              ratings: ratings('hatch', { parked: hatchKg }, { kind: 'manual' }, { counts: 'everything' }),
            }
          : each,
      ),
    },
    racks: racks.map((rack) =>
      rack.kind === 'ladder'
        ? {
            ...rack,
            gates: [{ id: 'helper', question: 'Helper', ask: { kind: 'mass' as const, fromKg: 150 * LB } }],
          }
        : rack,
    ),
    measurements: helper
      ? [
          {
            kind: 'mass',
            id: 'weighed',
            of: { about: 'gate', owner: 'rack', ownerId: 'hatch-ladder', gateId: 'helper' },
            mass: helper,
          },
        ]
      : [],
  }
}
const onLinks = (of: Plan) => run(gates, of).filter(({ id }) => id.endsWith('on its links'))
const says = (of: Plan) => sentences(gates, of).filter((each) => each.includes('nobody else on it'))

describe('who helps at a ladder', () => {
  const ladder = base.racks.find(({ kind }) => kind === 'ladder')!
  const ownKg = ladder.parts.reduce((sum, { count, eachKg }) => sum + count * eachKg, 0)

  it('weighs from what its sheet asks to what the weakest link takes with nobody else on it (190 lb, the ladder in it)', () => {
    const upTo = (Math.floor((190 * LB - ownKg) * 100) / 100).toString()
    expect(says(plan(190 * LB))[0]).toContain(`so a helper must weigh 68 kg to ${upTo} kg.`)
  })

  it('is weighed against that, with what is to spare', () => {
    const fits = plan(190 * LB, { kg: 70, basis: 'weighed' })
    expect(onLinks(fits)).toMatchObject([{ severity: 'clear', state: 'parked' }])
    expect(says(fits)[0]).toMatch(/this helper weighs 70 kg; .* kg to spare\.$/)
    expect(onLinks(plan(190 * LB, { kg: 85, basis: 'weighed' }))).toMatchObject([{ severity: 'stop' }])
    // Told, a tenth more may be too much.
    expect(onLinks(plan(190 * LB, { kg: 76, basis: 'told' }))).toMatchObject([
      { severity: 'findOut', ask: { where: 'scale' } },
    ])
  })

  it('is nobody where the link takes less than the sheet asks', () => {
    expect(onLinks(plan(60))).toMatchObject([{ severity: 'stop' }])
    expect(says(plan(60))[0]).toMatch(/no weight satisfies both, .* short\.$/)
  })
})
