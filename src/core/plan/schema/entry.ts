/** An entry of the plan that somebody may know better or worse: one fact, however many sums use it. */
export interface PlanEntry {
  readonly of:
    | 'vehicle'
    | 'attachment'
    | 'obstacle'
    | 'rack'
    | 'part'
    | 'bar'
    | 'gear'
    | 'load'
    | 'tail'
    | 'occupant'
    | 'rating'
    | 'measurement'
  /** Its id; of a load in a thing, that of the placement. */
  readonly id: string
  /** The path of its field; of a load in a thing, its id. */
  readonly field: string
}

/** One text for an entry, to find it by. */
export const entryKey = ({ of, id, field }: PlanEntry): string => `${of} ${id} ${field}`
