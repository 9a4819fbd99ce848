type Forage = Pick<
  LocalForageDbMethodsCore,
  'getItem' | 'setItem' | 'removeItem' | 'clear' | 'length' | 'keys' | 'iterate'
>

/** One of the browser's shelves; what opens it is fetched when it is first asked for, beside the page's own start. */
function shelf(storeName: string): Forage {
  let opening: Promise<Forage> | undefined
  const open = () =>
    (opening ??= import('localforage').then(
      ({ default: forage }) => forage.createInstance({ name: 'ypsos', storeName }),
      (error: unknown) => {
        opening = undefined
        throw error
      },
    ))
  return {
    getItem: async (key) => (await open()).getItem(key),
    setItem: async (key, value) => (await open()).setItem(key, value),
    removeItem: async (key) => (await open()).removeItem(key),
    clear: async () => (await open()).clear(),
    length: async () => (await open()).length(),
    keys: async () => (await open()).keys(),
    iterate: async (each) => (await open()).iterate(each),
  }
}

/** One shelf for plans, one for the shop's own stock, one for settings, one for what happened, one for pictures. */

export const planShelf = shelf('plans')
export const stockShelf = shelf('stock')
export const settingsShelf = shelf('settings')
export const logShelf = shelf('log')
export const pictureShelf = shelf('pictures')
/** Which writing of each record is the last one, beside the record itself: a plan's file holds nothing of this browser. */
export const revisionShelf = shelf('revisions')
/** The steps that lead back from each job as it is kept. */
export const historyShelf = shelf('history')
/** What was taken away or put over, for thirty days. */
export const removedShelf = shelf('removed')

/** What a board says of each job, worked out from what is on the other shelves: it may go at any time. */
export const glanceShelf = shelf('glances')

export type ShelfStore = typeof planShelf
export const ALL_SHELVES = {
  plans: planShelf,
  stock: stockShelf,
  settings: settingsShelf,
  log: logShelf,
  pictures: pictureShelf,
  revisions: revisionShelf,
  removed: removedShelf,
  history: historyShelf,
} as const

export type Kept = { readonly ok: true } | { readonly ok: false; readonly reason: string }

/** Why a write failed, in words a person can act on. */
export function whyNotKept(error: unknown): string {
  const name = error instanceof Error ? error.name : ''
  if (name === 'QuotaExceededError') return "This browser's storage is full."
  if (name === 'SecurityError' || name === 'InvalidStateError')
    return 'This browser does not let the page store anything (a private window, or storage is blocked).'
  return `This browser could not store it${error instanceof Error && error.message !== '' ? ` (${error.message})` : ''}.`
}
