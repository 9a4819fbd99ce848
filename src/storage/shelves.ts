type Forage = Pick<
  LocalForageDbMethodsCore,
  'getItem' | 'setItem' | 'removeItem' | 'clear' | 'length' | 'keys' | 'iterate'
>

/** Every shelf there is: all are made when the first one is asked for, one after the other. */
const NAMES = [
  'plans',
  'stock',
  'settings',
  'log',
  'pictures',
  'revisions',
  'history',
  'removed',
  'glances',
  'browser',
] as const
type Name = (typeof NAMES)[number]

let opening: Promise<ReadonlyMap<Name, Forage>> | undefined

/**
 * Opens the shelves. Two that are made at once, or one that is made while another is opened again, get in each
 * other's way: so they are made in turn, and none later.
 */
async function made(): Promise<ReadonlyMap<Name, Forage>> {
  const { default: forage } = await import('localforage')
  const shelves = new Map<Name, Forage>()
  for (const storeName of NAMES) {
    const shelf = forage.createInstance({ name: 'ypsos', storeName })
    await shelf.ready()
    shelves.set(storeName, shelf)
  }
  return shelves
}

async function opened(name: Name): Promise<Forage> {
  opening ??= made().catch((error: unknown) => {
    opening = undefined
    throw error
  })
  const shelf = (await opening).get(name)
  if (!shelf) throw new Error(`there is no shelf ${name}`)
  return shelf
}

/** One of the browser's shelves; what opens it is fetched when the first is asked for, beside the page's own start. */
const shelf = (name: Name): Forage & { readonly made: () => Promise<void> } => ({
  made: async () => {
    await opened(name)
  },
  getItem: async (key) => (await opened(name)).getItem(key),
  setItem: async (key, value) => (await opened(name)).setItem(key, value),
  removeItem: async (key) => (await opened(name)).removeItem(key),
  clear: async () => (await opened(name)).clear(),
  length: async () => (await opened(name)).length(),
  keys: async () => (await opened(name)).keys(),
  iterate: async (each) => (await opened(name)).iterate(each),
})

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
/** What was taken away or put over, for thirty days at least. */
export const removedShelf = shelf('removed')

/** What a board says of each job, worked out from what is on the other shelves: it may go at any time. */
export const summaryShelf = shelf('glances')

/**
 * What is this browser's alone and in no backup: where backups go, when the last one was made, and what was gathered from
 * all jobs and all logs, which may go at any time.
 */
export const browserShelf = shelf('browser')

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

export type SaveResult = { readonly ok: true } | { readonly ok: false; readonly reason: string }

/** Why a write failed, in words a person can act on. */
export function whyNotSaved(error: unknown): string {
  const name = error instanceof Error ? error.name : ''
  if (name === 'QuotaExceededError') return "This browser's storage is full."
  if (name === 'SecurityError' || name === 'InvalidStateError')
    return 'This browser does not let the page store anything (a private window, or storage is blocked).'
  return `This browser could not store it${error instanceof Error && error.message !== '' ? ` (${error.message})` : ''}.`
}
