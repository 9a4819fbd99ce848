import { describe, expect, it } from 'vitest'
import { boatAndBox } from '@/demo/plans'
import { patchBetween } from './patch'
import { statesAlong, type PastStep } from './past-step'
import type { Plan } from '../plan/schema/plan'
import { thinned } from './thin-past'

const DAY = 86_400_000
const NOW = Date.parse('2026-11-27T12:00:00.000Z')
const daysAgo = (days: number, minute = 0) => new Date(NOW - days * DAY + minute * 60_000).toISOString()
const named = (name: string): Plan => ({ ...boatAndBox, job: { ...boatAndBox.job, name } })

/** A job with one step at each of these times, each giving it another name. */
function worked(times: readonly string[]) {
  const states = [named('0'), ...times.map((_, i) => named(String(i + 1)))]
  const steps = times.map((at, i): PastStep => ({
    at,
    by: `fitter ${i}`,
    back: patchBetween(states[i + 1], states[i]),
  }))
  return { states, steps }
}
const thin = (times: readonly string[]) => {
  const { states, steps } = worked(times)
  const kept = thinned(steps, states, new Date(NOW).toISOString())
  return { states, steps, kept, after: statesAlong(states.at(-1)!, kept) }
}

describe('the past of a job', () => {
  it('keeps 500 steps however old they are', () => {
    const { steps, kept } = thin(Array.from({ length: 500 }, (_, i) => daysAgo(900, i)))
    expect(kept).toBe(steps)
  })

  it('keeps every step of the last ninety days however many they are', () => {
    const { kept } = thin(Array.from({ length: 1500 }, (_, i) => daysAgo(89, i)))
    expect(kept).toHaveLength(1500)
  })

  it('of what is older keeps how the job stood at the end of each day, when that was and who did it', () => {
    const old = [400, 300, 200].flatMap((days) => Array.from({ length: 20 }, (_, i) => daysAgo(days, i)))
    const { kept, after, states, steps } = thin([
      ...old,
      ...Array.from({ length: 600 }, (_, i) => daysAgo(1, i)),
    ])
    expect(kept).toHaveLength(3 + 600)
    expect(after.slice(0, 4).map(({ job }) => job.name)).toEqual(['0', '20', '40', '60'])
    expect(kept.slice(0, 3).map(({ at, by }) => [at, by])).toEqual(
      [19, 39, 59].map((i) => [steps[i]!.at, steps[i]!.by]),
    )
    expect(after.slice(3)).toEqual(states.slice(60))
  })

  it('past five thousand steps is thinned by days, but for the latest 500, even where it is younger', () => {
    const { kept, after, states } = thin(Array.from({ length: 6000 }, (_, i) => daysAgo(10 - i / 600)))
    expect(kept.length).toBeGreaterThan(500)
    expect(kept.length).toBeLessThan(520)
    expect(after.slice(-501)).toEqual(states.slice(-501))
    expect(after[0]).toEqual(states[0])
  })

  it('is thinned to the same when it is thinned again', () => {
    const { kept, after } = thin([
      ...Array.from({ length: 900 }, (_, i) => daysAgo(200 - i / 10)),
      ...Array.from({ length: 500 }, (_, i) => daysAgo(1, i)),
    ])
    expect(thinned(kept, after, new Date(NOW).toISOString())).toEqual(kept)
  })
})
