/** The one of a list with the most of something, the first of equals; nothing of an empty list. */
export function mostBy<T>(list: readonly T[], by: (each: T) => number): T | undefined {
  let [best] = list
  if (best === undefined) return undefined
  let most = by(best)
  for (const each of list) {
    const value = by(each)
    if (value > most) {
      best = each
      most = value
    }
  }
  return best
}

/** The one of a list with the least of something, the first of equals; nothing of an empty list. */
export const leastBy = <T>(list: readonly T[], by: (each: T) => number): T | undefined =>
  mostBy(list, (each) => -by(each))

/** Whether a list holds more than one. */
export const moreThanOne = (list: readonly unknown[]): boolean => list.length > 1

/** Whether a list holds anything. */
export const any = (list: readonly unknown[]): boolean => list.length > 0
