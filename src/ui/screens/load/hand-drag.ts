import { type Command, moveBy, type Plan, snapsFor, snapTo, type StartedAt } from '@/core/api/plan'
import type { Survey, ThingAt } from '@/core/api/assess'
import { type Picked, planStore } from '@/ui/state/plan-store'
import { VIEWS, type ViewName } from '@/drawing/layout'

const SNAP_PX = 9
const MOVED_PX = 3
const BAR_STEP_MM = 5
/**
 * The whole drawing is made anew no oftener while a hand moves a thing, and rests after each time as long as it took,
 * however slow the machine. Between, the thing alone follows the hand: that costs next to nothing, and nobody reads
 * figures faster.
 */
const DRAWN_EVERY_MS = 100
const TAKES_WITH_REST = 2

/** A hand that pauses so long reads what is round the drawing. */
const PAUSE_MS = 300

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
  /** Where the hand has it, where the plan has it, and where the drawing has it. */
  #wanted = AT_START
  #planned = AT_START
  #drawn = AT_START
  /** How far the hand had moved it in each plan that was given to be drawn. */
  readonly #movedIn = new WeakMap<Plan, Moved>()
  /** Since when a drawing is on its way. */
  #askedAt: number | undefined
  #nextAt = Number.NEGATIVE_INFINITY
  #timer: ReturnType<typeof setTimeout> | undefined
  #pauseTimer: ReturnType<typeof setTimeout> | undefined
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
    this.#shift()
    this.#drawSoon()
    clearTimeout(this.#pauseTimer)
    this.#pauseTimer = setTimeout(() => this.#pause(), PAUSE_MS)
  }

  #pause() {
    this.draw()
    planStore.getState().pause()
  }

  /** Draws when the last drawing is there and has rested. */
  #drawSoon() {
    if (this.#askedAt !== undefined || isSame(this.#wanted, this.#planned)) return
    const wait = this.#nextAt - performance.now()
    if (wait <= 0) this.draw()
    else this.#timer ??= setTimeout(() => this.draw(), wait)
  }

  /** Has everything drawn anew where the hand has it now. */
  draw() {
    clearTimeout(this.#timer)
    this.#timer = undefined
    if (!isSame(this.#wanted, this.#planned)) {
      const before = planStore.getState().plan
      planStore.getState().drag(this.#command())
      const { plan } = planStore.getState()
      // A refused move leaves the drawing as it was.
      if (plan && plan !== before) {
        this.#planned = this.#wanted
        this.#movedIn.set(plan, this.#wanted)
        this.#askedAt = performance.now()
      }
    }
    this.#shift()
  }

  /** Hears which plan the drawing shows: React draws it piece by piece, while the hand goes on. */
  drawn(plan: Plan) {
    this.#drawn = this.#movedIn.get(plan) ?? this.#drawn
    if (this.#askedAt !== undefined) {
      const took = performance.now() - this.#askedAt
      // Of a bar nothing follows the hand but the drawing: it has no rest.
      const rest = this.#parts.length === 0 ? 0 : Math.max(DRAWN_EVERY_MS, TAKES_WITH_REST * took)
      this.#nextAt = this.#askedAt + rest
      this.#askedAt = undefined
    }
    this.#shift()
    this.#drawSoon()
  }

  /** Draws everything where the hand leaves it. */
  release() {
    clearTimeout(this.#pauseTimer)
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
    for (const [part, view] of this.#parts) {
      const to = `translate(${view === 'rear' ? dy : dx} ${view === 'plan' ? dy : 0})`
      // The same again would be styled and painted again.
      if (part.getAttribute('transform') !== to) part.setAttribute('transform', to)
    }
  }
}
