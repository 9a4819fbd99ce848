'use client'
import { STATES, type Survey } from '@/core'
import { useEffect, useEffectEvent, type RefObject } from 'react'
import { useUnits } from '@/ui/state/settings-store'
import type { DialogName } from './bench-actions'
import { nudge, setOnEdge, turnOn } from './edits'
import { usePlan } from '@/ui/state/plan-store'
import { useZoom } from '@/ui/drawing/zoom-store'

const ARROWS: Readonly<Record<string, readonly [along: number, across: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}

function typing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest('input, select, textarea, dialog') !== null
}

/** Moves the focus to the finding after the one that has it. */
function nextFinding(): void {
  const rows = [...document.querySelectorAll<HTMLElement>('[data-finding], [data-finding-group]')]
  const now = rows.findIndex((row) => row === document.activeElement || row.contains(document.activeElement))
  rows[(now + 1) % Math.max(rows.length, 1)]?.focus()
}

/** The bench's keys, wherever the focus is but in a field or a dialog. */
export function useBenchKeys(
  survey: Survey,
  search: RefObject<HTMLInputElement | null>,
  show: (dialog: DialogName) => void,
): void {
  const units = useUnits()
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const { undo, redo, showState, picked, pick, run } = usePlan.getState()
    const held = event.ctrlKey || event.metaKey
    if (held && event.key.toLowerCase() === 'k') {
      event.preventDefault()
      show('palette')
      return
    }
    if (typing(event.target)) return
    if (held && event.key.toLowerCase() === 'z') {
      event.preventDefault()
      if (event.shiftKey) redo()
      else undo()
      return
    }
    if (held && event.key.toLowerCase() === 'y') {
      event.preventDefault()
      redo()
      return
    }
    if (held || event.altKey) return
    const thing = picked?.kind === 'thing' ? survey.thingById.get(picked.id) : undefined
    const arrow = ARROWS[event.key]
    if (arrow && picked) {
      event.preventDefault()
      nudge(survey, picked, arrow[0], arrow[1], event.shiftKey, units)
      return
    }
    switch (event.key) {
      case '/':
        event.preventDefault()
        search.current?.focus()
        return
      case '1':
      case '2':
      case '3': {
        const state = STATES[Number(event.key) - 1]
        if (state) showState(state)
        return
      }
      case 'r':
      case 'R':
        if (thing) turnOn(thing)
        return
      case 'e':
      case 'E':
        if (thing) setOnEdge(thing)
        return
      case 'Delete':
      case 'Backspace':
        if (thing) run({ do: 'takeOff', placementId: thing.placement.id })
        return
      case 'f':
      case 'F':
        event.preventDefault()
        nextFinding()
        return
      case '+':
      case '=':
        useZoom.getState().by(survey, 1.4)
        return
      case '-':
        useZoom.getState().by(survey, 1 / 1.4)
        return
      case '0':
        useZoom.getState().whole()
        return
      case '?':
        show('keys')
        return
      case 'Escape':
        pick(undefined)
        return
      default:
    }
  })
  useEffect(() => {
    window.addEventListener('keydown', onKey)
    return () => {
      window.removeEventListener('keydown', onKey)
    }
  }, [])
}
