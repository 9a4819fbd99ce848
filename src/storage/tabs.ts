import { idSchema } from '@/core'
import * as z from '@/core/units/schema'

const wordSchema = z.object({ say: z.enum(['hello', 'here', 'bye']), planId: idSchema, from: z.string() })

/** Tells whether another tab of this browser has the same job open; stop listening with what it gives back. */
export function watchTabs(planId: string, onOther: (there: boolean) => void): () => void {
  if (typeof BroadcastChannel === 'undefined') return () => undefined
  const channel = new BroadcastChannel('ypsos-jobs')
  const from = crypto.randomUUID()
  const others = new Set<string>()
  const say = (word: 'hello' | 'here' | 'bye') => channel.postMessage({ say: word, planId, from })
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    const read = wordSchema.safeParse(data)
    if (!read.success || read.data.planId !== planId) return
    if (read.data.say === 'bye') others.delete(read.data.from)
    else others.add(read.data.from)
    if (read.data.say === 'hello') say('here')
    onOther(others.size > 0)
  }
  const leave = () => say('bye')
  window.addEventListener('pagehide', leave)
  say('hello')
  return () => {
    leave()
    window.removeEventListener('pagehide', leave)
    channel.close()
  }
}
