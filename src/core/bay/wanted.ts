import { signKey, type BayProgress } from '../log/record'
import { placeAnswers } from './answers'
import type { JointGroup, Step } from './steps/step'
import { signWords } from './torque/joint'

/** Whether the sheet wants the wrench read at the last pass, place by place. */
export const wantsReadings = ({ joint }: JointGroup): boolean =>
  joint.signs.some(({ kind }) => kind === 'reading')

/** A sign that the sheet wants seen beside the reading, and where nobody has seen it yet. */
interface SignsWanted {
  readonly sign: string
  readonly spots: readonly string[]
}

/** What is still to be looked at once every place is read; nothing where the sheet asks for the reading alone. */
export function signsWanted(step: Step, progress: BayProgress): SignsWanted | undefined {
  if (step.task.kind !== 'torque' || !wantsReadings(step.task.group)) return undefined
  const { joint, spots } = step.task.group
  const seen = joint.signs.filter(({ kind }) => kind !== 'reading')
  const answered = placeAnswers(step, progress)
  const open = spots.filter((spot) => !answered.has(spot) && !progress.signs.has(signKey(joint.id, spot)))
  return seen.length === 0 || open.length === 0
    ? undefined
    : { sign: seen.map(signWords).join(' and '), spots: open }
}
