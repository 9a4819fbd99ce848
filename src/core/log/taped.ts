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
  'frontAtLeft',
  'frontAtRight',
  'rearAtLeft',
  'rearAtRight',
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
  frontAtLeft: 'Front bar, place on the left',
  frontAtRight: 'Front bar, place on the right',
  rearAtLeft: 'Rear bar, place on the left',
  rearAtRight: 'Rear bar, place on the right',
  legLF: 'Height, LHF',
  legRF: 'Height, RHF',
  legLR: 'Height, LHR',
  legRR: 'Height, RHR',
  markLF: 'Tower mark, LHF',
  markRF: 'Tower mark, RHF',
  markLR: 'Tower mark, LHR',
  markRR: 'Tower mark, RHR',
}

/** Where a bar stands along the vehicle, at its left and right foot. */
export const PLACES = {
  front: ['frontAtLeft', 'frontAtRight'],
  rear: ['rearAtLeft', 'rearAtRight'],
} as const satisfies Record<string, readonly Taped[]>

/** Whether a reading is of a bar's place along the vehicle. */
export const isPlace = (taped: Taped): boolean =>
  Object.values(PLACES).some((names) => names.some((name) => name === taped))

/** Whether a reading is of a bar's height at one of its feet. */
export const isHeight = (taped: Taped): boolean => taped.startsWith('leg')

/** Whether a reading is the number of a mark and no length. */
export const isMark = (taped: Taped): boolean => taped.startsWith('mark')
