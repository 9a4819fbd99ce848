import { boatAndBox } from '@/demo/plans'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { assessmentOf } from '@/ui/state/assessment'
import { planStore } from '@/ui/state/plan-store'
import { HandDrag } from './hand-drag'

const BOX = 'long-box'

/** A part of the drawing that keeps how far it was moved. */
function drawnPart(thing: string) {
  const moved = new Map<string, string>()
  return {
    dataset: { thing },
    moved,
    getAttribute: (name: string) => moved.get(name) ?? null,
    setAttribute: (name: string, value: string) => moved.set(name, value),
    removeAttribute: (name: string) => moved.delete(name),
  }
}

/** The drawing as the drag asks it: by view, for all that stands in it. */
function playedDrawing(parts: readonly ReturnType<typeof drawnPart>[]): SVGSVGElement {
  return {
    querySelectorAll: (like: string) => (like.startsWith('[data-seen=plan]') ? parts : []),
  } as unknown as SVGSVGElement
}

const xOf = () => planStore.getState().plan?.placements.find(({ id }) => id === BOX)?.xMm ?? Number.NaN

function grabbed() {
  const { survey } = assessmentOf(boatAndBox)
  const [box, boat] = [drawnPart(BOX), drawnPart('sea-boat')]
  const drag = HandDrag.of({
    picked: { kind: 'thing', id: BOX },
    view: 'plan',
    left: 0,
    top: 0,
    survey,
    svg: playedDrawing([box, boat]),
  })
  if (!drag) throw new Error('The box is not on the plan.')
  const to = (right: number) => drag.follow({ clientX: right, clientY: 0, altKey: true }, 1)
  const draw = () => drag.drawn(planStore.getState().plan ?? boatAndBox)
  return { drag, to, draw, box, boat }
}

describe('a thing in a hand', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    planStore.setState({ plan: boatAndBox, past: [], future: [], dragFrom: undefined, pausedAt: undefined })
  })
  afterEach(() => {
    planStore.setState({ plan: undefined, past: [], future: [], dragFrom: undefined, pausedAt: undefined })
    vi.useRealTimers()
  })

  it('is asked to be drawn at the first move, and follows by itself until it is', () => {
    const start = xOf()
    const { to, draw, box, boat } = grabbed()
    to(40)
    expect(xOf()).toBe(start + 40)
    expect(box.moved.get('transform')).toBe('translate(40 0)')
    to(70)
    expect(xOf()).toBe(start + 40)
    expect(box.moved.get('transform')).toBe('translate(70 0)')
    draw()
    expect(box.moved.get('transform')).toBe('translate(30 0)')
    expect(boat.moved.size).toBe(0)
    vi.advanceTimersByTime(110)
    expect(xOf()).toBe(start + 70)
    draw()
    expect(box.moved.get('transform')).toBe('translate(0 0)')
  })

  it('is not asked for again before it is drawn, and then has as long a rest', () => {
    const start = xOf()
    const { to, draw } = grabbed()
    to(40)
    to(70)
    vi.advanceTimersByTime(120)
    expect(xOf()).toBe(start + 40)
    draw()
    vi.advanceTimersByTime(110)
    expect(xOf()).toBe(start + 40)
    vi.advanceTimersByTime(20)
    expect(xOf()).toBe(start + 70)
  })

  it('has no rest where only the drawing follows, as for a bar', () => {
    const { survey } = assessmentOf(boatAndBox)
    const { bar } = survey.bars[0]!
    const drag = HandDrag.of({
      picked: { kind: 'bar', id: bar.id },
      view: 'side',
      left: 0,
      top: 0,
      survey,
      svg: playedDrawing([]),
    })
    const xNow = () => {
      const { plan } = planStore.getState()
      return plan && assessmentOf(plan).survey.bars.find((each) => each.bar.id === bar.id)?.bar.xMm
    }
    const follow = (right: number) => drag?.follow({ clientX: right, clientY: 0, altKey: true }, 1)
    follow(40)
    follow(80)
    expect(xNow()).toBe(bar.xMm + 40)
    drag?.drawn(planStore.getState().plan!)
    expect(xNow()).toBe(bar.xMm + 80)
  })

  it('lets what is round the drawing follow when it pauses, not while it moves', () => {
    const start = xOf()
    const pausedX = () =>
      planStore.getState().pausedAt?.placements.find(({ id }) => id === BOX)?.xMm ?? Number.NaN
    const { drag, to, draw } = grabbed()
    for (let i = 0; i < 10; i += 1) {
      to(40 + i)
      draw()
      vi.advanceTimersByTime(120)
    }
    expect(planStore.getState().pausedAt).toBeUndefined()
    vi.advanceTimersByTime(300)
    expect(pausedX()).toBe(start + 49)
    drag.release()
    planStore.getState().drop()
    expect(planStore.getState().pausedAt).toBeUndefined()
  })

  it('is not moved by a drawing of something else', () => {
    const { drag, to, box } = grabbed()
    to(40)
    drag.drawn(boatAndBox)
    expect(box.moved.get('transform')).toBe('translate(40 0)')
  })

  it('is let go where the hand has it, as one step', () => {
    const start = xOf()
    const { drag, to, box } = grabbed()
    to(40)
    to(90)
    drag.release()
    expect(box.moved.size).toBe(0)
    planStore.getState().drop()
    expect(xOf()).toBe(start + 90)
    expect(planStore.getState().past).toHaveLength(1)
    planStore.getState().undo()
    expect(xOf()).toBe(start)
  })

  it('stays where it is while the hand only trembles', () => {
    const { to } = grabbed()
    to(2)
    expect(planStore.getState().dragFrom).toBeUndefined()
  })

  it('is nothing where the plan has it no more', () => {
    const { survey } = assessmentOf(boatAndBox)
    const at = { view: 'plan', left: 0, top: 0, survey, svg: null } as const
    expect(HandDrag.of({ ...at, picked: { kind: 'thing', id: 'gone' } })).toBeUndefined()
    expect(HandDrag.of({ ...at, picked: { kind: 'bar', id: 'gone' } })).toBeUndefined()
  })
})
