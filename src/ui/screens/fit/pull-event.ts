import type { Joint, Pull, PullEvidence } from '@/core/api/fit'
import type { NewEvent } from '@/ui/state/log-store'
import type { ByHand } from '@/devices/driver'

const pull = (joint: Joint, { at, pass, percent }: Pull) =>
  ({ kind: 'torqued', jointId: joint.id, what: joint.name, spot: at, pass, percent }) as const

/** A pull that a wrench read, N·m; which device, where it was one. */
export const readEvent = (joint: Joint, of: Pull, nm: number, by?: ByHand): NewEvent => ({
  ...pull(joint, of),
  nm,
  how: 'reading',
  ...(by?.typed !== undefined && { typed: by.typed }),
  ...(by?.name !== undefined && { tool: by.name }),
  ...(by?.calibration && { calibration: by.calibration }),
  ...(by?.simulated && { simulated: true }),
})

/** A pull that somebody has seen or felt, without a reading. */
export const seenEvent = (joint: Joint, of: Pull, how: PullEvidence): NewEvent => ({
  ...pull(joint, of),
  how,
})
