'use client'
import { useLayoutEffect, useRef, type RefObject } from 'react'

type Part = HTMLElement | SVGElement

/** Where a key takes the focus among parts of one kind; nowhere where the key means something else. */
export type RovingStep = (event: KeyboardEvent, all: readonly Part[], at: number) => Part | undefined

const ends = ({ key }: KeyboardEvent, all: readonly Part[]) =>
  key === 'Home' ? all[0] : key === 'End' ? all.at(-1) : undefined

/** Up and down a list, to its first and its last. */
export const alongList: RovingStep = (event, all, at) =>
  event.key === 'ArrowDown' ? all[at + 1] : event.key === 'ArrowUp' ? all[at - 1] : ends(event, all)

/** From cell to cell of a table; a row that has nothing in the column is passed over. */
export const acrossTable: RovingStep = (event, all, at) => {
  const [along, down] =
    event.key === 'ArrowRight'
      ? [1, 0]
      : event.key === 'ArrowLeft'
        ? [-1, 0]
        : event.key === 'ArrowDown'
          ? [0, 1]
          : event.key === 'ArrowUp'
            ? [0, -1]
            : [0, 0]
  if (along === 0 && down === 0) return ends(event, all)
  const now = all[at]
  const [row, cell] = [now?.closest('tr'), now?.closest('td')]
  const beside = along > 0 ? all.slice(at + 1) : all.slice(0, at).toReversed()
  if (along !== 0) return beside.find((each) => each.closest('tr') === row)
  const others = down > 0 ? all.slice(at + 1) : all.slice(0, at).toReversed()
  return others.find(
    (each) => each.closest('tr') !== row && each.closest('td')?.cellIndex === cell?.cellIndex,
  )
}

/** By Page Down and Page Up through what is drawn, for arrows move what is picked; with Shift to the next kind. */
export const byPage: RovingStep = (event, all, at) => {
  const forward = event.key === 'PageDown'
  if (!forward && event.key !== 'PageUp') return ends(event, all)
  const kind = all[at]?.dataset['roving']
  const round = forward
    ? [...all.slice(at + 1), ...all.slice(0, at)]
    : [...all.slice(at + 1), ...all.slice(0, at)].toReversed()
  return event.shiftKey ? round.find((each) => each.dataset['roving'] !== kind) : round[0]
}

/**
 * Makes many like parts one stop of the Tab key: the one that had the focus last, from which keys lead to the others.
 * The parts themselves are drawn with a tabIndex of -1.
 */
export function useRoving(
  box: RefObject<HTMLElement | SVGElement | null>,
  like: string,
  step: RovingStep,
  again: unknown,
): void {
  const stop = useRef<Part>(undefined)
  useLayoutEffect(() => {
    const before = stop.current
    // At every step of a drag this is asked: while the stop is there, the page is neither searched nor written to.
    if (before && box.current?.contains(before) && before.matches(like) && before.tabIndex === 0) return
    const all = [...(box.current?.querySelectorAll<Part>(like) ?? [])]
    const now = all.find((each) => each.checkVisibility()) ?? all[0]
    for (const each of all) each.tabIndex = each === now ? 0 : -1
    stop.current = now
  }, [box, like, again])
  // What has the parts may come later than this does: the page is listened to, not the box.
  useLayoutEffect(() => {
    const at = ({ target }: Event) => {
      const part = target instanceof Element ? target.closest<Part>(like) : null
      return part && box.current?.contains(part) ? part : undefined
    }
    const note = (event: Event) => {
      const now = at(event)
      if (!now || now === stop.current) return
      if (stop.current) stop.current.tabIndex = -1
      now.tabIndex = 0
      stop.current = now
    }
    const press = (event: KeyboardEvent) => {
      const now = at(event)
      if (!now || event.ctrlKey || event.metaKey || event.altKey) return
      const parts = [...(box.current?.querySelectorAll<Part>(like) ?? [])]
      const all = parts.filter((each) => each.checkVisibility())
      const next = step(event, all, all.indexOf(now))
      if (!next) return
      event.preventDefault()
      event.stopPropagation()
      next.focus()
    }
    document.addEventListener('focusin', note)
    document.addEventListener('keydown', press)
    return () => {
      document.removeEventListener('focusin', note)
      document.removeEventListener('keydown', press)
    }
  }, [box, like, step])
}
