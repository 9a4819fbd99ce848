import type { Finding } from '../../review/finding'
import { newtonMetre, type Phrase } from '../../review/phrase'
import { tableTorqueNm } from './table-torque'
import type { Joint } from './joint'

/** How far a wrench may be off, as a share of its reading. Published: ISO 6789, from memory: 4 % for most hand tools. */
export const WRENCH_SHARE = 0.04

/** What a reading on a joint says: too little, within, or too much. N·m, with the wrench's own roughness allowed on either side. */
export function judgeReading(joint: Joint, nm: number): 'under' | 'within' | 'over' | 'noFigure' {
  const { torque } = joint
  const range =
    torque.kind === 'sheet'
      ? [torque.fromNm, torque.toNm]
      : torque.kind === 'advice'
        ? [torque.nm * 0.9, torque.nm]
        : undefined
  const [from = 0, to = 0] = range ?? []
  if (!range) return 'noFigure'
  if (nm < from * (1 - WRENCH_SHARE)) return 'under'
  return nm > to * (1 + WRENCH_SHARE) ? 'over' : 'within'
}

/** A reading as a finding: over a sheet's figure is Stop, under it is Stop until it is pulled again, against advice it is Mind. */
export function readingFinding(joint: Joint, at: string, nm: number): Finding {
  const verdict = judgeReading(joint, nm)
  const advised = joint.torque.kind === 'advice'
  const wanted: Phrase =
    joint.torque.kind === 'sheet'
      ? joint.torque.fromNm === joint.torque.toNm
        ? [newtonMetre(joint.torque.toNm), ` (${joint.torque.source})`]
        : [
            newtonMetre(joint.torque.fromNm),
            ' to ',
            newtonMetre(joint.torque.toNm),
            ` (${joint.torque.source})`,
          ]
      : joint.torque.kind === 'advice'
        ? [newtonMetre(joint.torque.nm), ', the table’s advice']
        : []
  const sentence: Phrase = {
    under: [`${at}, ${joint.name}: `, newtonMetre(nm), ' is under ', ...wanted, '. Pull it again.'],
    within: [`${at}, ${joint.name}: `, newtonMetre(nm), ' of ', ...wanted, '.'],
    over: [
      `${at}, ${joint.name}: `,
      newtonMetre(nm),
      ' is over ',
      ...wanted,
      '. Loosen it, look at thread and pad for damage, and pull it anew.',
    ],
    noFigure: [
      `${at}, ${joint.name}: `,
      newtonMetre(nm),
      ', and there is no figure to hold it to. Find the maker’s.',
    ],
  }[verdict]
  return {
    id: `reading ${joint.id} ${at}`,
    rule: 'torque-reading',
    severity: verdict === 'within' ? 'clear' : verdict === 'noFigure' ? 'findOut' : advised ? 'mind' : 'stop',
    state: 'all',
    subject: { placementIds: [] },
    measured: newtonMetre(nm),
    sentence,
  }
}

/** What the joint itself leaves open before anything is tightened: no figure, one carried over, or a habit above the table's. */
export function jointFinding(joint: Joint): Finding | undefined {
  const common = {
    id: `joint ${joint.id}`,
    rule: 'torque-figure',
    state: 'all',
    subject: { placementIds: [] },
  } as const
  const { torque, fastener } = joint
  if (torque.kind === 'refused')
    return {
      ...common,
      severity: 'findOut',
      sentence: [
        `${joint.name}: a figure carried over from ${torque.rack} is not taken. Torque never carries over, not even between two racks of one maker; find this part’s own.`,
      ],
    }
  if (torque.kind === 'unknown')
    return {
      ...common,
      severity: 'findOut',
      sentence: [`${joint.name}: no torque is given, and the tables have no ${fastener.thread}.`],
    }
  if (torque.kind === 'feel')
    return {
      ...common,
      severity: 'mind',
      sentence: [
        `${joint.name}: no torque is given; by feel, short lever, rather loose than crushed (house rule).`,
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
        ` is the table’s advice for ${fastener.thread}, ${torque.gradeSaid ? torque.grade : `taken for ${torque.grade}, the weakest`}, K = ${torque.k}${torque.cut ? ', cut to what the part bears' : ''}. Ask for the maker’s.`,
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
          ' is what somebody told, and more than the ',
          newtonMetre(table),
          ` the table gives ${fastener.thread} ${fastener.grade ?? ''}. Ask for the maker’s figure.`,
        ],
      }
  }
  return undefined
}
