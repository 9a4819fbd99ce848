import type { Gear } from '@/core/api/plan'
import * as camp from './camp'
import * as cargo from './cargo'
import * as carriers from './carriers'

/** All of the demo's gear: carriers, then what goes in and on them. */
export const GEAR: readonly Gear[] = [
  ...Object.values(carriers),
  ...Object.values(camp),
  ...Object.values(cargo),
]
