import { NOTHING_DONE, type BayProgress } from '../log/record'
import { replay } from '../log/replay'
import { USUAL_BAY } from '../plan/schema/house'
import type { Survey } from '../survey/survey'
import { workedEvents } from './worked'

/** The progress of a job that somebody did just as its sheets have it, as far as some of its steps. */
export function workedProgress(survey: Survey, upTo: (stepId: string) => boolean = () => true): BayProgress {
  const signed = workedEvents(survey, USUAL_BAY)
    .filter((event) => event.kind !== 'stepDone' || upTo(event.stepId))
    .map((event, i) => ({ ...event, id: String(i), at: '', vehicleId: 'v', jobId: 'j', turn: i + 1 }))
  return replay(signed).jobs.get('j') ?? NOTHING_DONE
}
