'use client'
import { useEffect, useRef, useState } from 'react'
import { dropDraft, loadDraft, saveDraft } from '@/storage/drafts'

/** Where the text of a job is kept, or of what is begun without one. */
export const textKey = (job: string | undefined): string => `text/${job ?? 'new'}`
/** While it is typed, a text is kept so long after the last letter. */
const WAIT_MS = 300

interface KeptText {
  /** Not before what was kept is there. */
  readonly ready: boolean
  readonly text: string
  readonly change: (text: string) => void
}

/** The text that a job’s sheets are filled from: it is there on each of them, and after a reload, until it is emptied. */
export function useKeptText(key: string): KeptText {
  const [kept, setKept] = useState<{ readonly key: string; readonly text: string }>()
  const waits = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => {
    let wanted = true
    void loadDraft(key).then((draft) => {
      if (wanted) setKept({ key, text: typeof draft === 'string' ? draft : '' })
    })
    return () => {
      wanted = false
    }
  }, [key])
  const change = (text: string) => {
    setKept({ key, text })
    clearTimeout(waits.current)
    waits.current = setTimeout(() => {
      void (text.trim() === '' ? dropDraft(key) : saveDraft(key, text, 'the pasted text'))
    }, WAIT_MS)
  }
  return { ready: kept?.key === key, text: kept?.key === key ? kept.text : '', change }
}
