import { idSchema } from '@/core/api/plan'
import * as z from '@/core/units/schema'

/** What another tab of this browser has just kept: a job by its id, more of the log, settings, stock. */
const keptSchema = z.discriminatedUnion('shelf', [
  z.object({ shelf: z.literal('plans'), id: idSchema }),
  z.object({ shelf: z.enum(['log', 'settings', 'stock']) }),
])
type SavedElsewhere = z.infer<typeof keptSchema>

let channel: BroadcastChannel | undefined

/** A page, or what works beside one; on a server there are no tabs. */
const inBrowser = () => typeof window !== 'undefined' || 'WorkerGlobalScope' in globalThis

/** One channel for the page. A channel does not receive its own messages, so no tab follows itself. */
function ours(): BroadcastChannel | undefined {
  if (!inBrowser() || typeof BroadcastChannel === 'undefined') return undefined
  channel ??= new BroadcastChannel('ypsos-kept')
  return channel
}

/** Tells the other tabs what was kept. */
export function announceSaved(what: SavedElsewhere): void {
  ours()?.postMessage(what)
}

/** Tells the other tabs of a change to any shelf, these jobs among it. */
export function announceAllSaved(jobs: readonly string[]): void {
  for (const id of jobs) announceSaved({ shelf: 'plans', id })
  for (const shelf of ['stock', 'settings', 'log'] as const) announceSaved({ shelf })
}

/** Hears what other tabs keep; stop listening with what it gives back. */
export function onSaved(listener: (what: SavedElsewhere) => void): () => void {
  const own = ours()
  const hear = ({ data }: MessageEvent<unknown>) => {
    const read = keptSchema.safeParse(data)
    if (read.success) listener(read.data)
  }
  own?.addEventListener('message', hear)
  return () => own?.removeEventListener('message', hear)
}
