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

/**
 * The middle times of two pieces of work done turn about, as their ratio: what else the machine does meanwhile falls on
 * both. The turns before those that count are for the compiler, which is done with a few thousand.
 */
export function alternating(work: () => void, against: () => void, runs: number, warm: number): number {
  const turns = { work: [] as number[], against: [] as number[] }
  const timed = (list: number[], run: () => void) => {
    const began = performance.now()
    run()
    list.push(performance.now() - began)
  }
  for (let i = 0; i < warm + runs; i += 1) {
    timed(turns.against, against)
    timed(turns.work, work)
  }
  const middle = (list: number[]) =>
    list.slice(warm).sort((a, b) => a - b)[Math.floor(runs / 2)] ?? Number.NaN
  return middle(turns.work) / middle(turns.against)
}
