import { pullKey, type BayProgress } from '../../log/record'
import type { Finding } from '../../review/finding'
import type { JointGroup } from '../steps/step'

/** What was read by a wrench on a day after its calibration had run out. Published: ISO 6789, from memory: it has a term. */
export function calibrationFinding({ joint, pulls }: JointGroup, progress: BayProgress): Finding[] {
  const past = pulls.flatMap(({ at, pass }) => {
    const { nm, calibration, tool } = progress.torqued.get(pullKey(joint.id, at, pass)) ?? {}
    return nm !== undefined && calibration && !calibration.held
      ? [{ at, until: calibration.until, tool: tool ?? 'the wrench' }]
      : []
  })
  const first = past[0]
  if (!first) return []
  const places = [...new Set(past.map(({ at }) => at))].join(' ')
  return [
    {
      id: `calibration ${joint.id}`,
      rule: 'torque-reading',
      severity: 'mind',
      state: 'all',
      subject: { placementIds: [] },
      sentence: [
        `${joint.name}, ${places}: read by ${first.tool}, whose calibration held until ${first.until}. Have it calibrated, and check a place again with a calibrated wrench.`,
      ],
    },
  ]
}
