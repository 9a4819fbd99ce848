import {
  type Dimension,
  formatPrecise,
  type Known,
  knownWithout,
  parseQuantity,
  type Rating,
  type Source,
  type State,
  STATES,
  type UnitSystem,
} from '@/core'

/** What was read from a form: the thing itself, or what is wrong by field. The fallback keeps the drawing alive meanwhile. */
export interface ReadDraft<T> {
  readonly value: T
  readonly problems: Readonly<Record<string, string>>
}

/** Figures by state as a person types them; an empty one is a figure nobody has found yet. */
export interface FiguresDraft {
  road: string
  trail: string
  parked: string
  per: 'set' | 'each'
  counts: 'unsaid' | 'load' | 'everything'
  page: string
}

export const NO_FIGURES: FiguresDraft = {
  road: '',
  trail: '',
  parked: '',
  per: 'set',
  counts: 'unsaid',
  page: '',
}

/**
 * The marks of starting values after reading: a field keeps its mark as long as its text is the one that was filled in.
 * `start` is that text, or empty where the field is no starting value.
 */
export function startsLeft(
  known: Known | undefined,
  fields: readonly (readonly [field: string, now: string, start: string])[],
): { readonly known?: Known } {
  const others = knownWithout(
    known,
    fields.map(([field]) => field),
  )
  const starts = fields.flatMap(([field, now, start]) =>
    start !== '' && now.trim() === start ? [[field, { by: 'start' as const }] as const] : [],
  )
  const all = { ...others, ...Object.fromEntries(starts) }
  return Object.keys(all).length > 0 ? { known: all } : {}
}

interface Bounds {
  readonly min?: number
  readonly above?: number
  readonly max?: number
}

/** Reads a form's texts one by one and remembers what is wrong with each. */
export class DraftReader {
  readonly problems: Record<string, string> = {}
  /** What was typed by field, each with its unit: kept beside the values. */
  readonly typed: Record<string, string> = {}

  constructor(private readonly system: UnitSystem) {}

  fail(field: string, message: string): void {
    this.problems[field] ??= message
  }

  /** A text that must not be empty. */
  words(field: string, text: string, fallback: string, what: string): string {
    const trimmed = text.trim()
    if (trimmed === '') this.fail(field, `Give ${what}.`)
    else if (trimmed.length > 120) this.fail(field, 'That is too long: at most 120 letters.')
    return trimmed === '' ? fallback : trimmed.slice(0, 120)
  }

  /** A measurement in the core's unit, or the fallback with its fault noted. */
  quantity(field: string, dimension: Dimension, text: string, fallback: number, bounds: Bounds = {}): number {
    const read = parseQuantity(dimension, text, this.system)
    if (!read.ok) {
      this.fail(field, read.reason)
      return fallback
    }
    const { min, above, max } = bounds
    if ((min !== undefined && read.value < min) || (above !== undefined && read.value <= above)) {
      this.fail(field, above === 0 || min === 0 ? 'It must be more than nothing.' : 'That is too small.')
      return fallback
    }
    if (max !== undefined && read.value > max) {
      this.fail(field, 'That is too large to be right.')
      return fallback
    }
    this.typed[field] = read.typed
    return read.value
  }

  /** What was typed for those fields that were read, under short names. */
  typedFor(fields: Readonly<Record<string, string>>): Record<string, string> {
    return Object.fromEntries(
      Object.entries(fields).flatMap(([name, field]) => {
        const text = this.typed[field]
        return text === undefined || text.length > 60 ? [] : [[name, text] as const]
      }),
    )
  }

  /** A length that is more than nothing. mm. */
  span(field: string, text: string, fallback: number): number {
    return this.quantity(field, 'length', text, fallback, { above: 0, max: 30_000 })
  }

  /** A place along or across the vehicle. mm. */
  position(field: string, text: string, fallback: number): number {
    return this.quantity(field, 'length', text, fallback, { min: -30_000, max: 30_000 })
  }

  /** A length that may be nothing. mm. */
  size(field: string, text: string, fallback: number): number {
    return this.quantity(field, 'length', text, fallback, { min: 0, max: 30_000 })
  }

  mass(field: string, text: string, fallback: number): number {
    return this.quantity(field, 'mass', text, fallback, { min: 0, max: 20_000 })
  }

  /** A measurement that may be left out. */
  optional(field: string, dimension: Dimension, text: string): number | undefined {
    if (text.trim() === '') return undefined
    const value = this.quantity(field, dimension, text, 0, { above: 0, max: 30_000 })
    return this.problems[field] === undefined ? value : undefined
  }

  /** Several places, one after another, separated by semicolons. mm, in order. */
  positions(field: string, text: string, fallback: readonly number[]): number[] {
    const texts = text
      .split(/[;\n]/)
      .map((each) => each.trim())
      .filter((each) => each !== '')
    if (texts.length === 0) {
      this.fail(field, 'Give at least one place, several with semicolons between: 310; 1030.')
      return [...fallback]
    }
    const values: number[] = []
    const typed: string[] = []
    for (const each of texts) {
      const value = this.position(field, each, Number.NaN)
      if (this.problems[field] !== undefined) return [...fallback]
      values.push(value)
      typed.push(this.typed[field] ?? each)
    }
    this.typed[field] = typed.join('; ')
    return values.toSorted((a, b) => a - b)
  }

  /**
   * The figures that were typed, as ratings with their source. kg. A figure left as it was keeps all that is known
   * of it; figures that the form does not show (for one kind of gear, or a second one) are kept.
   */
  figures(
    field: string,
    draft: FiguresDraft,
    id: string,
    kind: Source['kind'],
    was: readonly Rating[] = [],
  ): Rating[] {
    const shown = figuresDraft(was, (kg) => formatPrecise('mass', kg, this.system))
    const sameTerms = draft.per === shown.per && draft.counts === shown.counts && draft.page === shown.page
    const first = (state: State) => was.find((each) => each.state === state && each.gearKind === undefined)
    const page = draft.page.trim().slice(0, 40)
    const read = STATES.flatMap((state): Rating[] => {
      const before = first(state)
      if (before && sameTerms && draft[state] === shown[state]) return [before]
      const kg = this.optional(`${field}.${state}`, 'mass', draft[state])
      if (kg === undefined) return []
      const { counts: _, ...kept } = before ?? {}
      return [
        {
          ...kept,
          id: before?.id ?? `${id}-${state}`,
          state,
          kg,
          per: draft.per,
          ...(draft.counts === 'unsaid' ? {} : { counts: draft.counts }),
          source: { ...(before?.source ?? { kind }), ...(page === '' ? {} : { page }) },
          typed: this.typedFor({ kg: `${field}.${state}` }),
        },
      ]
    })
    return [...read, ...was.filter((each) => first(each.state) !== each)]
  }
}

/** Ratings back as texts for the form; what was typed comes back as it was typed. */
export function figuresDraft(ratings: readonly Rating[], show: (kg: number) => string): FiguresDraft {
  const of = (state: State) => {
    const rating = ratings.find((each) => each.state === state && each.gearKind === undefined)
    return rating ? (rating.typed?.['kg'] ?? show(rating.kg)) : ''
  }
  const [first] = ratings
  return {
    road: of('road'),
    trail: of('trail'),
    parked: of('parked'),
    per: first?.per ?? 'set',
    counts: first?.counts ?? 'unsaid',
    page: first?.source.page ?? '',
  }
}
