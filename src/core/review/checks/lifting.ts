import { liftHelds } from '../../facts/lifts'
import { marginPhrase } from '../margin-words'
import type { Lift } from '../../survey/motion/lifting'
import { check } from '../check'
import { kg, mm, type Phrase } from '../../units/phrase'

function advicePhrase(lift: Lift): Phrase {
  const { advice, kg: mass, outOfReach, pieces } = lift
  const { one, two } = liftHelds(lift)
  const parts: Phrase = pieces === 1 ? [] : [`, in ${pieces} pieces of `, kg(mass / pieces)]
  switch (advice.by) {
    case 'one':
      return [...parts, ', within the ', kg(one.limit), ' advised for one person, ', ...marginPhrase(one, kg)]
    case 'two':
      return [
        ...parts,
        ': for two people, ',
        kg(two.measure),
        ' each of ',
        kg(two.limit),
        ' advised, ',
        ...marginPhrase(two, kg),
      ]
    case 'stepTwo':
      return [
        ...parts,
        ': for two people on a step of ',
        mm(advice.stepMm),
        outOfReach ? ', because from the ground it is beyond reach' : '',
      ]
    case 'platform':
      return [...parts, ': light enough for two, but beyond reach: from a platform, or with a loader']
    case 'loader':
      return [': not by hand, not even by two on a step. Use a loader, a hoist or more people']
  }
}

/** Can each thing be lifted to where it sits, by whom, from what? kg per person. */
export const lifting = check({
  id: 'lifting',
  title: 'Lifting it up',
  question: 'Who may lift each thing into place: one person, two, two on a step, or only a loader?',
  formula:
    'revised lifting equation: 23 kg · HM · VM · DM · AM · FM · CM at the ground and up there; hands over 175 cm: 0',
  source: {
    kind: 'published',
    text: 'NIOSH 94-110, revised lifting equation, from memory; now and then, straight, fair grip. It does not cover ladders.',
  },
  law: 'moreIsWorse',
  mass: 'matters',
  stage: 'forces',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Nothing is lifted onto the vehicle.',
  *run(survey) {
    for (const lift of survey.motion.lifts()) {
      const { thing, name, kg: mass, toMm, advice } = lift
      yield {
        about: `${thing.placement.id} ${name}`,
        severity: advice.by === 'loader' ? 'mind' : 'clear',
        state: 'all',
        subject: { placementIds: [thing.placement.id] },
        measured: kg(mass),
        sentence: [`${name}: `, kg(mass), ' up to ', mm(toMm), ...advicePhrase(lift), '.'],
      }
    }
  },
})
