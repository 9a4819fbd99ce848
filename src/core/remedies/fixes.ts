import type { Fixes } from './candidate'
import { BAR_FIXES } from './fixes/of-bars'
import { FITTING_FIXES } from './fixes/of-fittings'
import { FORCE_FIXES } from './fixes/of-forces'
import { LOAD_FIXES } from './fixes/of-loads'
import { PLACE_FIXES } from './fixes/of-places'
import { SWING_FIXES } from './fixes/of-swings'
import { USE_FIXES } from './fixes/of-use'

/** Who looks for the fixes of which check; a check that is not here has none. */
export const FIXES: Readonly<Record<string, Fixes>> = {
  ...BAR_FIXES,
  ...FITTING_FIXES,
  ...FORCE_FIXES,
  ...LOAD_FIXES,
  ...PLACE_FIXES,
  ...SWING_FIXES,
  ...USE_FIXES,
}
