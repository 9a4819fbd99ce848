'use client'
import { FIT_KEYS } from '@/ui/job/actions'
import { usePageKeys } from '@/ui/kit/use-page-keys'

const TYPES = new Set(['INPUT', 'TEXTAREA', 'SELECT'])
const PRESSES = new Set(['BUTTON', 'A', 'SUMMARY'])

/**
 * Keys of a foot switch and of a keyboard with dirty gloves: space, right arrow or page down for done, left arrow or
 * page up for back. While something is typed they stay with the field; a button in focus keeps its space.
 */
export function useFitKeys(done: () => void, back: () => void): void {
  usePageKeys((event) => {
    const tag = event.target instanceof HTMLElement ? event.target.tagName : ''
    if (event.ctrlKey || event.metaKey || event.altKey || TYPES.has(tag)) return
    if (document.querySelector('dialog[open]')) return
    const on = (keys: readonly string[]) => keys.includes(event.key)
    const forward = on(FIT_KEYS.done.on) && !(event.key === ' ' && PRESSES.has(tag))
    const backward = on(FIT_KEYS.back.on)
    if (!forward && !backward) return
    event.preventDefault()
    if (event.repeat) return
    if (forward) done()
    else back()
  })
}
