import { textWidth } from './letter-widths'

export interface LabelBox {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

export type LabelLook = 'plain' | 'quiet' | 'title' | 'name' | 'letter' | 'small' | 'stop'

/** A place a label may stand, px; with a shorter text where only that has room, with the dimension it is the figure of. */
export interface LabelSpot {
  readonly x: number
  readonly y: number
  readonly anchor: 'start' | 'middle' | 'end'
  readonly text?: string
  readonly line?: { readonly from: number; readonly to: number; readonly y: number }
}

export interface Label {
  readonly key: string
  readonly text: string
  readonly variant: LabelLook
  /** The lower is placed first. */
  readonly rank: number
  /** The best first. */
  readonly spots: readonly LabelSpot[]
  /** What it may not stand out of. */
  readonly inside: LabelBox
}

export interface PlacedLabel {
  readonly key: string
  readonly text: string
  readonly variant: LabelLook
  readonly spot: LabelSpot
  readonly box: LabelBox
}

/** Size of the letters, px. */
export const LABEL_PX: Readonly<Record<LabelLook, number>> = {
  plain: 12,
  quiet: 12,
  title: 12,
  name: 12,
  letter: 13,
  small: 12,
  stop: 12,
}
const WIDER: Readonly<Partial<Record<LabelLook, number>>> = { title: 1.08 }
/** How far letters stand over and under their line, in their size. */
const ASCENT = 0.9
const DESCENT = 0.24
const HEAD_PX = 3

export function boxOf(variant: LabelLook, text: string, { x, y, anchor }: LabelSpot): LabelBox {
  const size = LABEL_PX[variant]
  const width = textWidth(text, size) * (WIDER[variant] ?? 1)
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2
  return { left, right: left + width, top: y - size * ASCENT, bottom: y + size * DESCENT }
}

/** Whether two boxes cover some of the same sheet. */
export const labelsOverlap = (a: LabelBox, b: LabelBox) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom

const holds = (outer: LabelBox, inner: LabelBox) =>
  inner.left >= outer.left &&
  inner.right <= outer.right &&
  inner.top >= outer.top &&
  inner.bottom <= outer.bottom

/**
 * Gives each label the best of its spots that is free, the first in rank first; what finds none is left away.
 * No label stands over another, over a dimension line of another, nor over a mark.
 */
export function placeLabels(
  labels: readonly Label[],
  marks: readonly LabelBox[],
): ReadonlyMap<string, PlacedLabel> {
  const placed = new Map<string, PlacedLabel>()
  const taken = [...marks]
  const isFree = (box: LabelBox) => !taken.some((other) => labelsOverlap(other, box))
  for (const label of labels.toSorted((a, b) => a.rank - b.rank)) {
    for (const spot of label.spots) {
      const text = spot.text ?? label.text
      const box = boxOf(label.variant, text, spot)
      if (!holds(label.inside, box) || !isFree(box)) continue
      placed.set(label.key, { key: label.key, text, variant: label.variant, spot, box })
      taken.push(box)
      if (spot.line) {
        const { from, to, y } = spot.line
        taken.push({
          left: Math.min(from, to),
          right: Math.max(from, to),
          top: y - HEAD_PX,
          bottom: y + HEAD_PX,
        })
      }
      break
    }
  }
  return placed
}

/** Where a word that comes later stands among those that are there: the first of its spots that is free, else its best. */
export function spotAmong(
  variant: LabelLook,
  text: string,
  [best, ...others]: readonly [LabelSpot, ...LabelSpot[]],
  taken: readonly LabelBox[],
): LabelSpot {
  const isFree = (spot: LabelSpot) => !taken.some((box) => labelsOverlap(box, boxOf(variant, text, spot)))
  return [best, ...others].find(isFree) ?? best
}
