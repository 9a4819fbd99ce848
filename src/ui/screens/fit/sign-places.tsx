'use client'
import {
  type BayProgress,
  isClosedBySign,
  type JointGroup,
  lastPass,
  placesSeen,
  seenSigns,
  signAt,
  signWords,
  wrongSigns,
} from '@/core/api/fit'
import type { Plan } from '@/core/api/plan'
import { Choice } from '@/ui/kit/choice'
import { logFor } from '@/ui/state/log-store'
import { seenEvent } from './pull-event'

/**
 * The sign of a joint, place by place: what is not right is chosen first, and the large key confirms the rest by name. Nothing
 * where its sheet names no sign.
 */
export function SignPlaces({
  plan,
  group,
  progress,
}: {
  plan: Plan
  group: JointGroup
  progress: BayProgress
}) {
  const { joint, spots, pulls } = group
  const signs = seenSigns(joint)
  if (signs.length === 0) return null
  const wanted = signs.map(signWords).join(' and ')
  const wrong = wrongSigns(joint)
  const { seen, of } = placesSeen(group, progress)
  const choose = (spot: string, chosen: string) => {
    if (chosen === '') return
    if (chosen !== SEEN) {
      logFor(plan, { kind: 'placeWrong', jointId: joint.id, what: joint.name, spot, seen: chosen })
      return
    }
    const pull = pulls.find(({ at, pass }) => at === spot && pass === lastPass(group))
    // Where there is a figure the sign stands beside the pull, and takes the place of no reading.
    if (pull && isClosedBySign(group)) logFor(plan, seenEvent(joint, pull, 'sign'))
    else logFor(plan, { kind: 'signSeen', jointId: joint.id, what: joint.name, sign: wanted, spots: [spot] })
  }
  return (
    <fieldset className="mt-2">
      <legend className="font-semibold">
        {seen} of {of} places right
      </legend>
      <div className="grid grid-cols-2 gap-2">
        {spots.map((spot) => {
          const now = signAt(group, spot, progress)
          return (
            <Choice
              key={spot}
              label={`Sign at ${spot}`}
              value={now === undefined ? '' : now.is === 'seen' ? SEEN : now.seen}
              unstated="not seen yet"
              options={[[SEEN, wanted], ...wrong.map((each) => [each, each] as const)]}
              onChange={(chosen) => choose(spot, chosen)}
            />
          )
        })}
      </div>
    </fieldset>
  )
}

const SEEN = 'seen'
