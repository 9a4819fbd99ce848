import { planStore } from './plan-store'

/**
 * Does the work at once, or, while something is dragged, when it is let go: what comes from elsewhere may not stop a
 * hand. What is given back calls it off.
 */
export function whenDropped(work: () => void): () => void {
  if (!planStore.getState().dragFrom) {
    work()
    return () => undefined
  }
  const stop = planStore.subscribe(({ dragFrom }) => {
    if (dragFrom) return
    stop()
    work()
  })
  return stop
}
