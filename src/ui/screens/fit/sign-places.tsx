'use client'
import {
  type BayProgress,
  type JointGroup,
  lastPass,
  placesSeen,
  signAt,
  signWords,
  wantsReadings,
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
  const signs = joint.signs.filter(({ kind }) => kind !== 'reading')
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
    if (wantsReadings(group))
      logFor(plan, { kind: 'signSeen', jointId: joint.id, what: joint.name, sign: wanted, spots: [spot] })
    else if (pull) logFor(plan, seenEvent(joint, pull, 'sign'))
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
