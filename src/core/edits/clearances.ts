import type { SingleCommand } from '../plan/commands/command'
import type { Clearance } from '../plan/schema/placement'

/** The edits that make one list of doors and garages of another. */
export const clearanceEdits = (
  before: readonly Clearance[],
  after: readonly Clearance[],
): readonly SingleCommand[] => [
  ...before
    .filter(({ id }) => !after.some((each) => each.id === id))
    .map(({ id }): SingleCommand => ({ do: 'removeClearance', clearanceId: id })),
  ...after
    .filter((each) => !before.includes(each))
    .map((clearance): SingleCommand => ({ do: 'setClearance', clearance })),
]
