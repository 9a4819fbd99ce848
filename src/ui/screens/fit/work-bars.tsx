import type { Schedule, Step } from '@/core/api/fit'
import { hours } from './hours'

/** A time axis bears a tick every so many minutes at most: the first of these with no more than so many ticks. */
const TICKS_MIN = [15, 30, 60, 120, 240] as const
const MOST_TICKS = 9
/** A bar that ends this far along has its name before it, percent. */
const NAME_AFTER_UNTIL = 55

/** The steps of one fitter along the time: a bar each, with its name beside it; what waits by itself is a thin line. */
export function WorkBars({ schedule, steps }: { schedule: Schedule; steps: readonly Step[] }) {
  const all = Math.max(schedule.minutes, 1)
  const share = (minutes: number) => (minutes / all) * 100
  const every = TICKS_MIN.find((each) => all / each <= MOST_TICKS) ?? 480
  const ticks = Array.from({ length: Math.floor(all / every) + 1 }, (_, i) => i * every)
  const title = new Map(steps.map((step) => [step.id, step.title]))
  const critical = new Set(schedule.critical)
  return (
    <figure className="mt-3">
      <figcaption className="text-ink2 mb-1 text-aside">
        One fitter, step after step. Dark: on the critical path, where a lost minute delays the whole job.
        Thin line: waiting time.
      </figcaption>
      <div className="relative">
        <div className="text-ink2 relative h-6 text-note" aria-hidden>
          {ticks.map((at) => (
            <span
              key={at}
              className="border-hair absolute top-0 h-6 border-l-1 pl-1 whitespace-nowrap"
              style={{ left: `${share(at)}%` }}
            >
              {share(at) < 96 ? hours(at) : ''}
            </span>
          ))}
        </div>
        <ol aria-label="The steps of one fitter along the time">
          {schedule.steps.map(({ id, fromMin, toMin, readyMin }) => {
            const after = share(Math.max(toMin, readyMin)) <= NAME_AFTER_UNTIL
            return (
              <li key={id} className="border-hair relative h-[1.7em] border-t-1">
                <span
                  className={`absolute top-1/2 h-3 min-w-[3px] -translate-y-1/2 border-1 ${critical.has(id) ? 'border-base-content bg-base-content' : 'border-edge bg-gear'}`}
                  style={{ left: `${share(fromMin)}%`, width: `${share(toMin - fromMin)}%` }}
                />
                {readyMin > toMin && (
                  <span
                    className="border-edge absolute top-1/2 border-t-2"
                    style={{ left: `${share(toMin)}%`, width: `${share(readyMin - toMin)}%` }}
                  />
                )}
                <span
                  className={`absolute top-0 truncate px-1.5 leading-[1.7em] text-aside ${after ? '' : 'text-right'}`}
                  style={
                    after
                      ? { left: `${share(Math.max(toMin, readyMin))}%`, right: 0 }
                      : { right: `${100 - share(fromMin)}%`, left: 0 }
                  }
                >
                  {title.get(id) ?? id}{' '}
                  <span className="text-ink2">
                    {hours(toMin - fromMin)}
                    {critical.has(id) && <span className="sr-only">, on the critical path</span>}
                  </span>
                </span>
              </li>
            )
          })}
        </ol>
      </div>
    </figure>
  )
}
