import * as z from '../units/schema'
import { positionMm, sizeMm, spanMm } from '../units/scalars'
import { kindsOf } from './kind'

interface ObstacleTraits {
  /** As a form offers it, and what one is called at first. */
  readonly choice: string
  /** How it opens, where it does: a panel up or down about a hinge, or a pane in the roof. */
  readonly opens: 'up' | 'down' | 'pane' | undefined
  readonly shape: z.core.$ZodShape
}

const outlinePoint = z.strictObject({ xMm: positionMm, zMm: positionMm })
const swings = {
  hinge: outlinePoint,
  panel: z.array(outlinePoint).check(z.minLength(2), z.maxLength(40)),
  halfWidthMm: spanMm,
  opensDeg: z.number().check(z.gte(0), z.lte(180)),
}

/** From one place along the vehicle to another behind it, mm. */
export const alongSchema = z
  .strictObject({ fromMm: positionMm, toMm: positionMm })
  .check(z.refine((range) => range.fromMm <= range.toMm, 'The range ends before it begins.'))

/** The forms of antenna, with half of what each takes along the roof. mm, rough, common practice, no source. */
export const ANTENNA_FORMS = {
  fin: { halfMm: 75 },
  mast: { halfMm: 12 },
  puck: { halfMm: 40 },
} as const satisfies Record<string, { readonly halfMm: number }>

/** How a pane may move: as a form offers it, and whether it tilts, slides, and does either over the roof. */
export const PANE_MOVES = {
  fixed: { choice: 'Not at all', tilts: false, slides: false, slidesOver: false },
  inside: { choice: 'Slides under the roof', tilts: false, slides: true, slidesOver: false },
  outside: { choice: 'Slides over the roof', tilts: false, slides: true, slidesOver: true },
  tilts: { choice: 'Tilts', tilts: true, slides: false, slidesOver: false },
  tiltsAndSlides: { choice: 'Tilts and slides', tilts: true, slides: true, slidesOver: true },
} as const satisfies Record<
  string,
  {
    readonly choice: string
    readonly tilts: boolean
    readonly slides: boolean
    readonly slidesOver: boolean
  }
>

/** What a pane does; of one of which nobody has said it, all that panes do. */
export const paneMoves = ({ moves }: { readonly moves?: keyof typeof PANE_MOVES | undefined }) =>
  PANE_MOVES[moves ?? 'tiltsAndSlides']

/** Things on the vehicle that the load may meet. */
export const OBSTACLES = {
  hatch: { choice: 'Hatch', opens: 'up', shape: swings },
  tailgate: { choice: 'Tailgate that folds down', opens: 'down', shape: swings },
  sunroof: {
    choice: 'Sunroof',
    opens: 'pane',
    shape: {
      openingMm: alongSchema,
      widthMm: spanMm,
      tiltRiseMm: z.optional(sizeMm),
      slidesOutside: z.optional(z.strictObject({ travelMm: sizeMm, riseMm: sizeMm })),
      /** How it moves, where somebody has said: one that stays shut or slides under the roof meets nothing over it. */
      moves: z.optional(z.enum(kindsOf(PANE_MOVES))),
    },
  },
  antenna: {
    choice: 'Antenna',
    opens: undefined,
    shape: {
      xMm: positionMm,
      yMm: positionMm,
      heightMm: spanMm,
      form: z.enum(kindsOf(ANTENNA_FORMS)),
    },
  },
  spoiler: {
    choice: 'Spoiler on the hatch',
    opens: undefined,
    shape: { fromXMm: positionMm, toXMm: positionMm, topZMm: spanMm },
  },
  inBed: {
    choice: 'Something in the bed: a tool box, a spare wheel',
    opens: undefined,
    shape: { fromXMm: positionMm, toXMm: positionMm, halfWidthMm: spanMm, topZMm: spanMm },
  },
  doorEdge: {
    choice: 'Door edge, for heads',
    opens: undefined,
    shape: { halfWidthMm: spanMm, headZMm: spanMm },
  },
} as const satisfies Record<string, ObstacleTraits>
export type ObstacleKind = keyof typeof OBSTACLES
