import { archiveKey } from './archive'
import { tellKept } from './kept-elsewhere'
import { nextRevisions, storedFrom, forgetUnkept } from './plans'
import { rememberIn } from './removed'
import { whyNotKept, type Kept } from './shelves'
import { inOneGo } from './transaction'

/** Takes a job off its shelf with its past; both can be taken back. */
export async function dropPlan(id: string): Promise<Kept> {
  try {
    await inOneGo(['plans', 'revisions', 'removed', 'history', 'settings'], async (going) => {
      const away = await going.get('settings', archiveKey(id))
      const there = storedFrom(id, await going.get('plans', id))
      const name = there.ok ? there.plan.job.name : id
      await rememberIn(
        going,
        `Job: ${name}`,
        new Date().toISOString(),
        [
          ['plans', id],
          ['history', id],
          ...(away === undefined ? [] : [['settings', archiveKey(id)] as const]),
        ],
        'away',
      )
      await nextRevisions(going, [id])
      going.remove('plans', id)
      going.remove('history', id)
      going.remove('settings', archiveKey(id))
    })
    forgetUnkept(id)
    tellKept({ shelf: 'plans', id })
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotKept(error) }
  }
}
