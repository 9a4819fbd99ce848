import { spareOf, overBy } from '../../facts/comparison'
import { liftedByWind } from '../../facts/wind'
import type { Survey } from '../../survey/survey'
import { kmH, kWh, newton, type Phrase, missing } from '../../units/phrase'
import { any } from '../../units/pick'
import { check } from '../check'

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

/** What does the wind of driving add, and can it lift anything? N, kWh per 100 km. */
export const wind = check({
  id: 'wind',
  title: 'Wind',
  question: 'How much drag and uplift does the wind of driving put on each thing, and at what cost?',
  formula:
    'drag = ½·ρ·v²·C_d·A; uplift the same with 0 to 0.4 by shape on the area from above, rough; kWh/100 km = N / 36',
  source: {
    kind: 'handbook',
    text: 'Hoerner, Fluid-Dynamic Drag, for C_d by shape; air of 1.225 kg/m³ (ISO 2533); from memory. Uplift has no such source.',
  },
  law: 'balance',
  mass: 'matters',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'wind',
  turnedBy: {},
  nothing: 'Nothing stands in the wind.',
  *run(survey) {
    const all = survey.motion.wind()
    for (const { id, name, compared } of liftedByWind(survey))
      yield {
        about: id,
        severity: 'mind',
        state: 'road',
        subject: { placementIds: [id] },
        measured: newton(compared.measure),
        limit: newton(compared.limit),
        margin: newton(spareOf(compared)),
        sentence: [
          `${name}: at `,
          kmH(all.kmH),
          ' the wind may lift with up to ',
          newton(compared.measure),
          ' (rough), more than its weight of ',
          newton(compared.limit),
          ' by ',
          missing(newton(overBy(compared))),
          '. Nothing on the plan holds it down: tie it.',
        ],
      }
    if (any(all.items))
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
