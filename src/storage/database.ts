import { retryWaiting } from './waiting'

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

async function shelfNamed(name: Name): Promise<Forage> {
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
    await shelfNamed(name)
  },
  getItem: async (key) => (await shelfNamed(name)).getItem(key),
  setItem: async (key, value) => (await shelfNamed(name)).setItem(key, value),
  removeItem: async (key) => (await shelfNamed(name)).removeItem(key),
  clear: async () => (await shelfNamed(name)).clear(),
  length: async () => (await shelfNamed(name)).length(),
  keys: async () => (await shelfNamed(name)).keys(),
  iterate: async (each) => (await shelfNamed(name)).iterate(each),
})

/** The shelves of the database. */

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

const DATABASE = 'ypsos'
/** A store that does not answer for so long is said not to. ms. */
const PATIENCE_MS = 15_000
/** How far it is, is told after so many writes. */
const TOLD_EVERY = 200

export type ShelfKey = keyof typeof ALL_SHELVES
const READ = { ...ALL_SHELVES, glances: summaryShelf, browser: browserShelf } as const
export type ReadKey = keyof typeof READ

/** What is done to the shelves in one go: all of it stands afterwards, or none. */
export interface Tx {
  /** What is kept under a key now; nothing where there is nothing. */
  readonly get: (shelf: ReadKey, key: string) => Promise<unknown>
  readonly put: (shelf: ReadKey, key: string, value: unknown) => void
  readonly remove: (shelf: ReadKey, key: string) => void
}

const answer = <T>(request: IDBRequest<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result)
    request.onerror = () => reject(request.error ?? new Error('It could not be read.'))
  })

async function openDatabase(names: readonly ReadKey[]): Promise<IDBDatabase> {
  await Promise.all(names.map((name) => READ[name].made()))
  const opening = indexedDB.open(DATABASE)
  opening.onblocked = () => undefined
  const database = await answer(opening)
  // Another page may make a shelf meanwhile: it must not wait for this one.
  database.onversionchange = () => database.close()
  return database
}

/**
 * Waits for something as long as the store goes on answering (`answers` counts how often it did), and then has it ended:
 * what is said not to be kept may not be written later.
 */
async function withPatience<T>(
  work: Promise<T>,
  answers: () => number = () => 0,
  end: () => void = () => undefined,
): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const tooLong = new Promise<never>((_, reject) => {
    const wait = () => {
      const before = answers()
      timer = setTimeout(() => {
        if (answers() > before) {
          wait()
          return
        }
        end()
        reject(new Error('the store does not answer'))
      }, PATIENCE_MS)
    }
    wait()
  })
  return Promise.race([work, tooLong]).finally(() => clearTimeout(timer))
}

/** Everything on a shelf by its key, as it lies: fetched in one piece, for a cursor takes a turn an entry. */
export async function allOn(name: ReadKey): Promise<ReadonlyMap<string, unknown>> {
  const [keys, values] = await reading(name, (store) =>
    Promise.all([answer(store.getAllKeys()), answer<unknown[]>(store.getAll())]),
  )
  return new Map(asNames(keys).map((key, i) => [key, values[i]]))
}

/** What lies under some keys of a shelf, in their order; nothing where nothing lies. */
export const severalOn = (name: ReadKey, keys: readonly string[]): Promise<readonly unknown[]> =>
  reading(name, (store) => Promise.all(keys.map((key) => answer<unknown>(store.get(key)))))

/** Everything on a shelf whose key begins with one of some words. */
export const allUnder = (name: ReadKey, beginnings: readonly string[]): Promise<readonly unknown[]> =>
  reading(name, async (store) => {
    const found = await Promise.all(
      beginnings.map((word) => answer<unknown[]>(store.getAll(IDBKeyRange.bound(word, `${word}\uffff`)))),
    )
    return found.flat()
  })

/** Everything on a shelf in the order of its keys, so much at a time that nothing else waits long. */
export async function* slicesOf(
  name: ReadKey,
  count: number,
): AsyncGenerator<readonly (readonly [key: string, value: unknown])[]> {
  let after: string | undefined
  for (;;) {
    const range = after === undefined ? undefined : IDBKeyRange.lowerBound(after, true)
    const [keys, values] = await reading(name, (store) =>
      Promise.all([answer(store.getAllKeys(range, count)), answer<unknown[]>(store.getAll(range, count))]),
    )
    const slice = asNames(keys).map((key, i) => [key, values[i]] as const)
    if (slice.length > 0) yield slice
    if (slice.length < count) return
    after = slice.at(-1)?.[0]
  }
}

/** The keys of a shelf, without what lies there. */
export const keysOn = async (name: ReadKey): Promise<readonly string[]> =>
  asNames(await reading(name, (store) => answer(store.getAllKeys())))

/** Everything here is kept under a name. */
const asNames = (keys: readonly IDBValidKey[]): readonly string[] =>
  keys.map((key) => (typeof key === 'string' ? key : ''))

async function reading<T>(name: ReadKey, read: (store: IDBObjectStore) => Promise<T>): Promise<T> {
  const work = async () => {
    await READ[name].made()
    const opening = indexedDB.open(DATABASE)
    opening.onblocked = () => undefined
    const database = await answer(opening)
    database.onversionchange = () => database.close()
    try {
      return await read(database.transaction(name, 'readonly').objectStore(name))
    } finally {
      database.close()
    }
  }
  return withPatience(work())
}

/**
 * Does something to several shelves as one: the browser writes all of it or, where anything fails, stops or is closed
 * in the middle, none of it. `run` may read first and decide; what it throws undoes all that it wrote.
 */
export async function transaction<T>(
  names: readonly ReadKey[],
  run: (tx: Tx) => Promise<T>,
  told?: (done: number, of: number) => void,
): Promise<T> {
  let [done, of, answers] = [0, 0, 0]
  let abort = (): void => undefined
  const written = (request: IDBRequest): void => {
    of += 1
    request.onsuccess = () => {
      done += 1
      answers += 1
      if (done % TOLD_EVERY === 0 || done === of) told?.(done, of)
    }
  }
  const work = async () => {
    const database = await openDatabase(names)
    try {
      const transaction = database.transaction([...names], 'readwrite')
      const ended = new Promise<void>((resolve, reject) => {
        transaction.oncomplete = () => resolve()
        transaction.onabort = () => reject(transaction.error ?? new Error('It was stopped.'))
        transaction.onerror = () => undefined
      })
      // It may be ended before anybody waits for it.
      ended.catch(() => undefined)
      const store = (name: ReadKey) => transaction.objectStore(name)
      abort = () => {
        try {
          transaction.abort()
        } catch {
          // It has ended by itself.
        }
      }
      try {
        const result = await run({
          get: (shelf, key) => {
            const found = answer<unknown>(store(shelf).get(key))
            // Of several that are asked at once the first that fails is told of; the others fail with it.
            found.then(
              () => (answers += 1),
              () => undefined,
            )
            return found
          },
          put: (shelf, key, value) => written(store(shelf).put(value, key)),
          remove: (shelf, key) => void store(shelf).delete(key),
        })
        await ended
        if (of > 0) retryWaiting()
        return result
      } catch (error) {
        abort()
        throw error
      }
    } finally {
      database.close()
    }
  }
  return withPatience(
    work(),
    () => answers,
    () => abort(),
  )
}
