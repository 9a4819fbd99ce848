import { pictureSchema } from '@/core'
import { pictureShelf, whyNotKept, type Kept } from './shelves'
import { inOneGo } from './transaction'
import { mustWait } from './waiting'

/** What this browser refused to keep of the pictures. */
const unkept = new Map<string, string>()

/** A picture that belongs to a job, as it is kept: small, in the text that an image takes. Nothing where there is none. */
export async function loadPicture(id: string): Promise<string | undefined> {
  const inMemory = unkept.get(id)
  if (inMemory !== undefined) return inMemory
  try {
    const read = pictureSchema.safeParse(await pictureShelf.getItem(id))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}

async function write(id: string, picture: string): Promise<Kept> {
  try {
    await inOneGo(['pictures'], ({ put }) => {
      put('pictures', id, picture)
      return Promise.resolve()
    })
    unkept.delete(id)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}

/** Keeps a picture; one that cannot be kept is shown from this page until it can. */
export async function keepPicture(id: string, picture: string): Promise<void> {
  const kept = await write(id, picture)
  if (kept.ok) return
  unkept.set(id, picture)
  mustWait(`picture/${id}`, { what: 'a picture', reason: kept.reason, again: () => write(id, picture) })
}
