import type { Finding } from '../../review/finding'
import { newtonMetre, torqueRange } from '../../units/phrase'
import type { Joint } from './joint'
import { tableTorqueNm } from './table-torque'

/** What the joint itself leaves open before anything is tightened: no figure, one carried over, or a habit above the table's. */
export function jointFinding(joint: Joint): Finding | undefined {
  const common = {
    id: `joint ${joint.id}`,
    rule: 'torque-figure',
    state: 'all',
    subject: { placementIds: [] },
  } as const
  const { torque, fastener } = joint
  if (torque.kind === 'latch') return undefined
  if (torque.kind === 'refused')
    return {
      ...common,
      severity: 'findOut',
      sentence: [
        `${joint.name}: `,
        ...(fastener.torqueNm ? torqueRange(fastener.torqueNm.from, fastener.torqueNm.to) : ['a figure']),
        ` is carried over from ${torque.rack} and is not used. Torque never carries over, not even between two racks of one maker. Find the figure of this part.`,
      ],
    }
  if (torque.kind === 'unknown')
    return {
      ...common,
      severity: 'findOut',
      sentence: [
        `${joint.name}: no torque is given, and the tables have none for a thread that is ${fastener.thread === 'unsaid' ? 'not said' : fastener.thread}.`,
      ],
    }
  if (torque.kind === 'feel')
    return {
      ...common,
      severity: 'mind',
      sentence: [
        `${joint.name}: no torque is given; by feel, short lever, loose rather than crushed (house rule).`,
      ],
    }
  if (torque.kind === 'advice')
    return {
      ...common,
      severity: 'mind',
      measured: newtonMetre(torque.nm),
      sentence: [
        `${joint.name}: no torque is given. `,
        newtonMetre(torque.nm),
        ` is the table’s advice for ${fastener.thread}, ${torque.gradeStated ? torque.grade : `taken for ${torque.grade}, the weakest`}, K = ${torque.k}${torque.cut ? ', reduced to the limit of the part' : ''}. Ask for the maker’s.`,
      ],
    }
  if (fastener.torqueFrom?.kind === 'told') {
    const table =
      fastener.grade && tableTorqueNm(fastener.thread, fastener.grade, fastener.condition ?? 'dry')
    if (table !== undefined && torque.toNm > table)
      return {
        ...common,
        severity: 'mind',
        measured: newtonMetre(torque.toNm),
        limit: newtonMetre(table),
        sentence: [
          `${joint.name}: `,
          newtonMetre(torque.toNm),
          ' was only told, and is more than the ',
          newtonMetre(table),
          ` the table gives ${fastener.thread} ${fastener.grade ?? ''}. Ask for the maker’s figure.`,
        ],
      }
  }
  return undefined
}
