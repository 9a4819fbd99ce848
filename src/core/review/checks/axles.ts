import { exceeds } from '../../survey/limit'
import { check } from '../check'
import { IN_STATE } from '../finding'
import { kg } from '../phrase'

/** Do both axles stay within their limits? kg. */
export const axles = check({
  id: 'axles',
  title: 'Axles',
  question: 'Does each axle stay within its limit with everything on, people and luggage inside included?',
  formula: 'lever rule over the wheelbase; what is inside counts midway',
  source: { kind: 'handbook', text: 'Lever rule; statics of rigid bodies, from memory.' },
  nothing: 'The vehicle names no axle limits, or nobody knows how its own mass sits on its axles.',
  *run(survey) {
    const { axleLimitKg } = survey.plan.vehicle
    if (!axleLimitKg || survey.racks.length === 0) return
    for (const state of ['road', 'trail'] as const) {
      const loads = survey.motion.axles(state)
      if (!loads) {
        if (state === 'road')
          yield {
            id: 'axles unknown',
            rule: 'axles',
            severity: 'findOut',
            state: 'all',
            subject: { placementIds: [] },
            sentence: [
              'The axles have limits, but nobody knows how the vehicle’s own mass sits on them: weigh each axle.',
            ],
          }
        continue
      }
      for (const { axle, kg: mass, limitKg } of loads) {
        if (limitKg === undefined) continue
        const over = exceeds(mass, limitKg)
        yield {
          id: `axles ${axle} ${state}`,
          rule: 'axles',
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
