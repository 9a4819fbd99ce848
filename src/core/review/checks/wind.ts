import { STANDARD_GRAVITY } from '../../units/dimension'
import type { ThingAt } from '../../survey/frame/arrangement'
import { withContents } from '../../survey/loads/mass-points'
import type { Survey } from '../../survey/survey'
import { check } from '../check'
import { kmH, kWh, newton, type Phrase } from '../../units/phrase'

function energyPhrase(survey: Survey): Phrase {
  const { kWhPer100Km: road, fuelPer100Km: fuel } = survey.motion.wind()
  const all: Phrase = ['; ', kWh(road), ' more on the road for 100 km']
  if (!fuel) return all
  return [
    ...all,
    ', about ',
    ...(fuel.unit === 'L'
      ? ([{ dimension: 'volume', value: fuel.amount }, ' of fuel'] as const)
      : ([kWh(fuel.amount), ' from the battery'] as const)),
  ]
}

/** Whether something besides its weight holds a thing down: a mount of its own, or straps on the plan. */
function isHeld({ gear, placement }: ThingAt): boolean {
  const { kind } = gear.fit.mount
  const byWeight = kind === 'strap' || kind === 'none' || kind === 'unsaid'
  return !byWeight || (placement.straps?.count ?? 0) > 0
}

/** What does the wind of driving add, and can it lift anything? N, kWh per 100 km. */
export const wind = check({
  id: 'wind',
  title: 'Wind',
  question: 'What drag and uplift does the wind of driving put on each thing, and what does that cost?',
  formula:
    'drag = ½·ρ·v²·C_d·A; uplift the same with 0 to 0.4 by shape on the area from above, rough; kWh/100 km = N / 36',
  source: {
    kind: 'handbook',
    text: 'Hoerner, Fluid-Dynamic Drag, for C_d by shape; air of 1.225 kg/m³ (ISO 2533); from memory. Uplift has no such source.',
  },
  law: 'balance',
  mass: 'matters',
  stage: 'forces',
  lookWord: 'wind',
  turnedBy: {},
  nothing: 'Nothing stands in the wind.',
  *run(survey) {
    const all = survey.motion.wind()
    const weights = withContents(survey.masses, ({ kg, states }) =>
      states.includes('road') ? kg * STANDARD_GRAVITY : 0,
    )
    for (const item of all.items) {
      if (!item.thing) continue
      const weight = weights.get(item.thing) ?? 0
      if (item.liftN.to <= weight || isHeld(item.thing)) continue
      yield {
        about: item.id,
        severity: 'mind',
        state: 'road',
        subject: { placementIds: [item.id] },
        measured: newton(item.liftN.to),
        limit: newton(weight),
        margin: newton(weight - item.liftN.to),
        sentence: [
          `${item.name}: at `,
          kmH(all.kmH),
          ' the wind may lift with up to ',
          newton(item.liftN.to),
          ' (rough), more than its weight of ',
          newton(weight),
          '. Nothing on the plan holds it down: tie it.',
        ],
      }
    }
    if (all.items.length > 0)
      yield {
        about: 'all',
        severity: 'clear',
        state: 'road',
        subject: { placementIds: [] },
        measured: newton(all.dragN),
        sentence: [
          'Racks and gear add ',
          newton(all.dragN),
          ' of drag at ',
          kmH(all.kmH),
          ...energyPhrase(survey),
          '.',
        ],
      }
  },
})
