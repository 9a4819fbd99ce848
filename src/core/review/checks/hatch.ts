import { upToMm, TOLERANCE } from '../../units/tolerance'
import type { SwingMeeting } from '../../survey/openings/meetings'
import { forwardToClear } from '../../survey/openings/swings'
import { check, practice } from '../check'
import { GEAR_SIZES, HEIGHTS } from '../length-groups'
import { deg, mm, type Phrase } from '../../units/phrase'
import { skinOffMm } from '../../facts/length-facts'

export const aboutSwing = ({ hatch, met }: SwingMeeting) => `${hatch.id} ${met.kind} ${met.id}`

const MET_AS: Readonly<Record<SwingMeeting['met']['kind'], string>> = {
  thing: '',
  bar: '',
  deck: '',
  tentFloor: ', opened,',
  tentLadder: '’s ladder',
  tail: ' at the tail',
}

const nameOf = ({ met }: SwingMeeting) => `${met.name}${MET_AS[met.kind]}`

/** `surelyMm` is the way forward that is enough wherever the roof's unmeasured skin is. */
function touching(
  meeting: SwingMeeting,
  atDeg: number,
  byMm: number | undefined,
  surelyMm: number | undefined,
): Phrase {
  const { hatch } = meeting
  return [
    `${hatch.name} touches ${nameOf(meeting)} after `,
    deg(atDeg),
    ' of the ',
    deg(hatch.opensDeg),
    ' it opens',
    ...(byMm === undefined || byMm <= 0
      ? ['.']
      : [
          '; ',
          mm(upToMm(byMm)),
          ' further forward it would pass',
          ...(surelyMm === undefined || surelyMm <= byMm
            ? []
            : [', ', mm(upToMm(surelyMm)), ' as long as the roof’s skin is not measured']),
          '.',
        ]),
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
  lengths: {
    of: {
      ...HEIGHTS,
      bar: /^(riseMm|profile)/,
      obstacle: /^(hinge|panel|fromXMm|toXMm|topZMm)/,
      rack: /^deck\.(length|width|height)Mm$/,
      gear: GEAR_SIZES,
    },
    reach: 3,
    turnsBack: true,
  },
  nothing: 'Nothing on the plan shares width with a hatch or tailgate that is described.',
  *run(survey) {
    const wanted = survey.plan.rules.gapsMm.hatch
    for (const meeting of survey.fit.swings()) {
      const { swept, met, swings } = meeting
      const hatchOnly = meeting.hatch.kind === 'hatch'
      const tent = met.kind === 'tentFloor' || met.kind === 'tentLadder'
      const common = {
        about: aboutSwing(meeting),
        state: tent ? 'parked' : 'all',
        subject: {
          obstacleId: meeting.hatch.id,
          placementIds: met.thing ? [met.thing.placement.id] : [],
          ...(met.kind === 'bar' ? { barId: met.id } : {}),
          ...(met.kind === 'deck' ? { rackId: met.id } : {}),
        },
      } as const
      if (swept.kind === 'touches') {
        const fixed = tent || met.kind === 'tail'
        const byMm = fixed ? undefined : forwardToClear(swings, met.box, wanted)
        const surelyMm = fixed ? undefined : forwardToClear(swings, met.box, wanted + skinOffMm(survey))
        yield {
          ...common,
          severity: hatchOnly && !fixed ? 'stop' : 'mind',
          ...(hatchOnly && !fixed ? {} : { toStop: Infinity }),
          measured: deg(swept.atDeg),
          limit: deg(meeting.hatch.opensDeg),
          ...(byMm === undefined ? {} : { margin: mm(-byMm) }),
          sentence: [
            ...touching(meeting, swept.atDeg, byMm, surelyMm),
            ...(met.kind === 'tail' ? [' It comes off, or swings away, before that is opened.'] : []),
          ],
        }
      } else {
        const close = swept.gapMm < wanted - TOLERANCE.gapMm
        yield {
          ...common,
          severity: close ? 'mind' : 'clear',
          toStop: hatchOnly && !tent && met.kind !== 'tail' ? swept.gapMm : Infinity,
          measured: mm(swept.gapMm),
          limit: mm(wanted),
          margin: mm(swept.gapMm - wanted),
          sentence: close
            ? [
                `${meeting.hatch.name} passes ${nameOf(meeting)} with only `,
                mm(swept.gapMm),
                '; the house wants ',
                mm(wanted),
                '.',
              ]
            : [`${meeting.hatch.name} passes ${nameOf(meeting)} with `, mm(swept.gapMm), '.'],
        }
      }
    }
  },
})
