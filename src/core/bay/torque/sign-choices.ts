import { pullKey, signKey, type BayProgress } from '../../log/record'
import { wasOver } from '../step-findings'
import type { JointGroup } from '../steps/step'
import { wantsReadings } from '../wanted'
import { aimNm, seenSigns, type Joint } from './joint'
import { lastPass } from './passes'
import { readingFinding } from './reading'

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
        return [
          ...Array.from(
            { length: sign.count - 1 },
            (_, i) => `${sign.count - 1 - i} of ${sign.count} clicks`,
          ),
          'no click',
        ]
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
  if (seenSigns(joint).length === 0) return undefined
  const place = signKey(joint.id, spot)
  const seen = progress.wrong.get(place)
  if (seen !== undefined) return { is: 'wrong', seen }
  const how = progress.torqued.get(pullKey(joint.id, spot, lastPass({ pulls })))?.how
  // The one press that says so names the sign with its places.
  return progress.signs.has(place) || how === 'click' || how === 'sign' ? { is: 'seen' } : undefined
}

/**
 * Whether all is there at a place of a joint that its sheet wants: its last pull, read where it is to be read and not out of
 * its range, its sign, and a word where it was over.
 */
export function isPlaceRight(group: JointGroup, spot: string, progress: BayProgress): boolean {
  const { joint } = group
  const pulled = progress.torqued.get(pullKey(joint.id, spot, lastPass(group)))
  if (!pulled || (wantsReadings(group) && pulled.nm === undefined)) return false
  const lacksSign = seenSigns(joint).length > 0 && signAt(group, spot, progress)?.is !== 'seen'
  const isOut = pulled.nm !== undefined && readingFinding(joint, spot, pulled.nm).severity === 'stop'
  return !lacksSign && !isOut && wasOver(group, progress).every((each) => each.spot !== spot)
}

/** How many places of a joint are right, of how many. */
export const placesSeen = (
  group: JointGroup,
  progress: BayProgress,
): { readonly seen: number; readonly of: number } => ({
  seen: group.spots.filter((spot) => isPlaceRight(group, spot, progress)).length,
  of: group.spots.length,
})

/** Whether a sign that is seen at a place is all that is done there: a joint without a figure is closed by its sign alone. */
export const isClosedBySign = ({ joint }: JointGroup): boolean =>
  aimNm(joint.torque) === undefined && joint.signs.every(({ kind }) => kind !== 'reading')
