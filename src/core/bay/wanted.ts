import { pullKey, signKey, type BayProgress } from '../log/record'
import { placeAnswers } from './answers'
import type { JointGroup, Step } from './steps/step'
import { seenSigns, signWords } from './torque/joint'
import { lastPass } from './torque/passes'

/** Whether the sheet wants the wrench read at the last pass, place by place. */
export const wantsReadings = ({ joint }: JointGroup): boolean =>
  joint.signs.some(({ kind }) => kind === 'reading')

/** A sign that the sheet wants seen beside the reading, and where nobody has seen it yet. */
interface SignsWanted {
  readonly sign: string
  readonly spots: readonly string[]
}

/**
 * What is still to be looked at once every place is read: a reading is no sign, whether the sheet asks for it or not. Nothing
 * where the sheet names no other sign.
 */
export function signsWanted(step: Step, progress: BayProgress): SignsWanted | undefined {
  if (step.task.kind !== 'torque') return undefined
  const { group } = step.task
  const { joint, spots, pulls } = group
  const last = lastPass({ pulls })
  const isRead = (spot: string) =>
    wantsReadings(group) || progress.torqued.get(pullKey(joint.id, spot, last))?.nm !== undefined
  const seen = seenSigns(joint)
  const answered = placeAnswers(step, progress)
  const open = spots.filter((spot) => {
    const place = signKey(joint.id, spot)
    return isRead(spot) && !answered.has(spot) && !progress.signs.has(place) && !progress.wrong.has(place)
  })
  return seen.length === 0 || open.length === 0
    ? undefined
    : { sign: seen.map(signWords).join(' and '), spots: open }
}
