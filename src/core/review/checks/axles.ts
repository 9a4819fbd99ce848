import { exceeds } from '../../units/tolerance'
import { check, notLooked } from '../check'
import { IN_STATE } from '../finding'
import { kg } from '../../units/phrase'

/** Do both axles stay within their limits? kg. */
export const axles = check({
  id: 'axles',
  title: 'Axles',
  question: 'Does each axle stay within its limit with everything on, people and luggage inside included?',
  formula: 'lever rule over the wheelbase; what is inside counts midway',
  source: { kind: 'handbook', text: 'Lever rule; statics of rigid bodies, from memory.' },
  law: 'moreIsWorse',
  nothing: 'No rack is on the vehicle.',
  *run(survey) {
    const { vehicle } = survey.plan
    if (survey.racks.length === 0) return
    const known = vehicle.axleLimitKg && survey.motion.axles.road()
    if (!known) {
      yield notLooked(
        survey,
        'axles',
        [
          vehicle.axleLimitKg
            ? 'Axles: nobody knows how the vehicle’s own mass sits on them. Weigh each axle.'
            : 'Axles: their limits are not known.',
        ],
        {
          where: vehicle.axleLimitKg ? 'scale' : 'label',
          label: 'Axles',
          target: { open: 'vehicle', at: vehicle.axleLimitKg ? 'centreOfGravity' : 'axleLimitKg' },
        },
      )
      return
    }
    for (const state of ['road', 'trail'] as const) {
      const loads = survey.motion.axles[state]() ?? []
      for (const { axle, kg: mass, limitKg } of loads) {
        if (limitKg === undefined) continue
        const over = exceeds(mass, limitKg)
        yield {
          about: `${axle} ${state}`,
          severity: over ? 'stop' : 'clear',
          state,
          subject: { placementIds: [] },
          measured: kg(mass),
          limit: kg(limitKg),
          margin: kg(limitKg - mass),
          sentence: [
            `The ${axle} axle bears `,
            kg(mass),
            ` ${IN_STATE[state]}, `,
            kg(Math.abs(limitKg - mass)),
            over ? ' over its limit of ' : ' under its limit of ',
            kg(limitKg),
            '.',
          ],
        }
      }
    }
  },
})
