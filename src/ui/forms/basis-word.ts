import { BASES, type Basis, choicesOf } from '@/core/api/plan'

/** How a mass is known, in a word. */
export const BASIS_WORD: Readonly<Record<Basis | 'computed', string>> = {
  ...(Object.fromEntries(choicesOf(BASES, ({ word }) => word)) as Record<Basis, string>),
  computed: 'computed',
}
