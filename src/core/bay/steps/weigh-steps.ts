import type { Review } from '../../review/review'
import { kg } from '../../units/phrase'
import type { Survey } from '../../survey/survey'
import { stepOf } from './step-of'
import type { Step, WeighTarget } from './step'

interface Weighable {
  readonly target: WeighTarget
  readonly id: string
  readonly name: string
  readonly kg: number
  readonly guessed: boolean
  readonly unknown: boolean
}

/** What on the plan can be hung on a scale: gear and loads of so many kilograms, not people and not what is poured. */
function weighable({ plan, things }: Survey): Weighable[] {
  const on = new Set(things.map((thing) => thing.gear.id))
  const gear = plan.gear
    .filter(({ id, kind }) => kind !== 'person' && on.has(id))
    .map(({ id, name, mass }) => ({
      target: { of: 'gear', gearId: id } as const,
      id,
      name,
      kg: mass.kg,
      guessed: mass.basis === 'guess' || mass.basis === 'unknown',
      unknown: mass.basis === 'unknown',
    }))
  const loads = things.flatMap(({ placement }) =>
    placement.loads.flatMap(({ id, name, what }) =>
      what.kind === 'mass'
        ? [
            {
              target: { of: 'load', placementId: placement.id, loadId: id } as const,
              id: `${placement.id}/${id}`,
              name,
              kg: what.mass.kg,
              guessed: what.mass.basis === 'guess' || what.mass.basis === 'unknown',
              unknown: what.mass.basis === 'unknown',
            },
          ]
        : [],
    ),
  )
  return [...gear, ...loads]
}

/** The weights that a review asks for, by what is hung on the scale. */
export const weightsAsked = ({ findings }: Pick<Review, 'findings'>): ReadonlySet<string> =>
  new Set(
    findings.flatMap(({ severity, ask }) => {
      if (severity !== 'findOut' || !ask || !('field' in ask.target)) return []
      const { target } = ask
      if (target.field === 'gearMass') return [target.gearId]
      return target.field === 'loadMass' ? [`${target.placementId}/${target.loadId}`] : []
    }),
  )

/**
 * A step for each weight that nobody knows, for each guess on which a verdict depends (all of them, where `asked` is left
 * out), and for what this job has weighed: a step does not go away by being done.
 */
export function weighSteps(
  survey: Survey,
  weighed: ReadonlySet<string>,
  after: readonly string[],
  asked?: ReadonlySet<string>,
): Step[] {
  return weighable(survey)
    .filter(
      ({ guessed, unknown, id }) =>
        unknown || weighed.has(id) || (guessed && (asked === undefined || asked.has(id))),
    )
    .map(({ target, id, name, kg: now, guessed }) =>
      stepOf({
        id: `weigh/${id}`,
        group: 'job',
        rackId: undefined,
        stage: 'bench',
        title: `Weigh: ${name}`,
        detail: guessed
          ? now === 0
            ? ['Its weight is unknown. Hang it on the scale; the plan takes the reading.']
            : ['Somebody guessed ', kg(now), '. Hang it on the scale; the plan takes the reading.']
          : ['It weighs ', kg(now), ', as read here.'],
        after,
        minutes: { from: 2, to: 4 },
        tools: ['hanging scale'],
        task: { kind: 'weigh', target, targetId: id, name, guessKg: now },
      }),
    )
}
