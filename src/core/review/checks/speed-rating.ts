import type { State } from '../../units/scalars'
import type { Survey } from '../../survey/survey'
import { check, practice } from '../check'
import { kmH } from '../../units/phrase'

interface SpeedLimit {
  readonly key: string
  readonly name: string
  readonly kmH: number
  readonly placementIds: readonly string[]
}

function speedLimits(survey: Survey, state: State): SpeedLimit[] {
  const gear = survey.masses.flatMap((mass): SpeedLimit[] =>
    mass.of === 'gear' && mass.states.includes(state) && mass.thing.gear.maxKmH !== undefined
      ? [
          {
            key: mass.thing.placement.id,
            name: mass.thing.gear.name,
            kmH: mass.thing.gear.maxKmH,
            placementIds: [mass.thing.placement.id],
          },
        ]
      : [],
  )
  const layers = survey.loadPath.cells.flatMap((cell): SpeedLimit[] =>
    cell.state === state &&
    !cell.idle &&
    cell.limit.kind !== 'missing' &&
    cell.limit.rating.upToKmH !== undefined
      ? [{ key: cell.layer.id, name: cell.layer.name, kmH: cell.limit.rating.upToKmH, placementIds: [] }]
      : [],
  )
  return [...gear, ...layers]
}

/** Is the planned speed within what gear and ratings allow? Speeds in km/h. */
export const speedRating = check({
  id: 'speed-rating',
  title: 'Speed',
  question: 'Is the planned speed within what each thing and each figure allows?',
  formula: 'planned speed ≤ the lowest speed named',
  source: practice('Some figures hold only up to a speed. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  turnedBy: {},
  nothing: 'Nothing on the rack names a speed of its own.',
  *run(survey) {
    for (const state of ['road', 'trail'] as const) {
      const planned = state === 'road' ? survey.plan.use.roadKmH : survey.plan.use.trailKmH
      for (const limit of speedLimits(survey, state)) {
        const over = planned > limit.kmH
        yield {
          about: `${limit.key} ${state}`,
          severity: over ? 'stop' : 'clear',
          state,
          subject: { placementIds: limit.placementIds },
          measured: kmH(planned),
          limit: kmH(limit.kmH),
          margin: kmH(limit.kmH - planned),
          sentence: [`${limit.name}: up to `, kmH(limit.kmH), '; the plan says ', kmH(planned), '.'],
        }
      }
    }
  },
})
