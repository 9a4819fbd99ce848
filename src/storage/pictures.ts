import { pictureSchema } from '@/core'
import { pictureShelf, whyNotKept, type Kept } from './shelves'

/** A picture that belongs to a job, as it is kept: small, in the text that an image takes. Nothing where there is none. */
export async function loadPicture(id: string): Promise<string | undefined> {
  try {
    const read = pictureSchema.safeParse(await pictureShelf.getItem(id))
    return read.success ? read.data : undefined
  } catch {
    return undefined
  }
}

export async function keepPicture(id: string, picture: string): Promise<Kept> {
  try {
    await pictureShelf.setItem(id, picture)
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
