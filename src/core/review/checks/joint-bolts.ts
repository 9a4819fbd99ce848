import { spareOf } from '../../facts/comparison'
import { jointBoltsOf } from '../../facts/joint-bolts'
import { mm, missing } from '../../units/phrase'
import { check, practice } from '../check'
import { marginWords } from '../margin-words'
import { verdictOf } from '../verdict'

/** Is the bolt of each joint of a rack long enough for its stack? mm */
export const jointBolts = check({
  id: 'joint-bolts',
  title: 'Bolts of the joints',
  question: 'Is the bolt of every joint long enough for its stack, washers and nut?',
  formula: 'bolt length ≥ stack + washers + nut + two threads; next standard length up',
  source: practice('Thread sizes by ISO, from memory; the rule: common practice, no source.'),
  law: 'notOfMass',
  mass: 'hardly',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No joint of a rack states the stack of its bolt.',
  *run(survey) {
    for (const { rack, part, joint, index, at, neededMm, standardMm, compared } of jointBoltsOf(survey)) {
      const name = `${part.name}, ${joint.name ?? joint.thread}`
      yield {
        about: `${part.id} ${index}`,
        severity: compared ? verdictOf(compared, 'stop') : 'findOut',
        state: 'all',
        subject: { placementIds: [], rackId: rack.id, partId: part.id },
        ...(compared
          ? { measured: mm(compared.measure), limit: mm(compared.limit), margin: mm(spareOf(compared)) }
          : {
              ask: {
                where: 'tape',
                label: `${name}: length of its bolt`,
                target: { open: 'rack', rackId: rack.id, at: `${at}.lengthMm` },
              } as const,
            }),
        sentence: [
          `${name}: stack, washers, nut and two clear threads take `,
          missing(mm(neededMm)),
          ...(standardMm === undefined
            ? ['; no standard bolt is so long']
            : ['; the next standard length is ', mm(standardMm)]),
          ...(compared
            ? ['; the sheet’s bolt is ', mm(compared.measure), ...marginWords(compared)]
            : ['. Nobody has said yet how long its bolt is.']),
        ],
      }
    }
  },
})
