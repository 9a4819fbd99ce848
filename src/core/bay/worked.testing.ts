import type { LogEvent } from '../log/event'
import { NOTHING_DONE, type BayProgress } from '../log/record'
import { replay } from '../log/replay'
import { USUAL_BAY } from '../plan/schema/house'
import type { Survey } from '../survey/survey'
import { workedEvents, type WorkedEvent } from './worked'

/** What was worked, written into a log, one entry after the other. */
export const written = (events: readonly WorkedEvent[]): LogEvent[] =>
  events.map((event, i) => ({
    ...event,
    id: `e${i}`,
    at: '2027-03-12T09:00:00Z',
    vehicleId: 'v',
    jobId: 'j',
    turn: i + 1,
  }))

/** A job's progress as such a log has it. */
export const loggedBy = (events: readonly WorkedEvent[]): BayProgress =>
  replay(written(events)).jobs.get('j') ?? NOTHING_DONE

/** The progress of a job that somebody did just as its sheets have it, as far as some of its steps. */
export const workedProgress = (survey: Survey, upTo: (stepId: string) => boolean = () => true): BayProgress =>
  loggedBy(workedEvents(survey, USUAL_BAY).filter((event) => event.kind !== 'stepDone' || upTo(event.stepId)))
