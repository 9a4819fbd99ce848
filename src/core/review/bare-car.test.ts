import { expect, it } from 'vitest'
import { newPlan } from '../plan/starting/new-plan'
import type { Plan } from '../plan/schema/plan'
import { ratings } from '../plan/starting/templates'
import { startingGear } from '../plan/starting/starting-gear'
import type { Gear } from '../plan/schema/gear'
import { startingRack } from '../survey/frame/starting-rack'
import { startingVehicle } from '../survey/frame/body/starting-vehicle'
import { survey } from '../survey/survey'
import { phraseText } from '../units/phrase'
import { isOpen } from './finding'
import { foldedTogether } from './folded'
import { review } from './review'

const SAID = { kind: 'manual' } as const

/** An own car as the forms begin it, with twelve values typed: names, the figures, a box with its weight and its door. */
function bareCar(): Plan {
  const vehicle = { ...startingVehicle('estate', 'car'), name: 'Own car' }
  const [rails] = vehicle.attachments
  if (!rails || !('rated' in rails)) throw new Error('the form begins with rails')
  const rated = {
    ...vehicle,
    roof: { ...vehicle.roof, ratings: ratings('roof', { road: 75 }, SAID, { counts: 'everything' }) },
  }
  const own = { ...rails, rated: { by: 'with' as const, what: 'the roof', source: SAID } }
  const rack = startingRack(rated, own, 'bars', 'rack')
  const figured = {
    ...rack,
    parts: rack.parts.map((part) => ({
      ...part,
      eachKg: part.role === 'bars' ? 2.6 : 0.9,
      known: { eachKg: { by: 'label' as const } },
      rated: {
        by: 'own' as const,
        ratings: ratings(part.id, { road: part.role === 'bars' ? 90 : 80 }, { kind: 'label' }),
      },
    })),
  }
  const box = { ...startingGear('box', 'box'), name: 'Box', mass: { kg: 17, basis: 'maker' } } as Gear
  const plan = newPlan({
    id: 'bare',
    job: { name: 'Bare' },
    vehicle: { ...rated, attachments: [own] },
    racks: [figured],
  })
  const ids = 'bars' in figured ? figured.bars.map(({ id }) => id) : []
  const xs = 'bars' in figured ? figured.bars.map(({ xMm }) => xMm) : [0]
  return {
    ...plan,
    gear: [box],
    placements: [
      {
        id: 'box',
        gearId: 'box',
        host: { on: 'bars', barIds: ids },
        xMm: xs.reduce((sum, x) => sum + x, 0) / xs.length,
        yMm: 0,
        turn: 0,
        onEdge: false,
        when: 'always',
        loads: [],
      },
    ],
  }
}

it('a bare own car made from twelve typed values shows at most eight questions in at most three groups', () => {
  const { findings } = review(survey(bareCar()))
  const open = foldedTogether(findings.filter(isOpen).filter(({ severity }) => severity === 'findOut'))
  const texts = open.map(({ finding }) => phraseText(finding.sentence))
  const groups = new Set(open.map(({ finding }) => finding.ask?.where))
  expect(open.length, texts.join('\n')).toBeLessThanOrEqual(8)
  expect(open.length, texts.join('\n')).toBeGreaterThan(0)
  expect([...groups].length, texts.join('\n')).toBeLessThanOrEqual(3)
  // Every question has a place to answer it.
  for (const { finding } of open) expect(finding.ask, phraseText(finding.sentence)).toBeDefined()
})
