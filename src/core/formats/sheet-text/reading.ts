import type { State } from '../../units/scalars'

/** What a pasted sheet was read to say: each with the words it was read from. Masses kg, lengths mm, torques N·m, speeds km/h. */
export type SheetReading =
  | {
      readonly what: 'limit'
      readonly kg: number
      readonly state: State
      readonly per: 'set' | 'each'
      /** What the figure counts, where the text says it. */
      readonly counts?: 'everything' | 'load'
      readonly words: string
    }
  | { readonly what: 'weight'; readonly kg: number; readonly words: string }
  | { readonly what: 'spread'; readonly fromMm: number; readonly toMm: number; readonly words: string }
  | { readonly what: 'torque'; readonly fromNm: number; readonly toNm: number; readonly words: string }
  | { readonly what: 'length' | 'width' | 'height'; readonly mm: number; readonly words: string }
  | { readonly what: 'speed'; readonly kmH: number; readonly words: string }
  | { readonly what: 'page'; readonly page: string; readonly words: string }
  | { readonly what: 'day'; readonly on: string; readonly words: string }
