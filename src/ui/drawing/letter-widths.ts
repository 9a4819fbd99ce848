/** Letters of the sheet's face by what they take, in 1/24 of the size of the letters; measured at its heaviest. */
const TAKES: readonly (readonly [number, string])[] = [
  [4, ' `'],
  [6, "!',./Iijl|\\"],
  [8, '()-:;[]frt·'],
  [10, '"*{}–°'],
  [12, '$JL_acdegkmnsuvxyzé'],
  [16, '&ABHKNRUXY'],
  [18, 'GOQw'],
  [20, 'Mm'],
  [22, '%@W'],
]
const OTHERS = 14

const BY_LETTER = new Map(
  TAKES.flatMap(([takes, letters]) => Array.from(letters, (each) => [each, takes] as const)),
)

/** What a text takes on the sheet, px, in letters of the given px: never less than what is drawn. */
export function textWidth(text: string, sizePx: number): number {
  let takes = 0
  for (const letter of text) takes += BY_LETTER.get(letter) ?? OTHERS
  return (takes / 24) * sizePx
}
