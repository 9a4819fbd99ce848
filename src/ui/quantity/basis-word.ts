import type { Basis } from '@/core/plan/rating'

/** How a mass is known, in a word. */
export const BASIS_WORD: Readonly<Record<Basis | 'computed', string>> = {
  weighed: 'weighed',
  maker: "maker's figure",
  told: 'told',
  guess: 'guess',
  start: 'starting value',
  target: 'target',
  computed: 'computed',
}
