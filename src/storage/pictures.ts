import { pictureSchema } from '@/core/api/files'
import { pictureShelf } from './database'
import { whyNotSaved, type SaveResult } from './save-result'
import { transaction } from './database'
import { mustWait } from './waiting'

/** What this browser refused to keep of the pictures. */
const unsaved = new Map<string, string>()

/** A picture that belongs to a job, as it is kept: small, in the text that an image takes. Nothing where there is none. */
export async function loadPicture(id: string): Promise<string | undefined> {
  const inMemory = unsaved.get(id)
  if (inMemory !== undefined) return inMemory
  try {
    const read = pictureSchema.safeParse(await pictureShelf.getItem(id))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}

async function write(id: string, picture: string): Promise<SaveResult> {
  try {
    await transaction(['pictures'], ({ put }) => {
      put('pictures', id, picture)
      return Promise.resolve()
    })
    unsaved.delete(id)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}

/** Keeps a picture; one that cannot be kept is shown from this page until it can. */
export async function savePicture(id: string, picture: string): Promise<void> {
  const saved = await write(id, picture)
  if (saved.ok) return
  unsaved.set(id, picture)
  mustWait(`picture/${id}`, { what: 'a picture', reason: saved.reason, again: () => write(id, picture) })
}
