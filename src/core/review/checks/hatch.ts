import { fails, spareOf } from '../../facts/comparison'
import { swingFacts, touchesAtOnce } from '../../facts/swings'
import type { SwingCollision } from '../../survey/openings/collisions'
import { deg, mm, type Phrase } from '../../units/phrase'
import { upToMm } from '../../units/tolerance'
import { check, practice } from '../check'
import { marginWords } from '../margin-words'
import { openingLengths } from '../length-groups'
import { verdictOf } from '../verdict'

type Touch = Extract<ReturnType<typeof swingFacts>[number], { is: 'touches' }>

export const aboutSwing = ({ hatch, met }: SwingCollision) => `${hatch.id} ${met.kind} ${met.id}`

const MET_AS: Readonly<Record<SwingCollision['met']['kind'], string>> = {
  thing: '',
  bar: '',
  deck: '',
  tentFloor: ', opened,',
  tentLadder: '’s ladder',
  tail: ' at the tail',
}

const nameOf = ({ met }: SwingCollision) => `${met.name}${MET_AS[met.kind]}`

function touching({ collision, atDeg, byMm, surelyMm }: Touch): Phrase {
  const { hatch: panel, met } = collision
  return [
    `${panel.name} touches ${nameOf(collision)}`,
    ...(touchesAtOnce(atDeg)
      ? [' as soon as it opens']
      : [' after ', deg(atDeg), ' of the ', deg(panel.opensDeg), ' it opens']),
    ...(byMm === undefined
      ? ['.']
      : [
          '; ',
          mm(upToMm(byMm)),
          ' further forward it would pass',
          ...(surelyMm === undefined
            ? []
            : [', ', mm(upToMm(surelyMm)), ' as long as the roof’s skin is not measured']),
          '.',
        ]),
    ...(met.kind === 'tail' ? [' Remove it or swing it away before opening.'] : []),
  ]
}

/** Do hatch and tailgate open past everything? Side view, degrees and mm. */
export const hatch = check({
  id: 'hatch',
  title: 'Hatch and tailgate',
  question: 'Do hatch and tailgate open all the way past the load, the bars and an opened tent?',
  formula:
    'the panel’s outline (spoiler included) turned about its hinge in side view, against each box that shares width with it: first touch, least gap',
  source: practice(
    'The geometry: rotation about a point (handbook). The gap is a house rule; a blocked tailgate is Mind. Common practice, no source.',
  ),
  law: 'notOfMass',
  mass: 'matters',
  stage: 'load',
  decidesPlace: 'ofEachThing',
  houseLook: 'none',
  turnedBy: { lengths: openingLengths(/^(hinge|panel|fromXMm|toXMm|topZMm)/) },
  nothing: 'Nothing on the plan shares width with a described hatch or tailgate.',
  *run(survey) {
    for (const fact of swingFacts(survey)) {
      const { collision, grave } = fact
      const { met, hatch: panel } = collision
      const common = {
        about: aboutSwing(collision),
        state: met.kind === 'tentFloor' || met.kind === 'tentLadder' ? 'parked' : 'all',
        subject: {
          obstacleId: panel.id,
          placementIds: met.thing ? [met.thing.placement.id] : [],
          ...(met.kind === 'bar' ? { barId: met.id } : {}),
          ...(met.kind === 'deck' ? { rackId: met.id } : {}),
        },
      } as const
      if (fact.is === 'touches')
        yield {
          ...common,
          severity: grave ? 'stop' : 'mind',
          ...(grave ? {} : { nearStop: { mm: Infinity } }),
          measured: deg(fact.atDeg),
          limit: deg(panel.opensDeg),
          ...(fact.byMm === undefined ? {} : { margin: mm(-fact.byMm) }),
          sentence: touching(fact),
        }
      else {
        const { gap } = fact
        yield {
          ...common,
          severity: verdictOf(gap, 'mind'),
          nearStop: { mm: grave ? gap.measure : Infinity },
          measured: mm(gap.measure),
          limit: mm(gap.limit),
          margin: mm(spareOf(gap)),
          sentence: fails(gap)
            ? [
                `${panel.name} passes ${nameOf(collision)} with only `,
                mm(gap.measure),
                '; the house rule is ',
                mm(gap.limit),
                ...marginWords(gap),
              ]
            : [
                `${panel.name} passes ${nameOf(collision)} with `,
                mm(gap.measure),
                ' of the ',
                mm(gap.limit),
                ' wanted',
                ...marginWords(gap),
              ],
        }
      }
    }
  },
})
