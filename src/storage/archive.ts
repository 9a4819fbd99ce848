import { announceSaved } from './saved-elsewhere'
import { whyNotSaved, type SaveResult } from './save-result'
import { allOn, transaction } from './database'

const BEFORE = 'archived/'

/** Where it is kept that a job is in the archive: by itself, so that two tabs never write over each other's. */
export const archiveKey = (jobId: string): string => `${BEFORE}${jobId}`

/** The jobs that are put away: off the board, kept with all that is theirs. */
export async function loadArchived(): Promise<ReadonlySet<string>> {
  const settings = await allOn('settings')
  return new Set(
    [...settings.keys()].filter((key) => key.startsWith(BEFORE)).map((key) => key.slice(BEFORE.length)),
  )
}

/** Puts a job into the archive, or takes it out; the job itself stays as it is. `day` is the day it is done. */
export async function saveArchived(jobId: string, away: boolean, day: string): Promise<SaveResult> {
  try {
    await transaction(['settings'], ({ put, remove }) => {
      if (away) put('settings', archiveKey(jobId), day)
      else remove('settings', archiveKey(jobId))
      return Promise.resolve()
    })
    announceSaved({ shelf: 'settings' })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}
