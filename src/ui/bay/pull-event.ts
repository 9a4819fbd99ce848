import type { Joint } from '@/core/bay/torque/joint'
import type { Pull } from '@/core/bay/torque/passes'
import type { NewEvent } from '@/ui/log/log-store'

/** A pull done, as the log has it. */
export function pullEvent(joint: Joint, pull: Pull, nm?: number, tool?: string): NewEvent {
  return {
    kind: 'torqued',
    jointId: joint.id,
    what: joint.name,
    spot: pull.at,
    pass: pull.pass,
    percent: pull.percent,
    ...(nm === undefined ? {} : { nm }),
    ...(tool === undefined ? {} : { tool }),
  }
}
