import { archiveKey } from './archive'
import { textShelfKey } from './drafts'
import { announceSaved } from './saved-elsewhere'
import { nextRevisions, storedFrom, forgetUnsaved } from './plans'
import { rememberIn } from './removed'
import { whyNotSaved, type SaveResult } from './save-result'
import { transaction } from './database'

/** Takes a job off its shelf with its past; both can be taken back. */
export async function dropPlan(id: string): Promise<SaveResult> {
  try {
    await transaction(['plans', 'revisions', 'removed', 'history', 'settings'], async (tx) => {
      const beside = [archiveKey(id), textShelfKey(id)]
      const kept = await Promise.all(beside.map((key) => tx.get('settings', key)))
      const there = storedFrom(id, await tx.get('plans', id))
      const name = there.ok ? there.plan.job.name : id
      await rememberIn(
        tx,
        `Job: ${name}`,
        new Date().toISOString(),
        [
          ['plans', id],
          ['history', id],
          ...beside.filter((_, i) => kept[i] !== undefined).map((key) => ['settings', key] as const),
        ],
        'away',
      )
      await nextRevisions(tx, [id])
      tx.remove('plans', id)
      tx.remove('history', id)
      for (const key of beside) tx.remove('settings', key)
    })
    forgetUnsaved(id)
    announceSaved({ shelf: 'plans', id })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}
