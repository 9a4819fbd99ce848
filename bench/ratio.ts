import { performance } from 'node:perf_hooks'

/** One thing measured, as a ratio of two figures of the same run, and what it should not exceed. */
export interface Ratio {
  readonly name: string
  readonly value: number
  readonly most: number
}

export const ratio = (name: string, value: number, most: number): Ratio => ({ name, value, most })

/** The middle time of a piece of work over so many runs, in ms; the first runs only warm it up. */
export function median(work: () => void, runs: number): number {
  for (let i = 0; i < Math.min(runs, 50); i += 1) work()
  const times = Array.from({ length: runs }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  }).sort((a, b) => a - b)
  return times[Math.floor(times.length / 2)] ?? Number.NaN
}
