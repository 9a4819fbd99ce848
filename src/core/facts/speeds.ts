import type { Survey } from '../survey/survey'
import { atMost, type Compared } from './comparison'

/** The speed planned in a driving state against one that a thing or a figure names. km/h */
interface SpeedFact {
  readonly key: string
  readonly name: string
  readonly state: 'road' | 'trail'
  readonly placementIds: readonly string[]
  readonly compared: Compared
}

/** Every speed that is named. */
export const speedFacts = (survey: Survey): readonly SpeedFact[] =>
  (['road', 'trail'] as const).flatMap((state) => {
    const planned = state === 'road' ? survey.plan.use.roadKmH : survey.plan.use.trailKmH
    const of = (key: string, name: string, kmH: number, placementIds: readonly string[]): SpeedFact => ({
      key,
      name,
      state,
      placementIds,
      compared: atMost(planned, kmH, 'exact'),
    })
    return [
      ...survey.masses.flatMap((mass) => {
        const most = mass.of === 'gear' && mass.states.includes(state) ? mass.thing.gear.maxKmH : undefined
        if (mass.of !== 'gear' || most === undefined) return []
        const { placement, gear } = mass.thing
        return [of(placement.id, gear.name, most, [placement.id])]
      }),
      ...survey.loadPath.cells.flatMap(({ layer, limit, state: its, idle }) =>
        its === state && !idle && limit.kind !== 'missing' && limit.rating.upToKmH !== undefined
          ? [of(layer.id, layer.name, limit.rating.upToKmH, [])]
          : [],
      ),
    ]
  })
