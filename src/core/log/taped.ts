/** What is taped, in mm, and what is only read off a scale of marks on the towers. */
export const TAPED = [
  'spreadLeft',
  'spreadRight',
  'diagonalLeft',
  'diagonalRight',
  'frontAcross',
  'rearAcross',
  'frontOverLeft',
  'frontOverRight',
  'rearOverLeft',
  'rearOverRight',
  'legLF',
  'legRF',
  'legLR',
  'legRR',
  'markLF',
  'markRF',
  'markLR',
  'markRR',
] as const
export type Taped = (typeof TAPED)[number]
export type Readings = Readonly<Partial<Record<Taped, readonly number[]>>>
