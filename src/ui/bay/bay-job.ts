import { squareness } from '@/core/bay/squareness'
import { countFindings, partsCheck } from '@/core/bay/parts-check'
import { proofFindings } from '@/core/bay/proof'
import { pullKey, type BayProgress } from '@/core/bay/log/replay'
import { jobSteps } from '@/core/bay/steps/job-steps'
import type { Order } from '@/core/bay/steps/order'
import type { Step } from '@/core/bay/steps/step'
import { jointFinding, readingFinding } from '@/core/bay/torque/reading'
import type { Pull } from '@/core/bay/torque/passes'
import type { Plan } from '@/core/plan/plan'
import type { Finding } from '@/core/review/finding'
import { bayRulesOf } from '@/core/rules/house'
import type { Survey } from '@/core/survey/survey'
import { judgedOf } from '@/ui/bench/judged'

const orders = new WeakMap<Plan, Map<string, Order<Step>>>()

/** The steps of a plan, worked out once for what has been weighed so far. */
export function stepsOf(plan: Plan, progress: BayProgress): Order<Step> {
  const known = orders.get(plan) ?? new Map<string, Order<Step>>()
  orders.set(plan, known)
  const weighed = new Set(progress.weighed.keys())
  const key = [...weighed].sort().join()
  const order = known.get(key) ?? jobSteps(judgedOf(plan).survey, bayRulesOf(plan.rules), weighed)
  known.set(key, order)
  return order
}

/** The pull of a torque step that comes next; nothing when all are done. */
export function nextPull(step: Step, progress: BayProgress): Pull | undefined {
  if (step.doing.kind !== 'torque') return undefined
  const { joint, pulls } = step.doing.group
  return pulls.find(({ at, pass }) => !progress.torqued.has(pullKey(joint.id, at, pass)))
}

/** Where a job stands: its first step that is not done. */
export function currentIndex(steps: readonly Step[], progress: BayProgress): number {
  const at = steps.findIndex(({ id }) => !progress.done.has(id))
  return at < 0 ? steps.length - 1 : at
}

/** Minutes still to go: the middle of each step's range. */
export const minutesLeft = (steps: readonly Step[], progress: BayProgress): number =>
  steps
    .filter(({ id }) => !progress.done.has(id))
    .reduce((sum, { minutes }) => sum + (minutes.from + minutes.to) / 2, 0)

/** What is to be said of a step as things stand: counts, readings, torques and proof. */
export function stepFindings(step: Step, survey: Survey, progress: BayProgress): Finding[] {
  const { doing } = step
  switch (doing.kind) {
    case 'count':
      return countFindings(partsCheck(survey), progress.counted)
    case 'measure':
      return doing.pairs.flatMap(({ id, pair }) =>
        squareness(pair, progress.measured.get(`${step.id} ${id}`) ?? {}),
      )
    case 'torque': {
      const { joint, pulls } = doing.group
      const last = Math.max(0, ...pulls.map(({ pass }) => pass))
      const read = pulls.flatMap(({ at, pass }) => {
        const nm = pass === last ? progress.torqued.get(pullKey(joint.id, at, pass)) : undefined
        return nm === undefined ? [] : [readingFinding(joint, at, nm)]
      })
      const open = jointFinding(joint)
      return [...(open ? [open] : []), ...read]
    }
    case 'prove':
      return proofFindings([doing.item], progress.proved).filter(({ severity }) => severity === 'stop')
    case 'do':
    case 'weigh':
    case 'start':
    case 'channel':
    case 'cut':
    case 'confirm':
    case 'tell':
      return []
  }
}

/** Why a step cannot be called done yet; nothing when it can. A deviation said with its reason always lets it pass. */
export function holdsBack(
  step: Step,
  survey: Survey,
  findings: readonly Finding[],
  progress: BayProgress,
): string | undefined {
  if (progress.deviations.some(({ stepId }) => stepId === step.id)) return undefined
  const { doing } = step
  if (findings.some(({ severity }) => severity === 'stop')) return 'Put it right, or say what differs.'
  if (doing.kind === 'weigh' && !progress.weighed.has(doing.targetId))
    return 'Weigh it first, or say what differs.'
  if (doing.kind === 'count' && uncounted(survey, progress) > 0)
    return 'Count every line first, or say what differs.'
  if (
    doing.kind === 'measure' &&
    doing.pairs.some(({ id }) => {
      const readings = progress.measured.get(`${step.id} ${id}`)
      return !readings?.spreadLeft || !readings.spreadRight
    })
  )
    return 'Tape both spreads at least, or say what differs.'
  if (doing.kind === 'prove' && !progress.proved.has(doing.item.id)) return 'Say how it went.'
  return undefined
}

const uncounted = (survey: Survey, progress: BayProgress): number =>
  partsCheck(survey).lines.filter(({ id }) => !progress.counted.has(id)).length
