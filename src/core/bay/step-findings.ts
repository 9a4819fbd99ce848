import { pullKey, signKey, type BayProgress } from '../log/record'
import type { Finding } from '../review/finding'
import type { Survey } from '../survey/survey'
import { drillFindings, drillPlans } from './drilling/drill-plan'
import { channelFindings } from './channel/channel'
import { unsureFindings } from './cut/strips'
import { markFindings } from './marked-places'
import { countFindings, partsCheck } from './parts/parts-check'
import { askedOf, proofFindings } from './proof'
import { squarenessFindings } from './squareness/squareness'
import type { JointGroup, Step } from './steps/step'
import { calibrationFinding } from './torque/calibration'
import { seenSigns, signWords } from './torque/joint'
import { lastPass } from './torque/passes'
import { jointFinding } from './torque/joint-finding'
import { overLookFinding, readingFinding } from './torque/reading'

/** What a pull of a group is judged by, percent of the figure: its pass's share, and the whole at the last. */
export const shareOf = (group: JointGroup, { pass, percent }: { pass: number; percent: number }): number =>
  pass === lastPass(group) ? 100 : percent

const readingsOf = (group: JointGroup, progress: BayProgress): Finding[] =>
  group.pulls.flatMap((pull) => {
    const nm = progress.torqued.get(pullKey(group.joint.id, pull.at, pull.pass))?.nm
    if (nm === undefined) return []
    const finding = readingFinding(group.joint, pull.at, nm, shareOf(group, pull))
    // What an early pass came to is only of interest where it was too much.
    return pull.pass === lastPass(group) || finding.severity !== 'clear'
      ? [{ ...finding, id: `${finding.id} ${pull.pass}` }]
      : []
  })

/** Places that were looked at and are not right: nothing goes on until they are. */
const wrongPlaces = ({ joint, spots }: JointGroup, progress: BayProgress): Finding[] =>
  spots.flatMap((spot): Finding[] => {
    const seen = progress.wrong.get(signKey(joint.id, spot))
    if (seen === undefined) return []
    const signs = seenSigns(joint)
    return [
      {
        id: `wrong ${joint.id} ${spot}`,
        rule: PLACE_RIGHT,
        state: 'all',
        subject: { placementIds: [] },
        severity: 'stop',
        sentence: [
          `${spot}, ${joint.name}: ${seen}. ${signs.some(({ kind }) => kind === 'clicks') ? 'It is not locked. ' : ''}Wanted there: ${signs.map(signWords).join(' and ') || 'as its sheet has it'}.`,
        ],
      },
    ]
  })

/** The rule of a place that somebody saw and that is not right. */
export const PLACE_RIGHT = 'place-right'

/** A place of a joint that was over, what it was tightened to, and that reads less now. N·m. */
interface WasOver {
  readonly spot: string
  readonly nm: number
  readonly finding: Finding
}

/** Where a joint was tightened over its figure and nobody has said yet what was found there. */
export function wasOver({ joint, spots, pulls }: JointGroup, progress: BayProgress): readonly WasOver[] {
  return spots.flatMap((spot) => {
    const nm = progress.highest.get(signKey(joint.id, spot))
    const reads = pulls.some(
      (pull) => pull.at === spot && progress.torqued.get(pullKey(joint.id, spot, pull.pass))?.nm === nm,
    )
    // As long as the reading itself is over, that is what is said.
    const finding = nm === undefined || reads ? undefined : overLookFinding(joint, spot, nm)
    return nm === undefined || !finding ? [] : [{ spot, nm, finding }]
  })
}

/** What a step is to come after, and no step of the job is: it is asked, and keeps nobody from the others. */
const lostFindings = ({ id, title, lost = [] }: Step): Finding[] =>
  lost.map((each) => ({
    id: `order ${id} ${each}`,
    rule: 'step-order',
    state: 'all',
    subject: { placementIds: [] },
    severity: 'findOut',
    sentence: [
      `${title}: its sheet puts it after a step that this job does not have (${each.split('/').at(-1) ?? each}). Choose the step on the part’s sheet.`,
    ],
  }))

/** What a step would have done by what only a form has filled in. */
export const STARTING_LENGTH = 'starting-length'

const startFindings = ({ id, asks = [] }: Step): Finding[] =>
  asks.map((ask, i) => ({
    id: `${STARTING_LENGTH} ${id} ${i}`,
    rule: STARTING_LENGTH,
    state: 'all',
    subject: { placementIds: [] },
    severity: 'findOut',
    sentence: [ask],
  }))

/** What is to be said of a step as things stand: its place, counts, readings, torques and proof. */
export const stepFindings = (step: Step, survey: Survey, progress: BayProgress): Finding[] => [
  ...lostFindings(step),
  ...startFindings(step),
  ...taskFindings(step, survey, progress),
]

function taskFindings(step: Step, survey: Survey, progress: BayProgress): Finding[] {
  const { task } = step
  switch (task.kind) {
    case 'count':
      return countFindings(partsCheck(survey), progress.counted)
    case 'marks':
      return markFindings(task.asks, progress)
    case 'measure':
      return task.pairs.flatMap(({ id, pair }) => {
        const key = `${step.id} ${id}`
        return squarenessFindings(pair, progress.measured.get(key) ?? {}, progress.readFrom.get(key) ?? {})
      })
    case 'torque': {
      const open = jointFinding(task.group.joint)
      return [
        ...(open ? [open] : []),
        ...readingsOf(task.group, progress),
        ...wrongPlaces(task.group, progress),
        ...wasOver(task.group, progress).map(({ finding }) => finding),
        ...calibrationFinding(task.group, progress),
      ]
    }
    case 'prove': {
      const said = new Set(
        askedOf(task.item).flatMap(({ id }) => (progress.proved.has(id) ? [`proof ${id}`] : [])),
      )
      return proofFindings([task.item], progress.proved).filter(({ id }) => said.has(id))
    }
    case 'cut': {
      const { rackId } = task
      const bars = new Set(survey.bars.flatMap(({ bar, rack }) => (rack.id === rackId ? [bar.id] : [])))
      return unsureFindings(survey, bars)
    }
    case 'channel': {
      const { barId } = task.channel
      return channelFindings(task.channel, progress.channels.get(barId) ?? [])
    }
    case 'confirm':
      return drillPlans(survey)
        .filter(({ partId, rackId }) => partId === task.partId && rackId === step.rackId)
        .flatMap(drillFindings)
    case 'do':
    case 'weigh':
    case 'start':
    case 'tell':
      return []
  }
}
