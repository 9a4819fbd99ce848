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
  return { drag, to, box, boat }
}

describe('a thing in a hand', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    // A frame takes no time here: how long a drawing takes is a matter of the machine.
    vi.stubGlobal('requestAnimationFrame', (drawn: () => void) => setTimeout(drawn))
    planStore.setState({ plan: boatAndBox, past: [], future: [], dragFrom: undefined })
  })
  afterEach(() => {
    planStore.setState({ plan: undefined, past: [], future: [], dragFrom: undefined })
    vi.unstubAllGlobals()
    vi.useRealTimers()
  })

  it('is drawn where it is at the first move, and follows by itself until the next drawing', () => {
    const start = xOf()
    const { to, box, boat } = grabbed()
    to(40)
    expect(xOf()).toBe(start + 40)
    expect(box.moved.get('transform')).toBe('translate(0 0)')
    to(70)
    expect(xOf()).toBe(start + 40)
    expect(box.moved.get('transform')).toBe('translate(30 0)')
    expect(boat.moved.size).toBe(0)
    vi.advanceTimersByTime(110)
    expect(xOf()).toBe(start + 70)
    expect(box.moved.get('transform')).toBe('translate(0 0)')
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
