import * as z from '../../units/schema'

/** How long work takes, from the quickest to the slowest. Minutes. */
export const minutesSchema = z
  .strictObject({
    from: z.number().check(z.gte(0), z.lte(2000)),
    to: z.number().check(z.gte(0), z.lte(2000)),
  })
  .check(z.refine(({ from, to }) => from <= to, 'The range ends before it begins.'))
export type Minutes = z.infer<typeof minutesSchema>
