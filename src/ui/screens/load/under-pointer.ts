/** The things of the drawing that lie under a point of the page, the topmost first, by the ids of their placements. */
export function thingsUnder(left: number, top: number): readonly string[] {
  const found = document
    .elementsFromPoint(left, top)
    .flatMap((element) => element.closest<SVGElement>('[data-thing]')?.dataset['thing'] ?? [])
  return [...new Set(found)]
}

/** The one after it of those that lie over each other; nothing where there is no other. */
export const nextOf = (ids: readonly string[], now: string): string | undefined =>
  ids.length < 2 ? undefined : ids[(ids.indexOf(now) + 1) % ids.length]

/** So far a hand may slip between press and release without moving anything, px. */
const SLIP_PX = 4

/** Whether a press was let go where it began. */
export const isStill = (
  from: { readonly clientX: number; readonly clientY: number },
  to: { readonly clientX: number; readonly clientY: number },
): boolean => Math.hypot(to.clientX - from.clientX, to.clientY - from.clientY) < SLIP_PX
