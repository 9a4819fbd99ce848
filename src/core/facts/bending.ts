import { isStart } from '../plan/schema/provenance'
import type { Bar } from '../plan/schema/rack'
import { underBarRoom } from '../survey/frame/roof-surface'
import type { BarAt } from '../survey/frame/arrangement'
import type { LoadedBar } from '../survey/statics/bending'
import { STANDARD_GRAVITY } from '../units/dimension'
import type { Survey } from '../survey/survey'
import { mostBy } from '../units/pick'
import { STATES } from '../units/scalars'
import { atLeast, atMost, type Compared } from './comparison'

/** What a bar's stress must stay under, as a part of its yield: a stated factor, no one's figure for this bar. */
export const YIELD_FACTOR = 1.5

/** Two states that bend a bar alike but for rounding: the first is told. N·m */
const TIE_NM = 1e-6

/** How a bar bends in its worst state. */
interface Bending {
  readonly at: BarAt
  readonly worst: LoadedBar
  /** What is left between it, bent, and the roof: 0 at least. mm; nothing where it stands over no roof or nobody knows its section. */
  readonly room: Compared | undefined
  /** Its stress against its yield, and against its yield by the factor. MPa; nothing where one of them is not known. */
  readonly stress: { readonly yield: Compared; readonly guarded: Compared } | undefined
  /** Whether anybody has said what its section is: what a form filled in is nothing to reckon a stress with. */
  readonly sectionStated: boolean
  /** By what part all masses must grow at least until it meets the roof or yields. */
  readonly toStopShare: number
}

/** The longest lever that a bar's loads have: a quarter of its widest bay, or its longest end past a foot. mm */
function longestLever({ bar }: BarAt): number {
  const half = bar.lengthMm / 2
  const feet = bar.feetYMm
  const bays = feet.slice(1).map((y, i) => (y - (feet[i] ?? y)) / 4)
  return Math.max(...bays, half + (feet[0] ?? 0), half - (feet.at(-1) ?? 0))
}

/**
 * How much more may hang on a bar, as a part of all that hangs on it, until it yields: by what all its loads could do at
 * their worst place, as loads to both sides of a foot take from each other.
 */
function shareToYield({ stressMPa, moment, carriesKg, at }: LoadedBar, yieldMPa: number): number {
  if (stressMPa === undefined || moment.nm === 0) return Infinity
  const perNm = stressMPa / Math.abs(moment.nm)
  const allNm = (carriesKg * STANDARD_GRAVITY * longestLever(at)) / 1000
  return (yieldMPa - stressMPa) / Math.max(stressMPa, perNm * allNm)
}

const SECTION = ['widthMm', 'heightMm', 'wallMm'] as const

const sectionStated = (bar: Bar): boolean =>
  (bar.profile.wallMm !== undefined || bar.profile.section !== undefined) &&
  !SECTION.some((key) => isStart(bar, `profile.${key}`))

function bendingOf(survey: Survey, at: BarAt): Bending | undefined {
  const states = STATES.flatMap((state) => survey.statics.bar(at.index, state) ?? [])
  const most = mostBy(states, ({ moment }) => Math.abs(moment.nm))
  const worst = most && states.find(({ moment }) => Math.abs(moment.nm) >= Math.abs(most.moment.nm) - TIE_NM)
  if (!worst || worst.carriesKg <= 0) return undefined
  const { lowest: low, stressMPa } = worst
  const { bar } = at
  const room =
    low && at.onRoof
      ? atLeast(underBarRoom(survey.plan.vehicle, bar.riseMm, bar.xMm, low.yMm) - low.downMm, 0, 'exact')
      : undefined
  const limit = bar.profile.material?.yieldMPa
  const stress =
    stressMPa === undefined || limit === undefined
      ? undefined
      : {
          yield: atMost(stressMPa, limit, 'exact'),
          guarded: atMost(stressMPa, limit / YIELD_FACTOR, 'exact'),
        }
  return {
    at,
    worst,
    room,
    stress,
    sectionStated: sectionStated(bar),
    toStopShare: Math.min(
      limit === undefined ? Infinity : shareToYield(worst, limit),
      room && low ? room.measure / Math.max(low.downMm, 1e-9) : Infinity,
    ),
  }
}

/** Every bar that carries anything. */
export const bendings = (survey: Survey): readonly Bending[] =>
  survey.bars.flatMap((at) => bendingOf(survey, at) ?? [])
