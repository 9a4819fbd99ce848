import type { Minutes } from '../../plan/schema/minutes'

/** A piece of work takes from so many minutes to well over half as much again. Common practice, no source. */
export const about = (from: number, to = from * 1.6): Minutes => ({ from, to: Math.round(to) })
