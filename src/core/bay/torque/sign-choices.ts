import { pullKey, signKey, type BayProgress } from '../../log/record'
import { lastPass } from '../step-findings'
import type { JointGroup } from '../steps/step'
import type { Joint } from './joint'

/** What may be seen at a place of a joint beside what its sheet wants there: fewer clicks, or that it is not right. */
export function wrongSigns({ signs }: Joint): readonly string[] {
  return signs.flatMap((sign): string[] => {
    switch (sign.kind) {
      case 'reading':
        return []
      case 'handle':
        return ['the handle has not straightened']
      case 'notch':
        return ['the notch is not in line']
      case 'washerClosed':
        return ['the washer is not closed']
      case 'threads':
        return [`fewer than ${sign.showing} threads show`]
      case 'words':
        return [`not so: ${sign.words}`]
      case 'clicks':
        return Array.from({ length: sign.count }, (_, i) => `${sign.count - 1 - i} of ${sign.count} clicks`)
    }
  })
}

/** How the sign of a joint stands at one place; nothing until somebody has looked, or where its sheet names none. */
export type SignState = { readonly is: 'seen' } | { readonly is: 'wrong'; readonly seen: string }

export function signAt(
  { joint, pulls }: JointGroup,
  spot: string,
  progress: BayProgress,
): SignState | undefined {
  if (joint.signs.every(({ kind }) => kind === 'reading')) return undefined
  const place = signKey(joint.id, spot)
  const seen = progress.wrong.get(place)
  if (seen !== undefined) return { is: 'wrong', seen }
  const last = progress.torqued.get(pullKey(joint.id, spot, lastPass({ pulls })))
  return progress.signs.has(place) || (last !== undefined && last.nm === undefined)
    ? { is: 'seen' }
    : undefined
}

/** Of how many places of a joint all is there that its sheet wants: its last pull, and its sign. */
export function placesSeen(
  group: JointGroup,
  progress: BayProgress,
): { readonly seen: number; readonly of: number } {
  const { joint, spots, pulls } = group
  const asksSign = joint.signs.some(({ kind }) => kind !== 'reading')
  const seen = spots.filter(
    (spot) =>
      progress.torqued.has(pullKey(joint.id, spot, lastPass({ pulls }))) &&
      (!asksSign || signAt(group, spot, progress)?.is === 'seen'),
  ).length
  return { seen, of: spots.length }
}
