import type { Basis } from './basis'
import { kindsOf } from './kind'

interface HowTraits {
  /** In the small mark beside a field, and where a figure is cited. */
  readonly word: string
  /** As the basis of a mass that is known so. */
  readonly basis: Basis
  /** For what a rating may be read from: as a form offers it. */
  readonly readFrom?: string
  /** Nothing that anybody measured or read. */
  readonly unsure?: true
  /** A form or a fix says so, never a person. */
  readonly made?: true
}

/** How a figure is known. What nobody said is `told`; `start` was filled in by a form, `target` was set by a fix. */
export const HOWS = {
  weighed: { word: 'weighed', basis: 'weighed' },
  label: { word: 'label', basis: 'maker', readFrom: 'On its label' },
  manual: { word: 'manual', basis: 'maker', readFrom: 'In the vehicle’s manual' },
  sheet: { word: "maker's sheet", basis: 'maker', readFrom: 'On its maker’s sheet' },
  measured: { word: 'measured', basis: 'weighed', readFrom: 'Measured' },
  told: { word: 'told', basis: 'told', readFrom: 'Told', unsure: true },
  guess: { word: 'guess', basis: 'guess', unsure: true },
  start: { word: 'starting value', basis: 'start', unsure: true, made: true },
  target: { word: 'target', basis: 'target', made: true },
} as const satisfies Record<string, HowTraits>
export type How = keyof typeof HOWS

const howsWith = <Trait extends keyof HowTraits>(trait: Trait) =>
  kindsOf(HOWS).filter(
    (how): how is { [K in How]: (typeof HOWS)[K] extends Record<Trait, unknown> ? K : never }[How] =>
      trait in HOWS[how],
  )

/** What a rating may be read from. */
export const READ_FROM = howsWith('readFrom')

/** What a figure was read from, where it is cited: hearsay is called so. */
export const readAs = (how: (typeof READ_FROM)[number]): string =>
  how === 'told' ? 'told, not seen' : HOWS[how].word
