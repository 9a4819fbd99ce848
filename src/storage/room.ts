/** How much of what this browser gives is taken, and whether it has promised not to clear it by itself. Bytes. */
export interface Room {
  readonly usedBytes: number
  readonly givenBytes: number
  readonly promised: boolean
}

/** From here on the store is said to be nearly full. */
const NEARLY_FULL = 0.8

/** Asks the browser to keep what is stored until a person clears it. What cannot be asked is not promised. */
async function askToStay(): Promise<boolean> {
  try {
    return (await navigator.storage.persisted()) || (await navigator.storage.persist())
  } catch {
    return false
  }
}

/** How much room there is; nothing where the browser does not say. */
export async function roomLeft(): Promise<Room | undefined> {
  const promised = await askToStay()
  try {
    const { usage, quota } = await navigator.storage.estimate()
    return usage === undefined || quota === undefined || quota <= 0
      ? undefined
      : { usedBytes: usage, givenBytes: quota, promised }
  } catch {
    return undefined
  }
}

const inMegabytes = (bytes: number): string =>
  `${new Intl.NumberFormat('en', { maximumFractionDigits: bytes < 10_000_000 ? 1 : 0 }).format(bytes / 1e6)} MB`

/** What is to be said of the room there is, and whether it is running out. */
export function roomWords(room: Room | undefined): { readonly words: string; readonly scarce: boolean } {
  if (!room) return { words: 'This browser does not say how much room there is.', scarce: false }
  const { usedBytes, givenBytes, promised } = room
  const scarce = usedBytes >= givenBytes * NEARLY_FULL
  const taken = `${inMegabytes(usedBytes)} of ${inMegabytes(givenBytes)} are taken.`
  const stays = promised
    ? 'The browser keeps the data until somebody clears it.'
    : 'The browser may clear the data when its disk runs full. Back up often.'
  return {
    words: `${taken} ${scarce ? 'Storage is nearly full. Back up, and remove finished jobs. ' : ''}${stays}`,
    scarce,
  }
}
