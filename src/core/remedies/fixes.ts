import type { Fixes } from './candidate'
import { BAR_FIXES } from './fixes/bar-fixes'
import { FITTING_FIXES } from './fixes/fitting-fixes'
import { FORCE_FIXES } from './fixes/force-fixes'
import { LOAD_FIXES } from './fixes/load-fixes'
import { PLACE_FIXES } from './fixes/place-fixes'
import { SWING_FIXES } from './fixes/swing-fixes'
import { USE_FIXES } from './fixes/use-fixes'

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
