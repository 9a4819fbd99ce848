import { type Command, moveBy, snapsFor, snapTo, type StartedAt } from '@/core/api/plan'
import type { Survey, ThingAt } from '@/core/api/assess'
import { type Picked, planStore } from '@/ui/state/plan-store'
import { VIEWS, type ViewName } from '@/drawing/layout'

const SNAP_PX = 9
const MOVED_PX = 3
const BAR_STEP_MM = 5
/**
 * The whole drawing is made anew no oftener while a hand moves a thing, and takes no more than one part in so many of
 * the time, however slow the machine. Between, the thing alone follows the hand: that costs next to nothing, and nobody
 * reads figures faster.
 */
const DRAWN_EVERY_MS = 100
const PART_OF_TIME = 6

/** So far a hand has moved something, along the vehicle and across it. mm. */
interface Moved {
  readonly dx: number
  readonly dy: number
}

const AT_START: Moved = { dx: 0, dy: 0 }

const isSame = (a: Moved, b: Moved) => a.dx === b.dx && a.dy === b.dy

/** Whether this is the thing, or stands on it or in it. */
const isOn = (thing: ThingAt, id: string): boolean =>
  thing.placement.id === id || (thing.parent !== undefined && isOn(thing.parent, id))

/** Where a drag begins. */
interface Grabbed {
  readonly picked: Picked
  readonly view: ViewName
  readonly left: number
  readonly top: number
  readonly survey: Survey
  readonly svg: SVGSVGElement | null
}

/** What a hand holds, from the press to the release. */
export class HandDrag {
  #moved = false
  /** Where the hand has it, and where the drawing has it. */
  #wanted = AT_START
  #drawn = AT_START
  #nextAt = Number.NEGATIVE_INFINITY
  #timer: ReturnType<typeof setTimeout> | undefined
  readonly #from: StartedAt
  readonly #snaps: ReturnType<typeof snapsFor>
  readonly #parts: readonly (readonly [SVGElement, ViewName])[]
  readonly #grabbed: Grabbed

  private constructor(grabbed: Grabbed, from: StartedAt) {
    const { picked, survey, svg } = grabbed
    this.#grabbed = grabbed
    this.#from = from
    this.#snaps = snapsFor(survey, picked.id)
    const moves = new Set(
      survey.things.flatMap((thing) => (isOn(thing, picked.id) ? [thing.placement.id] : [])),
    )
    this.#parts = VIEWS.flatMap((seen) =>
      [...(svg?.querySelectorAll<SVGElement>(`[data-seen=${seen}] [data-thing]`) ?? [])].flatMap((part) =>
        moves.has(part.dataset['thing'] ?? '') ? [[part, seen] as const] : [],
      ),
    )
  }

  /** Takes hold of a thing or a bar; nothing where the survey has it no more. */
  static of(grabbed: Grabbed): HandDrag | undefined {
    const { picked, survey } = grabbed
    if (picked.kind === 'thing') {
      const placement = survey.thingById.get(picked.id)?.placement
      return placement && new HandDrag(grabbed, placement)
    }
    const bar = survey.bars.find((each) => each.bar.id === picked.id)?.bar
    return bar && new HandDrag(grabbed, { xMm: bar.xMm, yMm: 0 })
  }

  /** Follows the hand, in a drawing of so many pixels a mm. With Alt nothing snaps. */
  follow(
    event: { readonly clientX: number; readonly clientY: number; readonly altKey: boolean },
    scale: number,
  ) {
    const { picked, view, left, top, survey } = this.#grabbed
    const right = event.clientX - left
    const down = event.clientY - top
    if (!this.#moved && Math.hypot(right, down) < MOVED_PX) return
    this.#moved = true
    const along = view === 'rear' ? 0 : right / scale
    const across = view === 'rear' ? right / scale : view === 'plan' ? -down / scale : 0
    const reach = event.altKey ? 0 : SNAP_PX / scale
    this.#wanted =
      picked.kind === 'bar'
        ? this.#barMoved(along)
        : this.#thingMoved(survey, picked.id, along, across, reach)
    const wait = this.#nextAt - performance.now()
    if (picked.kind === 'bar' || wait <= 0) this.draw()
    else {
      this.#shift()
      this.#timer ??= setTimeout(() => this.draw(), wait)
    }
  }

  /** Draws everything anew where the hand has it now. */
  draw() {
    clearTimeout(this.#timer)
    this.#timer = undefined
    const began = performance.now()
    this.#nextAt = began + DRAWN_EVERY_MS
    // A task set by the frame runs when the frame is drawn.
    requestAnimationFrame(() =>
      setTimeout(() => {
        const took = performance.now() - began
        this.#nextAt = Math.max(this.#nextAt, began + PART_OF_TIME * took)
      }),
    )
    if (!isSame(this.#wanted, this.#drawn)) {
      const before = planStore.getState().plan
      planStore.getState().drag(this.#command())
      // A refused move leaves the drawing as it was.
      if (planStore.getState().plan !== before) this.#drawn = this.#wanted
    }
    this.#shift()
  }

  /** Draws everything where the hand leaves it. */
  release() {
    this.draw()
    for (const [part] of this.#parts) part.removeAttribute('transform')
  }

  #barMoved(along: number): Moved {
    const { xMm } = this.#from
    return { dx: Math.round((xMm + along) / BAR_STEP_MM) * BAR_STEP_MM - xMm, dy: 0 }
  }

  #thingMoved(survey: Survey, id: string, along: number, across: number, reach: number): Moved {
    const isFree = survey.thingById.get(id)?.parent === undefined
    const settled = (from: number, by: number, places: readonly number[]) => {
      if (by === 0) return 0
      const at = Math.round(from + by)
      return (isFree ? snapTo(at, places, reach) : at) - from
    }
    return {
      dx: settled(this.#from.xMm, along, this.#snaps.xMm),
      dy: settled(this.#from.yMm, across, this.#snaps.yMm),
    }
  }

  #command(): Command {
    const { picked, survey } = this.#grabbed
    const { dx, dy } = this.#wanted
    return picked.kind === 'bar'
      ? { do: 'moveBar', barId: picked.id, xMm: this.#from.xMm + dx }
      : moveBy(survey, picked.id, this.#from, dx, dy)
  }

  /** Moves the thing, and what stands on it, by what the drawing has not drawn yet. */
  #shift() {
    const dx = this.#wanted.dx - this.#drawn.dx
    const dy = this.#wanted.dy - this.#drawn.dy
    for (const [part, view] of this.#parts)
      part.setAttribute('transform', `translate(${view === 'rear' ? dy : dx} ${view === 'plan' ? dy : 0})`)
  }
}
