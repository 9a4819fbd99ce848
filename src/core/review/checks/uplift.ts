import { STATES } from '../../plan/scalars'
import { check } from '../check'
import { kg } from '../phrase'

/** Less than this is the rounding of a hand on the scale, not a lifted foot. */
const NOTICE_KG = 0.05

/** Does any foot carry less than nothing, so that the load pulls it up? */
export const uplift = check({
  id: 'uplift',
  title: 'A foot lifts',
  question: 'Does the load on the bars pull any foot upward?',
  formula: 'reaction of a foot by the lever rule < 0',
  source: { kind: 'handbook', text: 'Lever rule with overhang; statics of rigid bodies, from memory.' },
  nothing: 'No foot is lifted by the load.',
  *run({ feet, footLoads, racks }) {
    for (const foot of feet) {
      const load = footLoads[foot.index]
      if (!load) continue
      const state = STATES.reduce((worst, each) => (load.loadKg[each] < load.loadKg[worst] ? each : worst))
      if (load.loadKg[state] >= -NOTICE_KG) continue
      yield {
        id: `uplift ${foot.id}`,
        severity: 'mind',
        rule: 'uplift',
        state: 'all',
        subject: { footId: foot.id, placementIds: [] },
        measured: kg(load.loadKg[state]),
        sentence: [
          `${racks[foot.rackIndex]?.rack.name ?? 'Rack'}: the load lifts the ${foot.corner} foot by `,
          kg(-load.loadKg[state]),
          '. Bring the load in between the feet.',
        ],
      }
    }
  },
})
