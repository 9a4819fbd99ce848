import { any } from '../../units/pick'
import { listed, plural } from '../../units/words'
import { isLong } from '../../survey/bars/long-load'
import { check, practice } from '../check'

/** Are bow and stern lines planned for what is long? */
export const lines = check({
  id: 'lines',
  title: 'Bow and stern lines',
  question: 'Are a bow line and a stern line planned for every long load?',
  formula: 'every load along the vehicle that is 2.4 m long or more',
  source: practice(
    'Long loads need bow and stern lines. Common practice, no source; local law may ask for more.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'No long load is on the plan.',
  *run(survey) {
    for (const thing of survey.things) {
      if (!isLong(thing)) continue
      const has = thing.placement.lines ?? { bow: false, stern: false }
      const missing = [has.bow ? '' : 'bow', has.stern ? '' : 'stern'].filter((each) => each !== '')
      yield {
        about: thing.placement.id,
        state: 'road',
        subject: { placementIds: [thing.placement.id] },
        severity: any(missing) ? 'mind' : 'clear',
        sentence: [
          any(missing)
            ? `${thing.gear.name}: plan ${listed(missing)} ${plural(missing.length, 'line', 'lines')}.`
            : `${thing.gear.name} has bow and stern lines planned.`,
        ],
      }
    }
  },
})
