import { inject } from 'vitest'

declare module 'vitest' {
  interface ProvidedContext {
    /** Whether every case runs, as in the deep run, or a hundredth, as in the gate. */
    deep: boolean
    seed: number
  }
}

/** Fewer than these prove nothing about a law. */
const LEAST = 10

/** How many cases a test of so many runs: all of them in the deep run, a hundredth in the gate. */
export const runs = (all: number): number =>
  inject('deep') ? all : Math.min(all, Math.max(LEAST, Math.ceil(all / 100)))

/** The fewest cases of a law whose single cases take long. */
const LEAST_OF_LONG = 8

/** How many cases a test runs whose work belongs to the deep run: all of them there, a thousandth in the gate. */
export const nightly = (all: number): number =>
  inject('deep') ? all : Math.min(all, Math.max(LEAST_OF_LONG, Math.ceil(all / 1000)))

/** What a test expects to meet at least `met` times in `all` cases, in as many as this run has. */
export const atLeast = (met: number, all: number): number => Math.floor((met * runs(all)) / all)
