import type { BarAt, FootAt, RackAt } from '../frame/arrangement'
import { beamReactions, spreadLoad } from '../../geometry/beam'
import { bendingStiffness } from './section'
import { shareAt, supportLines, type ShareLine } from './supports'

/** So much of a mass on the support of that number. */
export type Share = readonly [index: number, fraction: number]

/** Which way a load reaches its rack: over the bars, through the deck, on a side panel, up the ladder. */
export type Via = 'bars' | 'deck' | 'panel' | 'ladder'

/** How a thing stands on a bar it lies across: on so many contacts, or on its whole base. y in mm. */
export type Base =
  | { readonly kind: 'points'; readonly ys: readonly number[] }
  | { readonly kind: 'line'; readonly fromMm: number; readonly toMm: number }

interface FootLine {
  readonly index: number
  readonly share: ShareLine
}

interface BarLine {
  readonly index: number
  readonly rackIndex: number
  /** Its part of the load, over x. */
  readonly share: ShareLine
  /** Of that, each foot's part, over y. */
  readonly feet: readonly FootLine[]
}

/**
 * How a load on one host comes down, for wherever it acts: each bar's part is a line over x, and each foot's part
 * of its bar's a line over y. A panel's feet take theirs over x; a ladder has none.
 */
export interface Influence {
  readonly via: Via
  readonly bars: readonly BarLine[]
  readonly posts: readonly FootLine[]
  readonly rackIndex: number | undefined
  /** How it stands on its bars, where it does. */
  readonly base: Base | undefined
}

export interface Holding {
  readonly via: Via
  readonly feet: readonly Share[]
  readonly bars: readonly Share[]
  readonly racks: readonly Share[]
}

export const NO_INFLUENCE: Influence = {
  via: 'bars',
  bars: [],
  posts: [],
  rackIndex: undefined,
  base: undefined,
}

/** A bar's middle deflects under a middle load by P·s³/48EI: as a support it is as stiff as EI/s³ (a ratio; the 48 is everyone's). */
function barStiffness({ bar }: BarAt): number | undefined {
  const stiffness = bendingStiffness(bar.profile)
  const span = (bar.feetYMm.at(-1) ?? 0) - (bar.feetYMm[0] ?? 0)
  return stiffness !== undefined && span > 0 ? stiffness / span ** 3 : undefined
}

/**
 * What part of a load at y each of a bar's feet takes, as lines over y. Two feet: the lever rule, whatever stands
 * between. More: a beam over its feet, loaded where the thing touches it, or over the thing's base.
 */
export function footLines(feetYMm: readonly number[], base: Base): ShareLine[] {
  if (feetYMm.length < 3) return supportLines(feetYMm)
  if (base.kind === 'line') {
    const middle = (base.fromMm + base.toMm) / 2
    const at = (y: number) => beamReactions(feetYMm, [spreadLoad(base.fromMm, base.toMm, 1, y)])
    const [here, beside] = [at(middle), at(middle + 1)]
    return here.map((share, i) => {
      const perMm = (beside[i] ?? 0) - share
      return { at0: share - perMm * middle, perMm }
    })
  }
  const contacts = supportLines(base.ys)
  const reactions = base.ys.map((atMm) => beamReactions(feetYMm, [{ kind: 'point', atMm, load: 1 }]))
  return feetYMm.map((_, foot) =>
    contacts.reduce<ShareLine>(
      (sum, contact, i) => {
        const part = reactions[i]?.[foot] ?? 0
        return { at0: sum.at0 + part * contact.at0, perMm: sum.perMm + part * contact.perMm }
      },
      { at0: 0, perMm: 0 },
    ),
  )
}

/**
 * A load over bars: rigid on equal supports; where every bar's section is known, on supports as stiff as their
 * bars are in their middles, which matters from three bars on.
 */
export function overBars(bars: readonly BarAt[], feet: readonly FootAt[], base: Base, via: Via): Influence {
  // Two supports share by the lever rule, however stiff.
  const stiff = bars.length > 2 ? bars.map(barStiffness) : []
  const stiffnesses = stiff.length > 0 && stiff.every((each) => each !== undefined) ? stiff : undefined
  const shares = supportLines(
    bars.map(({ bar }) => bar.xMm),
    stiffnesses,
  )
  return {
    via,
    base,
    posts: [],
    rackIndex: undefined,
    bars: bars.map((at, i) => ({
      index: at.index,
      rackIndex: feet[at.feet[0] ?? 0]?.rackIndex ?? 0,
      share: shares[i] ?? { at0: 0, perMm: 0 },
      feet: footLines(at.bar.feetYMm, base).flatMap((share, f) => {
        const index = at.feet[f]
        return index === undefined ? [] : [{ index, share }]
      }),
    })),
  }
}

/** A load on a rack's side panel: on that side's feet. */
export function onSide(rack: RackAt, side: 'left' | 'right'): Influence {
  const feet = rack.feet.filter((foot) => foot.side === side)
  const shares = supportLines(feet.map((foot) => foot.xMm))
  return {
    via: 'panel',
    bars: [],
    base: undefined,
    rackIndex: rack.index,
    posts: feet.map(({ index }, i) => ({ index, share: shares[i] ?? { at0: 0, perMm: 0 } })),
  }
}

/** What each foot, bar and rack takes of a load at a place (mm in the vehicle frame). Fractions; negative is uplift. */
export function holdAt(influence: Influence, at: { readonly x: number; readonly y: number }): Holding {
  const { via, bars, posts, rackIndex } = influence
  const feet: Share[] = posts.map(({ index, share }) => [index, shareAt(share, at.x)])
  const onBars: Share[] = []
  const racks = new Map<number, number>()
  if (rackIndex !== undefined) racks.set(rackIndex, 1)
  for (const bar of bars) {
    const part = shareAt(bar.share, at.x)
    onBars.push([bar.index, part])
    racks.set(bar.rackIndex, (racks.get(bar.rackIndex) ?? 0) + part)
    for (const { index, share } of bar.feet) feet.push([index, part * shareAt(share, at.y)])
  }
  return { via, feet, bars: onBars, racks: [...racks] }
}
