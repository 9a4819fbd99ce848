import type { Plan } from '../plan/schema/plan'

/** Every fix is tried by judging the whole plan once more: with more things than this on it none are looked for. */
export const MOST_TO_FIX = 200

/** Why no fixes are looked for on a plan; nothing where they are. */
export const fixesLeftOut = ({ placements }: Plan): string | undefined =>
  placements.length > MOST_TO_FIX
    ? `${placements.length} things are on this plan. Fixes are searched for up to ${MOST_TO_FIX}, so none is offered here.`
    : undefined
