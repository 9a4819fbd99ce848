/** The kinds of a vocabulary, in the order in which its record has them. */
export function kindsOf<K extends string>(record: Readonly<Record<K, unknown>>): readonly [K, ...K[]] {
  return Object.keys(record) as [K, ...K[]]
}

/** Kinds as a form offers them: each with what it is called there. */
export function choicesOf<K extends string, Traits>(
  record: Readonly<Record<K, Traits>>,
  called: (traits: Traits, kind: K) => string,
): readonly (readonly [K, string])[] {
  return kindsOf(record).map((kind) => [kind, called(record[kind], kind)] as const)
}
