import type { Calibration } from '@/core/api/fit'
import { today } from '@/ui/state/today'

/** Whether the calibration of the tool in hand holds today; nothing where nobody said until when it does. */
export const calibrationNow = (
  tool: { readonly until?: string | undefined } | undefined,
): Calibration | undefined =>
  tool?.until === undefined ? undefined : { until: tool.until, held: today() <= tool.until }
