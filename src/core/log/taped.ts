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

export const TAPED_NAME: Readonly<Record<Taped, string>> = {
  spreadLeft: 'Spread, left',
  spreadRight: 'Spread, right',
  diagonalLeft: 'Diagonal, LHF to RHR',
  diagonalRight: 'Diagonal, RHF to LHR',
  frontAcross: 'Front bar, foot to foot',
  rearAcross: 'Rear bar, foot to foot',
  frontOverLeft: 'Front bar, overhang left',
  frontOverRight: 'Front bar, overhang right',
  rearOverLeft: 'Rear bar, overhang left',
  rearOverRight: 'Rear bar, overhang right',
  legLF: 'Leg height, LHF',
  legRF: 'Leg height, RHF',
  legLR: 'Leg height, LHR',
  legRR: 'Leg height, RHR',
  markLF: 'Tower mark, LHF',
  markRF: 'Tower mark, RHF',
  markLR: 'Tower mark, LHR',
  markRR: 'Tower mark, RHR',
}

/** Whether a reading is the number of a mark and no length. */
export const isMark = (taped: Taped): boolean => taped.startsWith('mark')
