import { settingsShelf } from './shelves'

/** What was typed into a form and not saved yet: it survives a reload, and is only ever a convenience. */
export async function loadDraft(key: string): Promise<unknown> {
  try {
    return await settingsShelf.getItem(`draft/${key}`)
  } catch {
    return undefined
  }
}

export async function keepDraft(key: string, draft: unknown): Promise<void> {
  try {
    await settingsShelf.setItem(`draft/${key}`, draft)
  } catch {
    return
  }
}

export async function dropDraft(key: string): Promise<void> {
  try {
    await settingsShelf.removeItem(`draft/${key}`)
  } catch {
    return
  }
}
