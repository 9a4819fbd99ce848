import type { Plan } from '../plan/schema/plan'
import type { Bar, Rack } from '../plan/schema/rack'
import { type Finding, identityOf, isOpen, type Verdict } from '../review/finding'
import { assess } from '../review/assess'
import type { Phrase } from '../units/phrase'
import type { State } from '../units/scalars'

/** A rack of a job with all its bars of another kind or length, judged with everything that stands on it. */
export interface BarLengthOffer {
  /** The id of the bar in stock; nothing for the bars as they are. */
  readonly stockId: string | undefined
  readonly name: string
  readonly rack: Rack
  readonly lengthMm: number
  readonly usableMm: number
  /** The least that is left of a bar past the middle of its outermost foot, mm; less than nothing where the bar ends before it. */
  readonly pastFootMm: number
  /** The widest thing that would still go over all bars beside what stands there, mm; nothing where that is not asked. */
  readonly widestMm: number | undefined
  readonly states: Readonly<Record<State, Verdict>>
  /** What is gravest with these bars and is not so with those it has. */
  readonly against: Phrase | undefined
  /** Whether its profile is another than the rack's: what clamps on it has to be looked at. */
  readonly otherProfile: boolean
}

const pastFoot = ({ lengthMm, feetYMm }: Bar) => lengthMm / 2 - Math.max(...feetYMm.map(Math.abs))

const sameProfile = (a: Bar['profile'], b: Bar['profile']) =>
  a.kind === b.kind && a.widthMm === b.widthMm && a.heightMm === b.heightMm

type Barred = Extract<Rack, { bars: readonly Bar[] }>

/** What another bar brings along: its own figures, with how each is known and as it was typed. */
const OF_THE_BAR = ['lengthMm', 'usableMm', 'capMm', 'kg', 'profile', 'topMm'] as const
const isOfTheBar = (field: string) => OF_THE_BAR.some((own) => field === own || field.startsWith(`${own}.`))

/** What stays of a bar's marks by field, and what comes with the other's; nothing where none is left. */
function marksOf<T>(
  stays: Readonly<Record<string, T>> | undefined,
  comes: Readonly<Record<string, T>> | undefined,
): Record<string, T> | undefined {
  const left = [
    ...Object.entries(stays ?? {}).filter(([field]) => !isOfTheBar(field)),
    ...Object.entries(comes ?? {}).filter(([field]) => isOfTheBar(field) && field !== 'topMm'),
  ]
  return left.length > 0 ? Object.fromEntries(left) : undefined
}

/** The rack with bars like this one, where its own stand; feet, rise and places stay. */
function withBarsLike(rack: Barred, like: Bar): Barred {
  const { lengthMm, usableMm, capMm, profile, kg } = like
  const bars = rack.bars.map(({ capMm: _cap, kg: _kg, topMm: _top, known, typed, ...bar }) => {
    const [marks, words] = [marksOf(known, like.known), marksOf(typed, like.typed)]
    return {
      ...bar,
      lengthMm,
      usableMm,
      profile,
      ...(capMm !== undefined && { capMm }),
      ...(kg !== undefined && { kg }),
      ...(marks && { known: marks }),
      ...(words && { typed: words }),
    }
  })
  return { ...rack, bars }
}

function assessedOffer(plan: Plan, rack: Barred, bar: Bar, stockId: string | undefined) {
  const { survey, review } = assess({
    ...plan,
    racks: plan.racks.map((each) => (each.id === rack.id ? rack : each)),
  })
  const widths = survey.fit.widths().find((each) => each.rack.rack.id === rack.id)
  const shortest = rack.bars.reduce(
    (so, each) => (pastFoot(each) < pastFoot(so) ? each : so),
    rack.bars[0] ?? bar,
  )
  return {
    offer: {
      stockId,
      name: stockId === undefined ? 'As they are' : bar.name,
      rack,
      lengthMm: bar.lengthMm,
      usableMm: bar.usableMm,
      pastFootMm: pastFoot(shortest),
      widestMm: widths?.widestMm,
      states: review.states,
    },
    open: review.findings.filter((finding) => !finding.aside && isOpen(finding)),
  }
}

/**
 * One rack with bars from stock in place of its own, the bars as they are first: what each length leaves at the feet and
 * in width, and what every check says of it. Nothing where the rack has no bars. Weights of parts stay as they are.
 */
export function barLengthOffers(plan: Plan, rackId: string, bars: readonly Bar[]): readonly BarLengthOffer[] {
  const rack = plan.racks.find(({ id }) => id === rackId)
  if (!rack || rack.kind === 'ladder') return []
  const [first] = rack.bars
  if (!first) return []
  const worn = assessedOffer(plan, rack, first, undefined)
  const key = (finding: Finding) => `${identityOf(finding)} ${finding.severity}`
  const openBefore = new Set(worn.open.map(key))
  const rows = bars.map((bar) => {
    const { offer, open } = assessedOffer(plan, withBarsLike(rack, bar), bar, bar.id)
    return {
      ...offer,
      against: open.find((finding) => !openBefore.has(key(finding)))?.sentence,
      otherProfile: !sameProfile(first.profile, bar.profile),
    }
  })
  return [
    { ...worn.offer, against: undefined, otherProfile: false },
    ...rows.sort((a, b) => a.lengthMm - b.lengthMm || a.name.localeCompare(b.name)),
  ]
}
