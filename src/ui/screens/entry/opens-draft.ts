import { formatPrecise, type Gear, type Opens, type UnitSystem } from '@/core'
import type { DraftReader } from './draft-reader'

/** How a tent opens, as typed. An empty reach: nobody has said yet. */
export interface OpensDraft {
  toward: Opens['toward']
  reach: string
  floor: string
  ladderFrom: string
  ladderTo: string
  ladderOut: string
  coverGap: string
}

export function startingOpens(system: UnitSystem): OpensDraft {
  return {
    toward: 'right',
    reach: '',
    floor: formatPrecise('length', 60, system),
    ladderFrom: '',
    ladderTo: '',
    ladderOut: formatPrecise('length', 350, system),
    coverGap: '',
  }
}

/** How a tent opens, as texts for the form. */
export function opensToDraft(opens: Opens | undefined, system: UnitSystem): OpensDraft {
  const start = startingOpens(system)
  if (!opens) return start
  const mm = (value: number | undefined) =>
    value === undefined ? '' : formatPrecise('length', value, system)
  return {
    toward: opens.toward,
    reach: mm(opens.reachMm),
    floor: mm(opens.floorMm),
    ladderFrom: mm(opens.ladder?.dropMm.fromMm),
    ladderTo: mm(opens.ladder?.dropMm.toMm),
    ladderOut: opens.ladder ? mm(opens.ladder.outMm) : start.ladderOut,
    coverGap: mm(opens.coverGapMm),
  }
}

/** How a tent opens, from the form's texts; nothing while its reach is not said. */
export function readOpens(reader: DraftReader, draft: OpensDraft): Pick<Gear, 'opens'> {
  const reachMm = reader.optional('opens.reach', 'length', draft.reach)
  if (reachMm === undefined) return {}
  const fromMm = reader.optional('opens.ladderFrom', 'length', draft.ladderFrom)
  const toMm = reader.optional('opens.ladderTo', 'length', draft.ladderTo)
  const coverGapMm = reader.optional('opens.coverGap', 'length', draft.coverGap)
  if (fromMm !== undefined && toMm !== undefined && toMm < fromMm)
    reader.fail('opens.ladderTo', 'It must not be less than where it begins.')
  const drop = fromMm ?? toMm
  return {
    opens: {
      toward: draft.toward,
      reachMm,
      floorMm: reader.size('opens.floor', draft.floor, 60),
      ...(drop === undefined
        ? {}
        : {
            ladder: {
              dropMm: { fromMm: fromMm ?? 0, toMm: Math.max(toMm ?? drop, fromMm ?? 0) },
              outMm: reader.size('opens.ladderOut', draft.ladderOut, 350),
            },
          }),
      ...(coverGapMm === undefined ? {} : { coverGapMm }),
    },
  }
}
