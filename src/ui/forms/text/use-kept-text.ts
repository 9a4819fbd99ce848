'use client'
import { useEffect, useRef, useState } from 'react'
import { dropDraft, loadDraft, saveDraft } from '@/storage/drafts'

/** While it is typed, a text is kept so long after the last letter. */
const WAIT_MS = 300
const WHAT = 'the pasted text'

const listeners = new Set<(key: string, text: string) => void>()

/** Keeps a text that came from elsewhere, and shows it where it is looked at. */
export async function keepText(key: string, text: string): Promise<void> {
  await saveDraft(key, text, WHAT)
  for (const hear of listeners) hear(key, text)
}

interface KeptText {
  /** Not before what was kept is there. */
  readonly ready: boolean
  readonly text: string
  readonly change: (text: string) => void
  /** Keeps it here no more: it has gone elsewhere. */
  readonly drop: () => Promise<void>
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
    const hear = (changed: string, text: string) => {
      if (changed === key) setKept({ key, text })
    }
    listeners.add(hear)
    return () => {
      wanted = false
      listeners.delete(hear)
    }
  }, [key])
  const change = (text: string) => {
    setKept({ key, text })
    clearTimeout(waits.current)
    waits.current = setTimeout(() => {
      void (text.trim() === '' ? dropDraft(key) : saveDraft(key, text, WHAT))
    }, WAIT_MS)
  }
  const drop = () => {
    clearTimeout(waits.current)
    return dropDraft(key)
  }
  return { drop, ready: kept?.key === key, text: kept?.key === key ? kept.text : '', change }
}
