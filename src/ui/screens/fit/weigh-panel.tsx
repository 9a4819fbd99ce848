'use client'
import type { BayProgress, Step, WeighTarget } from '@/core/api/fit'
import { type Plan, type SingleCommand, typedElsewhere, weighedAnew } from '@/core/api/plan'
import { planStore } from '@/ui/state/plan-store'
import { logFor } from '@/ui/state/log-store'
import { QuantityField } from '@/ui/figures/quantity-field'
import { useSettings } from '@/ui/state/settings-store'
import { calibrationNow } from './calibration-now'
import { DeviceReader } from './device-reader'
import { type ByHand } from '@/devices/driver'

/** The plan takes what the scale read. */
function massCommand(plan: Plan, target: WeighTarget, kg: number): SingleCommand {
  const mass = { kg, basis: 'weighed' } as const
  if (target.of === 'gear') {
    const was = plan.gear.find(({ id }) => id === target.gearId)?.mass
    if (!was) throw new Error(`there is no gear ${target.gearId}`)
    return { do: 'setGearMass', gearId: target.gearId, mass: weighedAnew(was, kg) }
  }
  const { placementId, loadId } = target
  const load = plan.placements.find(({ id }) => id === placementId)?.loads.find(({ id }) => id === loadId)
  if (!load) throw new Error(`there is no load ${loadId} on ${placementId}`)
  return { do: 'setLoad', placementId, load: { ...load, what: { kind: 'mass', mass } } }
}

/** What depends on the scale: typed, or read by one. */
export function WeighPanel({ plan, step, progress }: { plan: Plan; step: Step; progress: BayProgress }) {
  const scale = useSettings((store) => store.settings.scale)
  if (step.task.kind !== 'weigh') return null
  const { target, targetId, name, guessKg } = step.task
  const weighed = (kg: number, by: ByHand) => {
    const calibration = calibrationNow(scale)
    const rounded = Math.round(kg * 100) / 100
    planStore.getState().run(massCommand(plan, target, rounded))
    logFor(plan, {
      kind: 'weighed',
      targetId,
      what: name,
      kg: rounded,
      ...(by.typed !== undefined && { typed: by.typed }),
      ...(by.name !== undefined && { tool: by.name }),
      ...(by.simulated && { simulated: true }),
      ...(calibration && !by.simulated && { calibration }),
    })
  }
  return (
    <>
      <QuantityField
        label={`Weight of ${name}`}
        dimension="mass"
        value={progress.weighed.get(targetId)}
        onValue={(kg, typed) => {
          if (kg <= 0) return 'A weight is more than 0.'
          if (kg > 2000) return 'No hanging scale reads that much. Check the unit.'
          weighed(kg, { typed: typedElsewhere('mass', typed), name: scale?.name })
          return undefined
        }}
      />
      <DeviceReader reads="mass" target={guessKg * 1.07} plan={plan} onReading={weighed} />
    </>
  )
}
