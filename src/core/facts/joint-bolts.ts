import type { Fastener } from '../plan/schema/fastening'
import type { Part, Rack } from '../plan/schema/rack'
import { boltNeed } from '../survey/mounting/bolt'
import type { Survey } from '../survey/survey'
import { atLeast, type Compared } from './comparison'

/** A joint of a rack's part whose stack is known: what its bolt must be, against the bolt of the sheet. mm */
interface JointBolt {
  readonly rack: Rack
  readonly part: Part
  readonly joint: Fastener
  readonly index: number
  /** Where the joint stands among the rack's parts, as a path of its sheet. */
  readonly at: string
  readonly neededMm: number
  /** The next standard length up; nothing where none is long enough. */
  readonly standardMm: number | undefined
  /** Nothing where nobody said how long the bolt is. */
  readonly compared: Compared | undefined
}

/** What has no nut of its own on the far side: how deep it must go in there, no stack says. */
const INTO_THREADS = new Set<Fastener['nut']>(['none', 'channel'])

/** Every joint of the racks that a nut closes, whose stack is known and whose thread is in the table. */
export const jointBoltsOf = ({ racks }: Survey): readonly JointBolt[] =>
  racks.flatMap(({ rack }) =>
    rack.parts.flatMap((part, i) =>
      (part.fasteners ?? []).flatMap((joint, index): JointBolt[] => {
        const { thread, stackMm, nutMm, nut, washers, lengthMm } = joint
        const need =
          stackMm === undefined || INTO_THREADS.has(nut)
            ? undefined
            : boltNeed(thread.trim().toUpperCase(), stackMm, { nutMm, washers: washers?.length ?? 1 })
        if (!need) return []
        const { neededMm, standardMm } = need
        const compared = lengthMm === undefined ? undefined : atLeast(lengthMm, neededMm, 'part')
        return [
          {
            rack,
            part,
            joint,
            index,
            at: `parts.${i}.fasteners.${index}`,
            neededMm,
            standardMm,
            compared,
          },
        ]
      }),
    ),
  )
