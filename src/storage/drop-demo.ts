import type { Plan } from '@/core/api/plan'
import * as z from '@/core/units/schema'
import { archiveKey, loadArchived } from './archive'
import { announceAllSaved } from './saved-elsewhere'
import { forgetUnsaved, nextRevisions } from './plans'
import { rememberIn, type ShelfPlace } from './removed'
import { whyNotSaved, type SaveResult } from './save-result'
import { allOn, transaction } from './database'

const ofCar = z.object({ vehicleId: z.string(), jobId: z.optional(z.string()) })

/**
 * Takes the demo's jobs, their past and what the log has of their cars off the shelves, all in one go; it can be taken
 * back. What belongs to any other job or car stays.
 */
export async function dropDemo(demo: readonly Plan[]): Promise<SaveResult> {
  const jobs = new Set(demo.map(({ id }) => id))
  const cars = new Set(demo.map(({ car }) => car.id))
  try {
    const entries = [...(await allOn('log'))].flatMap(([key, raw]): ShelfPlace[] => {
      const read = ofCar.safeParse(raw)
      if (!read.success) return []
      const { vehicleId, jobId } = read.data
      // A shop's own job may have gone on with a car of the demo: its entries are the shop's.
      const own = jobId === undefined ? cars.has(vehicleId) : jobs.has(jobId)
      return own ? [['log', key]] : []
    })
    const away = await loadArchived()
    const places: ShelfPlace[] = [
      ...[...jobs].flatMap((id): ShelfPlace[] => [
        ['plans', id],
        ['history', id],
      ]),
      ...entries,
      ...[...jobs].flatMap((id): ShelfPlace[] => (away.has(id) ? [['settings', archiveKey(id)]] : [])),
    ]
    await transaction(['plans', 'revisions', 'removed', 'history', 'log', 'settings'], async (tx) => {
      await rememberIn(tx, 'The demo', new Date().toISOString(), places, 'away')
      await nextRevisions(tx, [...jobs])
      for (const [shelf, key] of places) tx.remove(shelf, key)
    })
    for (const id of jobs) forgetUnsaved(id)
    announceAllSaved([...jobs])
    return { ok: true }
  } catch (error) {
    return { ok: false, reason: whyNotSaved(error) }
  }
}
