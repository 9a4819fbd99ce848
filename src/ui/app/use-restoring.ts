import { useEffect, useRef, useState } from 'react'
import type { RestorePreview } from '@/storage/backup'
import type { BackupAnswer, BackupQuestion, RestoreMode } from '@/workers/backup-messages'
import { stoppedWords, WorkerClient } from '@/workers/worker-client'

/** How far a backup that is put back has come. */
export type Restoring =
  | { readonly at: 'none'; readonly problems: readonly string[] }
  | { readonly at: 'reading'; readonly name: string }
  | {
      readonly at: 'looked'
      readonly name: string
      readonly madeAt: string
      readonly mode: RestoreMode
      readonly preview: RestorePreview
    }
  | { readonly at: 'putting'; readonly name: string; readonly done: number; readonly of: number }

const NONE: Restoring = { at: 'none', problems: [] }

/** A backup of ten years is read in one go. It is put back once: only the user tries again. */
const BOUNDS = { silentMs: 300_000, tries: 1 }

/** A backup that is opened, looked at and put back, all beside the page. */
export function useRestoring() {
  const [state, setState] = useState<Restoring>(NONE)
  const client = useRef(
    new WorkerClient<BackupQuestion, BackupAnswer>(
      () => new Worker(new URL('../../workers/backup.worker.ts', import.meta.url)),
      BOUNDS,
    ),
  )
  const putting = useRef(false)
  useEffect(() => {
    const asking = client.current
    return () => {
      // What is being put on the shelves is finished, whoever looks on.
      if (!putting.current) asking.end()
    }
  }, [])
  const refused = (problems: readonly string[]) => {
    putting.current = false
    setState({ at: 'none', problems })
  }
  const ask = (name: string, question: BackupQuestion) =>
    client.current.ask({
      question: () => question,
      listener: (answer) => {
        switch (answer.say) {
          case 'refused':
            refused(answer.reasons)
            return 'last'
          case 'preview': {
            const { madeAt, mode, preview } = answer
            setState({ at: 'looked', name, madeAt, mode, preview })
            return 'last'
          }
          case 'progress':
            setState({ at: 'putting', name, done: answer.done, of: answer.of })
            return 'more'
          case 'restored':
            // Every screen reads again what is now on the shelves.
            window.location.reload()
            return 'last'
        }
      },
      failed: () => refused([stoppedWords('The reading of the backup')]),
    })
  return {
    state,
    open(file: File, mode: RestoreMode) {
      setState({ at: 'reading', name: file.name })
      // The answers about another file are not wanted any more.
      client.current.end()
      ask(file.name, { say: 'open', file, mode })
    },
    look(name: string, mode: RestoreMode) {
      ask(name, { say: 'preview', mode })
    },
    restore(name: string, mode: RestoreMode, staying: readonly string[]) {
      putting.current = true
      setState({ at: 'putting', name, done: 0, of: 1 })
      ask(name, { say: 'restore', mode, staying })
    },
  }
}
