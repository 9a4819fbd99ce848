import type { Taped } from '../../log/taped'
import { readingsSummary } from '../../plan/schema/measurement'
import { mm } from '../../units/phrase'
import type { PlannedPair } from './taped'
import type { JudgedReading, Middles } from './bar-readings'

const CORNERS = [
  ['LF', 'LHF'],
  ['RF', 'RHF'],
  ['LR', 'LHR'],
  ['RR', 'RHR'],
] as const satisfies readonly (readonly [string, string])[]

const read = (middles: Middles, kind: 'leg' | 'mark') =>
  CORNERS.flatMap(([key, corner]) => {
    const value = middles[`${kind}${key}` satisfies Taped]?.mm
    return value === undefined ? [] : [{ corner, value }]
  })

const SIDES = [
  ['front', 'LHF', 'RHF'],
  ['rear', 'LHR', 'RHR'],
] as const

/** Whether each bar is level: its left and its right side, as far as both were read. */
function sides(pair: PlannedPair, heights: ReturnType<typeof read>): JudgedReading[] {
  const at = (corner: string) => heights.find((each) => each.corner === corner)?.value
  return SIDES.flatMap(([which, left, right]): JudgedReading[] => {
    const [l, r] = [at(left), at(right)]
    if (l === undefined || r === undefined) return []
    const off = Math.abs(l - r)
    const low = l < r ? left : right
    const bad = off > pair.legsToleranceMm
    return [
      {
        what: `${which} level`,
        severity: bad ? 'stop' : 'clear',
        measuredMm: off,
        limitMm: pair.legsToleranceMm,
        say: bad
          ? [
              `${pair[which].name}: `,
              mm(off),
              ` low on the ${low === left ? 'left' : 'right'}; `,
              mm(pair.legsToleranceMm),
              ` is allowed. ${pair.onLegs ? `Raise ${low}` : `Raise ${low}, or lift it and seat it again`}.`,
            ]
          : [`${pair[which].name}: level within `, mm(off), '.'],
      },
    ]
  })
}

/** The middle one, so that one leg that is off does not move what the others are held against. */
function medianOf(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b)
  const [lower = 0, upper = 0] = [
    sorted[Math.floor((sorted.length - 1) / 2)],
    sorted[Math.ceil((sorted.length - 1) / 2)],
  ]
  return (lower + upper) / 2
}

/** Whether the legs stand alike, as far as they were taped. */
function legs(pair: PlannedPair, read: readonly { corner: string; value: number }[]): JudgedReading[] {
  if (read.length < 2) return []
  const { scatterMm } = readingsSummary(read.map(({ value }) => value))
  const middleMm = medianOf(read.map(({ value }) => value))
  const worst = read.reduce((so, each) =>
    Math.abs(each.value - middleMm) > Math.abs(so.value - middleMm) ? each : so,
  )
  const bad = scatterMm > pair.legsToleranceMm
  const by = worst.value - middleMm
  const all = read.length === CORNERS.length
  const lacking = `${CORNERS.length - read.length} of the legs are not read`
  return [
    {
      what: 'level',
      severity: bad ? 'stop' : 'clear',
      measuredMm: scatterMm,
      limitMm: pair.legsToleranceMm,
      say: bad
        ? [
            `The legs differ by `,
            mm(scatterMm),
            ...(all
              ? [
                  `: ${by > 0 ? 'lower' : 'raise'} ${worst.corner} by `,
                  mm(Math.abs(by)),
                  '; raising moves a bar inward, so loosen its clamps first.',
                ]
              : [`; ${lacking}: measure them too, to see which one to move.`]),
          ]
        : [
            `${all ? 'All four legs are' : 'The legs read so far are'} alike within `,
            mm(scatterMm),
            all ? '.' : `; ${lacking}.`,
          ],
    },
  ]
}

/** Whether the bars are level side by side, and legs alike. A roof falls from front to rear, so that bars without legs are each judged by themselves. */
export function level(pair: PlannedPair, middles: Middles): JudgedReading[] {
  const heights = read(middles, 'leg')
  const alike = pair.onLegs ? legs(pair, heights) : []
  // Where one leg is named already, its bar’s low side is the same error seen from its other end.
  return alike.some(({ severity }) => severity === 'stop') ? alike : [...alike, ...sides(pair, heights)]
}

/** By how many marks a tower is off. */
const marksOff = (by: number): string =>
  `${Math.abs(by) === 1 ? 'one mark' : `${Math.abs(by)} marks`} ${by < 0 ? 'low' : 'high'}`

/** The towers that stand on another mark than their bar's row of the fit sheet names. */
function offMark(
  wanted: (corner: string) => string | number | undefined,
  whose: string,
  towers: ReturnType<typeof read>,
): JudgedReading[] {
  const off = towers.filter(({ corner, value }) => Number(wanted(corner)) !== value)
  const say = (each: typeof towers) =>
    each
      .map(({ corner, value }) => `${corner} on ${value}, ${marksOff(value - Number(wanted(corner)))}`)
      .join('; ')
  return [
    {
      what: 'marks',
      severity: off.length > 0 ? 'stop' : 'clear',
      say: [
        off.length > 0
          ? `Not on ${whose}: ${say(off)}.`
          : `${towers.length === CORNERS.length ? 'All four towers' : `The ${towers.length} towers read so far`} stand on ${whose}.`,
      ],
    },
  ]
}

/**
 * Whether the towers stand on the marks that the fit sheet names, or where it names none, on one mark: a number that is
 * set and no length, so it is the same or it is not.
 */
export function marked(pair: PlannedPair, middles: Middles): JudgedReading[] {
  const towers = read(middles, 'mark')
  const named = [pair.front.mark, pair.rear.mark].every((mark) => Number.isFinite(Number(mark ?? NaN)))
  if (named && towers.length > 0)
    return offMark(
      (corner) => (corner.endsWith('F') ? pair.front.mark : pair.rear.mark),
      'the fit sheet’s marks',
      towers,
    )
  if (pair.heightMark !== undefined && towers.length > 0)
    return offMark(() => pair.heightMark, `mark ${pair.heightMark}, as planned`, towers)
  if (towers.length < 2) return []
  const count = (value: number) => towers.filter((each) => each.value === value).length
  const usual = towers.reduce((so, each) => (count(each.value) > count(so.value) ? each : so)).value
  const others = towers.filter(({ value }) => value !== usual)
  const even = others.length > 0 && count(usual) === others.length
  const list = (each: typeof towers) => each.map(({ corner, value }) => `${corner} on ${value}`).join(', ')
  return [
    {
      what: 'marks',
      severity: others.length > 0 ? 'stop' : 'clear',
      say: [
        others.length === 0
          ? `${towers.length === CORNERS.length ? 'All four towers' : `The ${towers.length} towers read so far`} stand on mark ${usual}.`
          : even
            ? `The towers stand on different marks: ${list(towers)}. Look up which one is wanted, and set all to it.`
            : `The towers stand on different marks: ${list(others)}, the others on ${usual}. Set them alike.`,
      ],
    },
  ]
}
