import { cautionsAt, type CautionSubjects } from '../../review/cautions'
import type { Survey } from '../../survey/survey'
import { OF_THING, type Step } from './step'

/** The joints that a step works on, by their ids; what was on already is the same joint. */
function jointsOf({ task }: Step): readonly string[] {
  const groups = task.kind === 'torque' ? [task.group] : task.kind === 'start' ? task.groups : []
  return groups.map(({ joint }) => joint.id.replace(/\/on$/, ''))
}

function isAbout(step: Step, { of, ids }: CautionSubjects): boolean {
  switch (of) {
    case 'job':
      return true
    case 'rack':
      return ids.includes(step.group) || step.group === 'job'
    case 'thing':
      // On a step of the rack or the job it is said because the thing is there.
      return !step.group.startsWith(OF_THING) || ids.some((id) => step.group === `${OF_THING}${id}`)
    case 'joint':
      return jointsOf(step).some((id) => ids.includes(id))
  }
}

/** A step by its key; something to prove about a part that opens by what is opened. */
const isStep = ({ key = '', task }: Step, name: string): boolean =>
  key === name || (task.kind === 'prove' && key.startsWith(`${name}-`))

/** The steps with what is said before each, where somebody can come to harm or something to damage. */
export function withCautions(steps: readonly Step[], survey: Survey): readonly Step[] {
  const cautions = cautionsAt(survey)
  return steps.map((step) => {
    const said = cautions.flatMap(({ say, onSteps, about }) =>
      onSteps.some((name) => isStep(step, name)) && isAbout(step, about) ? [say] : [],
    )
    return said.length === 0 ? step : { ...step, cautions: [...new Set(said)] }
  })
}
