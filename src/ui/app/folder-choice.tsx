'use client'
import { useEffect, useState } from 'react'
import {
  backUpInto,
  backupFolder,
  canPickFolder,
  type FolderHandle,
  forgetFolder,
  lastBackup,
  pickFolder,
} from '@/storage/backup-folder'
import { whyNotSaved } from '@/storage/shelves'
import { Button } from '@/ui/kit/button'
import { Note } from '@/ui/kit/field-note'
import { whenWords } from '@/ui/kit/day-words'

/** A folder into which a backup is put every day that Ypsos is open, where the browser can do that. */
export function FolderChoice({ onProblem }: { onProblem: (problem: string | undefined) => void }) {
  const [folder, setFolder] = useState<FolderHandle>()
  const [last, setLast] = useState<string>()
  const [can, setCan] = useState(true)
  useEffect(() => {
    let current = true
    void Promise.all([backupFolder(), lastBackup()]).then(([found, at]) => {
      if (!current) return
      setCan(canPickFolder())
      setFolder(found)
      setLast(at)
    })
    return () => {
      current = false
    }
  }, [])
  const write = async (into: FolderHandle) => {
    try {
      await into.requestPermission?.({ mode: 'readwrite' })
      const at = new Date().toISOString()
      await backUpInto(into, at)
      setLast(at)
      onProblem(undefined)
    } catch (error) {
      onProblem(`Nothing was written into the folder ${into.name}. ${whyNotSaved(error)}`)
    }
  }
  const pick = async () => {
    const found = await pickFolder()
    if (!found) return
    setFolder(found)
    await write(found)
  }
  const forget = async () => {
    await forgetFolder()
    setFolder(undefined)
  }
  return (
    <section aria-label="Backups by themselves" className="border-hair mt-3 border-t pt-3">
      <p className="mb-2">
        {folder
          ? `A backup goes into the folder ${folder.name} by itself, once a day, when the board is opened.`
          : can
            ? 'Choose a folder, and a backup goes into it by itself, once a day, when the board is opened.'
            : 'This browser cannot put a backup into a folder by itself: you are reminded instead.'}{' '}
        {last === undefined ? 'None was made yet.' : `The last one was made ${whenWords(last)}.`}
      </p>
      <div className="flex flex-wrap gap-1.5">
        {can && (
          <Button onClick={() => void pick()}>{folder ? 'Choose another folder' : 'Choose a folder'}</Button>
        )}
        {folder && <Button onClick={() => void write(folder)}>Back up there now</Button>}
        {folder && (
          <Button variant="word" onClick={() => void forget()}>
            No more backups there
          </Button>
        )}
      </div>
      {folder && <Note>Where the browser asks anew whether it may write there, the board says so.</Note>}
    </section>
  )
}
