import type { Plan } from './schema/plan'

/** A job as it is stored. It holds one load today, so it has the shape of its plan. */
export type StoredJob = Plan

/**
 * The plan of a job: the vehicle, the racks and the things of one load. Survey, review and everything above them read
 * the plan; commands, history and storage keep the job.
 */
export const planOf = (job: StoredJob): Plan => job
