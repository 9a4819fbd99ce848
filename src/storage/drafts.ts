import { settingsShelf, whyNotKept, type Kept } from './shelves'
import { inOneGo } from './transaction'
import { mustWait, waitsNoMore } from './waiting'

const shelfKey = (key: string) => `draft/${key}`
/** What this browser refused to keep of the drafts, as it was typed last. */
const unkept = new Map<string, unknown>()

/** What was typed into a form and not saved yet: it survives a reload. */
export async function loadDraft(key: string): Promise<unknown> {
  if (unkept.has(key)) return unkept.get(key)
  try {
    return await settingsShelf.getItem(shelfKey(key))
  } catch {
    return undefined
  }
}

async function write(key: string, draft: unknown): Promise<Kept> {
  try {
    await inOneGo(['settings'], ({ put }) => {
      put('settings', shelfKey(key), draft)
      return Promise.resolve()
    })
    if (unkept.get(key) === draft) unkept.delete(key)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}

/** `what` names the draft where it cannot be kept. */
export async function keepDraft(
  key: string,
  draft: unknown,
  what = 'what is typed into a sheet',
): Promise<void> {
  const kept = await write(key, draft)
  if (kept.ok) {
    // What was typed before it is older, whether it could be kept or not.
    unkept.delete(key)
    waitsNoMore(shelfKey(key))
    return
  }
  unkept.set(key, draft)
  mustWait(shelfKey(key), { what, reason: kept.reason, again: () => write(key, draft) })
}

export async function dropDraft(key: string): Promise<void> {
  unkept.delete(key)
  waitsNoMore(shelfKey(key))
  try {
    await inOneGo(['settings'], ({ remove }) => {
      remove('settings', shelfKey(key))
      return Promise.resolve()
    })
  } catch {
    return
  }
}
