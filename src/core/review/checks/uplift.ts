import { PART_ROLES } from '../../kinds/part-role'
import { STATES } from '../../units/scalars'
import type { FootAt } from '../../survey/frame/arrangement'
import { LIFTED_KG } from '../../survey/statics/evenness'
import type { Survey } from '../../survey/survey'
import { check } from '../check'
import { kg } from '../../units/phrase'

/** What a foot holds against being pulled up: the least of its rack's parts that say so, kg; nothing where none does. */
export function holdingUplift({ racks }: Survey, foot: FootAt): number | undefined {
  const said = (racks[foot.rackIndex]?.rack.parts ?? [])
    .filter(({ role }) => PART_ROLES[role].atFeet)
    .flatMap(({ tension }) => (tension ? [tension.eachKg] : []))
  return said.length > 0 ? Math.min(...said) : undefined
}

/** Does any foot carry less than nothing, so that the load pulls it up? */
export const uplift = check({
  id: 'uplift',
  title: 'A foot lifts',
  question: 'Does the load on the bars pull any foot upward?',
  formula: 'reaction of a foot by the lever rule, or of a beam on three feet and more, < 0',
  source: { kind: 'handbook', text: 'Lever rule with overhang; statics of rigid bodies, from memory.' },
  law: 'balance',
  mass: 'onlyWith',
  stage: 'forces',
  turnedBy: {},
  nothing: 'No foot carries anything.',
  *run(survey) {
    const { feet, footLoads, racks } = survey
    const loaded = feet.filter(({ index }) => STATES.some((state) => footLoads[index]?.loadKg[state] !== 0))
    let lifted = 0
    for (const foot of feet) {
      const load = footLoads[foot.index]
      if (!load) continue
      const state = STATES.reduce((worst, each) => (load.loadKg[each] < load.loadKg[worst] ? each : worst))
      if (load.loadKg[state] >= -LIFTED_KG) continue
      lifted += 1
      const up = -load.loadKg[state]
      const holds = holdingUplift(survey, foot)
      yield {
        about: foot.id,
        severity: holds !== undefined && up > holds ? 'stop' : 'mind',
        state: 'all',
        subject: { footId: foot.id, placementIds: [] },
        measured: kg(load.loadKg[state]),
        ...(holds === undefined ? {} : { limit: kg(-holds), margin: kg(holds - up) }),
        sentence: [
          `${racks[foot.rackIndex]?.rack.name ?? 'Rack'}: the load lifts the ${foot.corner} foot by `,
          kg(up),
          ...(holds === undefined
            ? []
            : [up > holds ? ', more than the ' : ', within the ', kg(holds), ' it holds']),
          '. Bring the load in between the feet.',
        ],
      }
    }
    if (lifted === 0 && loaded.length > 0)
      yield {
        about: 'none',
        severity: 'clear',
        state: 'all',
        subject: { placementIds: [] },
        sentence: [`The load presses on each of ${loaded.length} feet that carry any of it.`],
      }
  },
})
