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

/** Whether the legs stand alike, as far as they were taped. */
export function level(pair: PlannedPair, middles: Middles): JudgedReading[] {
  const legs = read(middles, 'leg')
  if (legs.length < 2) return []
  const { middleMm, scatterMm } = readingsSummary(legs.map(({ value }) => value))
  const worst = legs.reduce((so, each) =>
    Math.abs(each.value - middleMm) > Math.abs(so.value - middleMm) ? each : so,
  )
  const bad = scatterMm > pair.legsToleranceMm
  const by = worst.value - middleMm
  const all = legs.length === CORNERS.length
  const lacking = `${CORNERS.length - legs.length} of the legs are not read`
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

/** The towers that stand on another mark than their bar's row of the fit sheet names. */
function offMark({ front, rear }: PlannedPair, towers: ReturnType<typeof read>): JudgedReading[] {
  const wanted = (corner: string) => (corner.endsWith('F') ? front.mark : rear.mark)
  const off = towers.filter(({ corner, value }) => Number(wanted(corner)) !== value)
  const say = (each: typeof towers) =>
    each.map(({ corner, value }) => `${corner} on ${value}, wanted ${wanted(corner) ?? ''}`).join('; ')
  return [
    {
      what: 'marks',
      severity: off.length > 0 ? 'stop' : 'clear',
      say: [
        off.length > 0
          ? `The towers stand on other marks than the fit sheet’s: ${say(off)}.`
          : `${towers.length === CORNERS.length ? 'All four towers' : `The ${towers.length} towers read so far`} stand on the fit sheet’s marks.`,
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
  if (named && towers.length > 0) return offMark(pair, towers)
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
