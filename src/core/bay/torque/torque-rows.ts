import { pullKey, signKey, type BayProgress } from '../../log/record'
import { pullWords } from '../../log/pull-evidence'
import { ANSWER_WORD, type StepAnswer } from '../../log/answer'
import { toFit } from '../../units/scalars'
import { newtonMetre, torqueRange, type Phrase } from '../../units/phrase'
import type { BayRules } from '../../plan/schema/house'
import type { Survey } from '../../survey/survey'
import { answersAt } from '../answers'
import { fittedThings, gearJoints, rackJoints } from '../steps/joint-groups'
import { wasOver } from '../step-findings'
import type { JointGroup } from '../steps/step'
import { seenSigns, type Joint } from './joint'
import { lastPass } from './passes'
import { placesSeen } from './sign-choices'

/** A joint on the sheet: the range it wants, and place by place what it got. */
export interface TorqueRow {
  readonly what: string
  readonly wanted: Phrase
  readonly read: Phrase
}

function wantedOf({ torque }: Joint): Phrase {
  switch (torque.kind) {
    case 'sheet':
      return torqueRange(torque.fromNm, torque.toNm)
    case 'advice':
      return [newtonMetre(torque.nm), ', table’s advice (house rule)']
    case 'feel':
      return ['by feel (house rule)']
    case 'latch':
      return ['shut by its clicks']
    case 'refused':
    case 'unknown':
      return ['no figure']
  }
}

/** What is known of the sign beside a reading. */
function signWordsAt(joint: Joint, spot: string, progress: BayProgress): readonly string[] {
  const { id } = joint
  if (progress.signs.has(signKey(id, spot))) return [' and its sign seen']
  const wrong = progress.wrong.get(signKey(id, spot))
  if (wrong !== undefined) return [`, but ${wrong}`]
  return seenSigns(joint).length > 0 ? [', its sign not seen'] : []
}

/** What each place got at its last pass: readings one by one, the rest by how they are known, and what nobody pulled. */
function readOf(group: JointGroup, progress: BayProgress, answered: ReadonlyMap<string, StepAnswer>): Phrase {
  const { joint, spots, pulls, alreadyOn } = group
  const last = lastPass({ pulls })
  const got = spots.map((spot) => ({ spot, pulled: progress.torqued.get(pullKey(joint.id, spot, last)) }))
  if (answered.size === 0 && got.every(({ pulled }) => pulled === undefined))
    return [alreadyOn ? `${spots.join(', ')} not seen: check` : 'not recorded']
  const readings = got.flatMap(({ spot, pulled }): Phrase[] =>
    pulled?.nm === undefined
      ? []
      : [[`${spot} `, newtonMetre(pulled.nm), ...signWordsAt(joint, spot, progress)]],
  )
  const others = new Map<string, string[]>()
  for (const { spot, pulled } of got)
    if (pulled?.nm === undefined) {
      const answer = answered.get(spot)
      const wrong = progress.wrong.get(signKey(joint.id, spot))
      const words =
        wrong !== undefined
          ? `${wrong}, not right`
          : pulled
            ? pullWords(pulled.how)
            : answer
              ? ANSWER_WORD[answer].toLowerCase()
              : 'not pulled'
      others.set(words, [...(others.get(words) ?? []), spot])
    }
  const looks = progress.overLooks.filter(({ jointId }) => jointId === joint.id)
  const unsaid = wasOver(group, progress)
  const tools = [...new Set(got.flatMap(({ pulled }) => pulled?.tool ?? []))]
  const { seen, of } = placesSeen(group, progress)
  return [
    ...(seen < of ? [[`${seen} of ${of} places right`]] : []),
    ...readings,
    ...[...others].map(([words, places]): Phrase => [
      `${places.map((place) => place.replace(', ', ' ')).join(', ')} ${words}`,
    ]),
    ...looks.map(({ spot, nm, found, by }): Phrase => [
      `${spot} was tightened to `,
      newtonMetre(nm),
      `${by === undefined ? '' : `, looked at by ${by}`}: ${found}`,
    ]),
    ...unsaid.map(({ spot, nm }): Phrase => [
      `${spot} was tightened to `,
      newtonMetre(nm),
      ', and nobody has said what was found',
    ]),
    ...(tools.length > 0 ? [[`read by ${tools.join(', ')}`]] : []),
  ].flatMap((each, i): Phrase => (i === 0 ? each : ['; ', ...each]))
}

/** Every joint of what this job fits with tools, as wanted and as done; what was already on at arrival has none here. N·m. */
export function torqueRows(survey: Survey, rules: BayRules, progress: BayProgress): TorqueRow[] {
  const row = (owner: string) => (group: JointGroup) => ({
    what: `${owner}, ${group.joint.name}`,
    wanted: wantedOf(group.joint),
    read: readOf(group, progress, answersAt(group.joint.id, progress)),
  })
  return [
    ...survey.racks
      .filter(({ rack }) => toFit(rack))
      .flatMap((rack) => rackJoints(rack, rules).map(row(rack.rack.name))),
    ...fittedThings(survey).flatMap((thing) => gearJoints(survey, thing, rules).map(row(thing.gear.name))),
  ]
}

/** How many pulls and weights on a sheet were played by a device of the demo, and read by nobody. */
export const playedReadings = ({ torqued, playedWeights }: BayProgress): number =>
  [...torqued.values()].filter(({ simulated }) => simulated).length + playedWeights.size
