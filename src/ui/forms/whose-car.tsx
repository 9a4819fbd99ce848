'use client'
import { Button } from '@/ui/kit/button'
import { apply, type Car, type Plan } from '@/core/api/plan'
import type { JobAbout } from '@/core/api/fit'
import { changePlan } from '@/storage/plans'
import { planStore } from '@/ui/state/plan-store'

/** Says of a job's car that it is its own, under the old id or a new one. */
async function settle(plan: Pick<JobAbout, 'id' | 'car'>, id: string): Promise<void> {
  const { shared: _, ...known } = plan.car
  const car: Car = { ...known, id }
  const open = planStore.getState()
  if (open.plan?.id === plan.id) {
    open.run({ do: 'setCar', car })
    await open.saveNow()
    return
  }
  await changePlan(plan.id, (now) => {
    const applied = apply(now, { do: 'setCar', car })
    return applied.ok ? applied.plan : undefined
  })
}

/**
 * Where two jobs of old have one stock entry's id for their cars: says so, and lets a person part them or say that it
 * is one car. Until then neither sheet prints what belongs to the other.
 */
export function WhoseCar({
  plan,
  perhaps,
  onParted,
}: {
  plan: Plan
  perhaps: readonly JobAbout[]
  onParted?: () => void
}) {
  if (perhaps.length === 0) return null
  const done = () => onParted?.()
  return (
    <div role="note" className="mind-hatch no-print my-2 px-4 py-2">
      <p>
        <strong>{plan.job.name}</strong>: {perhaps.map(({ job }) => job.name).join(', ')}{' '}
        {perhaps.length === 1 ? 'was' : 'were'} begun with the same vehicle from stock. Is it the same car?
        Until you choose, only the log of this job is shown as its own.
      </p>
      <div className="mt-1 flex flex-wrap gap-1.5">
        <Button onClick={() => void settle(plan, `car-${crypto.randomUUID()}`).then(done)}>
          Another car
        </Button>
        <Button
          onClick={() =>
            void Promise.all([plan, ...perhaps].map((each) => settle(each, plan.car.id))).then(done)
          }
        >
          The same car
        </Button>
      </div>
    </div>
  )
}
