import type { Plan, Stop } from '@/core'
import { to } from '@/ui/routes'

/** Where each stop of a job is. */
export function stopAddress(stop: Stop, plan: Plan): string {
  const job = plan.id
  switch (stop) {
    case 'vehicle':
      return to('vehicle', { job })
    case 'rack':
      return to('racks', { job })
    case 'load':
      return to('bench', { job })
    case 'forces':
      return to('forces', { job })
    case 'fit':
      return to('bay', { job })
    case 'handOver':
      return to('handover', { job })
    case 'log':
      return to('log', { vehicle: plan.car.id, job })
  }
}
