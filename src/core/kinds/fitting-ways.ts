interface Way {
  readonly word: string
  /** Why somebody goes this way. */
  readonly because: string
}

interface SchoolTraits {
  readonly label: string
  readonly ways: Readonly<Record<string, Way>>
}

/** Where good fitters go about it in two ways. Common practice, no source. */
export const SCHOOLS = {
  build: {
    label: 'Feet and bars',
    ways: {
      bench: {
        word: 'built up on the bench',
        because: 'lengths are set at table height, and nothing is loose over the roof',
      },
      vehicle: {
        word: 'feet hung on the vehicle first',
        because: 'one person can do it, and no long thing is lifted over the roof',
      },
    },
  },
  squaring: {
    label: 'How it comes square',
    ways: {
      taped: {
        word: 'taped',
        because:
          'bars that slide stand where they are tightened, and only a tape shows whether they are square',
      },
      itself: {
        word: 'squares itself',
        because: 'latches, posts, points, notches or trusses place the bars, and a tape does not move them',
      },
    },
  },
  strips: {
    label: 'Strips under the bars',
    ways: {
      first: { word: 'cut and pressed in first', because: 'they are the spacers that place the feet' },
      last: {
        word: 'cut and pressed in last',
        because: 'the feet are placed with a tape, and the strips are cut to what is left',
      },
    },
  },
} as const satisfies Record<string, SchoolTraits>
export type School = keyof typeof SCHOOLS

/** One of two ways each. */
export type Ways = { readonly [S in School]-?: keyof (typeof SCHOOLS)[S]['ways'] }

/** The ways of one school, each with its reason. */
export const waysToChoose = (school: School): [string, string][] =>
  Object.entries<Way>(SCHOOLS[school].ways).map(([way, { word, because }]) => [way, `${word}: ${because}`])
