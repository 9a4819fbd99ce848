import type { Basis } from './basis'
import { kindsOf } from './kind'

interface HowTraits {
  /** In the small mark beside a field, and where a figure is cited. */
  readonly word: string
  /** As the basis of a mass that is known so. */
  readonly basis: Basis
  /** For what a rating may be read from: as a form offers it. */
  readonly readFrom?: string
  /**
   * How far a figure may be off that is known so, either way: a mass or a rating as a part of it, a length as a part of
   * it and no less than so many mm. What has none is taken as it is. Common practice, no source.
   */
  readonly off?: { readonly part: number; readonly lengthPart: number; readonly leastMm: number }
  /** Why an answer may depend on a length that is known so. */
  readonly doubt?: string
  /** Guesses and what a form filled in are off together, all in one direction; everything else is off by itself. */
  readonly together?: true
  /** Nothing that anybody measured or read. */
  readonly unsure?: true
  /** A form or a fix says so, never a person. */
  readonly made?: true
}

/** How a figure is known. What nobody said is `told`; `start` was filled in by a form, `target` was set by a fix. */
export const PROVENANCES = {
  weighed: {
    word: 'weighed',
    doubt: 'as near as it was measured',
    basis: 'weighed',
    off: { part: 0.01, lengthPart: 0, leastMm: 1 },
  },
  label: { word: 'label', basis: 'maker', readFrom: 'On its label' },
  manual: { word: 'manual', basis: 'maker', readFrom: 'In the vehicle’s manual' },
  sheet: { word: "maker's sheet", basis: 'maker', readFrom: 'On its maker’s sheet' },
  measured: {
    word: 'measured',
    doubt: 'as near as it was measured',
    basis: 'weighed',
    readFrom: 'Measured',
    off: { part: 0.01, lengthPart: 0, leastMm: 1 },
  },
  told: {
    word: 'told',
    doubt: 'told, not measured',
    basis: 'told',
    readFrom: 'Told',
    unsure: true,
    off: { part: 0.1, lengthPart: 0.01, leastMm: 5 },
  },
  guess: {
    word: 'guess',
    doubt: 'a guess',
    basis: 'guess',
    unsure: true,
    together: true,
    off: { part: 0.1, lengthPart: 0.05, leastMm: 40 },
  },
  start: {
    word: 'starting value',
    doubt: 'a starting value of the form',
    basis: 'start',
    unsure: true,
    made: true,
    together: true,
    off: { part: 0.25, lengthPart: 0.05, leastMm: 40 },
  },
  target: { word: 'target', basis: 'target', made: true },
} as const satisfies Record<string, HowTraits>
export type Provenance = keyof typeof PROVENANCES

/** How a figure is known, with all that is said of it. */
export const howTraits = (how: Provenance): HowTraits => PROVENANCES[how]

const howsWith = <Trait extends keyof HowTraits>(trait: Trait) =>
  kindsOf(PROVENANCES).filter(
    (
      how,
    ): how is {
      [K in Provenance]: (typeof PROVENANCES)[K] extends Record<Trait, unknown> ? K : never
    }[Provenance] => Object.hasOwn(PROVENANCES[how], trait),
  )

/** What a rating may be read from. */
export const READ_FROM = howsWith('readFrom')

/** What a figure was read from, where it is cited: hearsay is called so. */
export const readAs = (how: (typeof READ_FROM)[number]): string =>
  how === 'told' ? 'told, not seen' : PROVENANCES[how].word
