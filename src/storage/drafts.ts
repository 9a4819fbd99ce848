import { settingsShelf } from './database'
import { whyNotSaved, type SaveResult } from './save-result'
import { transaction } from './database'
import { mustWait, waitsNoMore } from './waiting'

const shelfKey = (key: string) => `draft/${key}`
/** Where the text of a job is kept, or of what is begun without one. */
export const textKey = (job: string | undefined): string => `text/${job ?? 'new'}`
/** The same among the settings: it goes with its job. */
export const textShelfKey = (job: string): string => shelfKey(textKey(job))
/** What this browser refused to keep of the drafts, as it was typed last. */
const unsaved = new Map<string, unknown>()

/** What was typed into a form and not saved yet: it survives a reload. */
export async function loadDraft(key: string): Promise<unknown> {
  if (unsaved.has(key)) return unsaved.get(key)
  try {
    return await settingsShelf.getItem(shelfKey(key))
  } catch {
    return undefined
  }
}

async function write(key: string, draft: unknown): Promise<SaveResult> {
  try {
    await transaction(['settings'], ({ put }) => {
      put('settings', shelfKey(key), draft)
      return Promise.resolve()
    })
    if (unsaved.get(key) === draft) unsaved.delete(key)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}

/** `what` names the draft where it cannot be kept. */
export async function saveDraft(key: string, draft: unknown, what = 'the draft of a sheet'): Promise<void> {
  const saved = await write(key, draft)
  if (saved.ok) {
    // What was typed before it is older, whether it could be kept or not.
    unsaved.delete(key)
    waitsNoMore(shelfKey(key))
    return
  }
  unsaved.set(key, draft)
  mustWait(shelfKey(key), { what, reason: saved.reason, again: () => write(key, draft) })
}

export async function dropDraft(key: string): Promise<void> {
  unsaved.delete(key)
  waitsNoMore(shelfKey(key))
  try {
    await transaction(['settings'], ({ remove }) => {
      remove('settings', shelfKey(key))
      return Promise.resolve()
    })
  } catch {
    return
  }
}
