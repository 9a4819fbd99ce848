/** Draws whole numbers from 0 to under a count, the same for the same seed. */
export function drawing(seed: number): (count: number) => number {
  let state = seed
  return (count) => {
    state = (state * 1_103_515_245 + 12_345) % 2 ** 31
    return Math.floor((state / 2 ** 31) * count)
  }
}
