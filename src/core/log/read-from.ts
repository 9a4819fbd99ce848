import * as z from '../units/schema'
import { positionMm } from '../units/scalars'

/**
 * What a bar's place is read from where that is not the windscreen's upper edge: the roof's rear edge, the mark that the
 * rack's sheet names, or a mark so far behind the windscreen's upper edge. mm
 */
const edgeSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('rear') }),
  z.strictObject({ is: z.literal('sheet') }),
  z.strictObject({ is: z.literal('mark'), xMm: positionMm }),
])

/** What a tape was read from, where it was not its usual mark; and what it shows there instead of nought, mm. */
export const readFromSchema = z.strictObject({
  edge: z.optional(edgeSchema),
  zeroMm: z.optional(positionMm),
})
export type ReadFrom = z.infer<typeof readFromSchema>

function edgeWords(edge: NonNullable<ReadFrom['edge']>, length: (mm: number) => string): string {
  switch (edge.is) {
    case 'rear':
      return 'from the roof’s rear edge'
    case 'sheet':
      return 'from the mark that its sheet names'
    case 'mark':
      return `from a mark at ${length(edge.xMm)}`
  }
}

/** Where a tape was read from, in words; nothing where it was its usual mark. */
export const readFromWords = (from: ReadFrom | undefined, length: (mm: number) => string): string => {
  const edge = from?.edge === undefined ? [] : [edgeWords(from.edge, length)]
  const zero =
    from?.zeroMm === undefined
      ? []
      : [from.zeroMm === 0 ? 'with the tape’s zero there' : `tape’s zero at ${length(from.zeroMm)}`]
  return [...edge, ...zero].join(', ')
}
