import type { Plan } from '@/core/api/plan'
import type { Stage } from '@/core/api/assess'
import { to } from '@/ui/routes'

/** The address of each stage of a job. */
export function stageAddress(stage: Stage, plan: Plan): string {
  const job = plan.id
  switch (stage) {
    case 'vehicle':
      return to('vehicle', { job })
    case 'racks':
      return to('racks', { job })
    case 'load':
      return to('load', { job })
    case 'forces':
      return to('forces', { job })
    case 'fit':
      return to('fit', { job })
    case 'handover':
      return to('handover', { job })
    case 'log':
      return to('log', { vehicle: plan.car.id, job })
  }
}
