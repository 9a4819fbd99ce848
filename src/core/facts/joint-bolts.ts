import type { Fastener } from '../plan/fastening'
import type { Part, Rack } from '../plan/rack'
import { boltNeed } from '../survey/mounting/bolt'
import type { Survey } from '../survey/survey'
import { atLeast, type Held } from './comparison'

/** A joint of a rack's part whose stack is known: what its bolt must be, against the bolt of the sheet. mm */
interface JointBolt {
  readonly rack: Rack
  readonly part: Part
  readonly joint: Fastener
  readonly index: number
  readonly neededMm: number
  /** The next standard length up; nothing where none is long enough. */
  readonly standardMm: number | undefined
  /** Nothing where nobody said how long the bolt is. */
  readonly held: Held | undefined
}

/** Every joint of the racks whose stack is known and whose thread is in the table. */
export const jointBoltsOf = ({ racks }: Survey): readonly JointBolt[] =>
  racks.flatMap(({ rack }) =>
    rack.parts.flatMap((part) =>
      (part.fasteners ?? []).flatMap((joint, index): JointBolt[] => {
        const { thread, stackMm, nutMm, washers, lengthMm } = joint
        const need =
          stackMm === undefined
            ? undefined
            : boltNeed(thread.trim().toUpperCase(), stackMm, { nutMm, washers: washers?.length ?? 1 })
        if (!need) return []
        const { neededMm, standardMm } = need
        const held = lengthMm === undefined ? undefined : atLeast(lengthMm, neededMm, 'part')
        return [{ rack, part, joint, index, neededMm, standardMm, held }]
      }),
    ),
  )
