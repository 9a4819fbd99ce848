import { halfKnown } from '../../facts/half-known'
import { keyWords } from '../../plan/key-words'
import { check, practice } from '../check'

/** Is anything typed of which nothing is made, because a part of it is missing? */
export const halfKnownCheck = check({
  id: 'half-known',
  title: 'Half known',
  question: 'Is anything entered only in part, so that it counts for nothing?',
  formula: 'a group of fields with some of its texts, and without those that it cannot do without',
  source: practice('What is typed is kept, and what is missing is asked. Common practice, no source.'),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'never',
  houseLook: 'none',
  turnedBy: {},
  nothing: 'Nothing is entered only in part.',
  *run({ plan, things }) {
    const used = new Set(things.map(({ gear }) => gear.id))
    for (const { of, name, at, isAside } of halfKnown(plan)) {
      if (of.sheet === 'gear' && !used.has(of.gearId)) continue
      const words = keyWords(at.split('.').at(-1) ?? at)
      yield {
        about: `${of.sheet === 'rack' ? of.rackId : of.sheet === 'gear' ? of.gearId : 'vehicle'} ${at}`,
        severity: isAside ? 'mind' : 'findOut',
        state: 'all',
        subject: { placementIds: [] },
        ask: {
          where: 'sheet',
          label: `${name}: ${words}`,
          target:
            of.sheet === 'vehicle'
              ? { open: 'vehicle', at }
              : of.sheet === 'rack'
                ? { open: 'rack', rackId: of.rackId, at }
                : { open: 'gear', gearId: of.gearId, at },
        },
        sentence: [
          `${name}: ${words} was entered only in part and is not used. Complete it on its sheet, or empty it.`,
        ],
      }
    }
  },
})
