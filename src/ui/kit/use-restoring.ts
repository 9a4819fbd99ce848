import { useEffect, useRef, useState } from 'react'
import type { RestorePreview } from '@/storage/backup'
import type { BackupAnswer, BackupQuestion, RestoreWay } from '@/workers/backup-messages'

/** How far a backup that is put back has come. */
export type Restoring =
  | { readonly at: 'none'; readonly problems: readonly string[] }
  | { readonly at: 'reading'; readonly name: string }
  | {
      readonly at: 'looked'
      readonly name: string
      readonly madeAt: string
      readonly way: RestoreWay
      readonly preview: RestorePreview
    }
  | { readonly at: 'putting'; readonly name: string; readonly done: number; readonly of: number }

const NONE: Restoring = { at: 'none', problems: [] }
const STOPPED = 'What reads the backup beside the page has stopped. Nothing was changed.'

/** A backup that is opened, looked at and put back, all beside the page. */
export function useRestoring() {
  const [state, setState] = useState<Restoring>(NONE)
  const worker = useRef<Worker>(undefined)
  const putting = useRef(false)
  useEffect(
    () => () => {
      // What is being put on the shelves is finished, whoever looks on.
      if (!putting.current) worker.current?.terminate()
    },
    [],
  )
  const refused = (problems: readonly string[]) => {
    putting.current = false
    setState({ at: 'none', problems })
  }
  const started = (name: string): Worker => {
    worker.current?.terminate()
    const fresh = new Worker(new URL('../../workers/backup.worker.ts', import.meta.url))
    worker.current = fresh
    fresh.addEventListener('error', (event) => {
      event.preventDefault()
      refused([STOPPED])
    })
    fresh.addEventListener('message', ({ data }: MessageEvent<BackupAnswer>) => {
      switch (data.say) {
        case 'refused':
          refused(data.reasons)
          return
        case 'preview': {
          const { madeAt, way, preview } = data
          setState({ at: 'looked', name, madeAt, way, preview })
          return
        }
        case 'progress':
          setState({ at: 'putting', name, done: data.done, of: data.of })
          return
        case 'restored':
          // Every screen reads anew what is now on the shelves.
          window.location.reload()
      }
    })
    return fresh
  }
  const ask = (question: BackupQuestion) => worker.current?.postMessage(question)
  return {
    state,
    open(file: File, way: RestoreWay) {
      setState({ at: 'reading', name: file.name })
      started(file.name)
      ask({ say: 'open', file, way })
    },
    look(way: RestoreWay) {
      ask({ say: 'preview', way })
    },
    put(name: string, way: RestoreWay, staying: readonly string[]) {
      putting.current = true
      setState({ at: 'putting', name, done: 0, of: 1 })
      ask({ say: 'restore', way, staying })
    },
  }
}
