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
            },
          ]
        : [],
    ),
  )
  return [...gear, ...loads]
}

/** A step for each guess, and for each thing that was a guess until this job weighed it: a step does not go away by being done. */
export function weighSteps(survey: Survey, weighed: ReadonlySet<string>, after: readonly string[]): Step[] {
  return weighable(survey)
    .filter(({ guessed, id }) => guessed || weighed.has(id))
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
