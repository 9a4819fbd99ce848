/** Paper, with the margin that any printer leaves. mm. */
export const PAPER = {
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
} as const
export type Paper = keyof typeof PAPER
export const MARGIN_MM = 13

/** The placard for the dash or the inside of the fuel flap. mm. */
export const PLACARD = { widthMm: 100, heightMm: 58 } as const

const SCALES = [10, 20, 25, 30, 40, 50, 75, 100] as const

/** The largest usual scale (1 to so many) at which a length fits a width on paper, both mm. */
export function scaleFor(lengthMm: number, paperMm: number): number {
  return SCALES.find((each) => lengthMm / each <= paperMm) ?? Math.ceil(lengthMm / paperMm)
}
